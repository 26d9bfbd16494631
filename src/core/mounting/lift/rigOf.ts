import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import type { HungUnit } from '../results';
import { eyeBolts, slingLegKg } from './rigging';
import type { EyeBoltUse } from './rigging';

/** How a unit hangs on the hook of its hoist. */
export interface Rig {
  readonly legs: number;
  readonly leanDeg: number;
  readonly legKg: number;
  /** Null where it hangs in slings. */
  readonly eyes: (EyeBoltUse & { readonly thread: number }) | null;
}

const massOf = ({ type }: HungUnit) => (type.massKg === null ? [`mass of ${type.name}`] : []);

/** The unit on two eye bolts, as its sheet places them, under one hook. */
function onEyeBolts(h: HungUnit): Answer<Rig> {
  const { massKg, name, body } = h.type;
  const { eyeThread, eyeSpacingMm } = body;
  const { hookMm } = h.wall.lift;
  if (massKg === null || eyeThread === null || eyeSpacingMm === null || hookMm === null)
    return lacking(
      ...massOf(h),
      ...(eyeThread === null ? [`eye bolts of ${name}`] : []),
      ...(eyeSpacingMm === null ? [`spacing of the eye bolts of ${name}`] : []),
      ...(hookMm === null ? ['hook over the eye bolts'] : []),
    );
  const thread = Number(eyeThread.slice(1));
  const eyes = eyeBolts({ thread, massKg, spacingMm: eyeSpacingMm, hookMm });
  return known({ legs: 2, leanDeg: eyes.leanDeg, legKg: eyes.legKg, eyes: { ...eyes, thread } });
}

function inSlings(h: HungUnit): Answer<Rig> {
  const { massKg } = h.type;
  const { legs, leanDeg } = h.wall.lift;
  /** One leg hangs plumb. */
  const lean = legs === 1 ? 0 : leanDeg;
  if (massKg === null || legs === null || lean === null)
    return lacking(
      ...massOf(h),
      ...(legs === null ? ['legs of the sling'] : []),
      ...(lean === null ? ['lean of a sling leg'] : []),
    );
  return known({ legs, leanDeg: lean, legKg: slingLegKg({ massKg, legs, leanDeg: lean }), eyes: null });
}

/** What hangs on the hook and how; `no hoist` where the unit goes up otherwise. */
export function rigOf(h: HungUnit): Answer<Rig | 'no hoist'> {
  const { by, slung } = h.wall.lift;
  if (by === null) return lacking('how units go up on the wall');
  if (by !== 'hoist') return known('no hoist');
  if (slung === null) return lacking('how units hang on the hook');
  return slung === 'eye bolts' ? onEyeBolts(h) : inSlings(h);
}
