import { requireWithin } from '../../kernel/require';
import { FACTORY_ADDRESS, FIRST_ADDRESS, LAST_ADDRESS } from '../addresses';

/** What stands at an address by the plan; the serial where it is known. */
export interface Planned {
  readonly address: number;
  readonly serial: string | null;
  readonly label: string;
}
/** What answered at an address: the serials that were read there, and the share of questions that were answered well, 0…1. */
export interface Found {
  readonly address: number;
  readonly serials: readonly string[];
  readonly quality: number;
}

export const FINDINGS = [
  'missing',
  'duplicate',
  'perhaps a duplicate',
  'weak',
  'no serial read',
  'right',
  'swapped',
  'serial new to the plan',
  'foreign serial',
  'moved',
  'not addressed',
  'unexpected',
] as const;
export type FindingKind = (typeof FINDINGS)[number];

export interface Finding {
  readonly address: number;
  readonly label: string;
  readonly kind: FindingKind;
  readonly serials: readonly string[];
  /** Where what answers here is planned; null where that is nowhere else. */
  readonly belongsAt: number | null;
}

/** Under this share of good answers two may answer at once, and under this the line is weak (common practice). */
export const DUPLICATE_QUALITY = 0.9;
export const WEAK_QUALITY = 0.98;

function requireOnce(field: string, values: readonly (string | number | null)[]): void {
  const said = values.filter((v) => v !== null);
  const twice = said.find((v, i) => said.indexOf(v) !== i);
  if (twice !== undefined) throw new RangeError(`${field} must be there once each (got ${twice} twice)`);
}

/**
 * The plan of a bus against what a scan found, by address. Identical answers of two units can pass as one: without its serial no unit is known to
 * be alone. Throws RangeError for an address outside 1 to 247 and for an address or serial that is planned twice.
 */
export function planAgainstFound(plan: readonly Planned[], found: readonly Found[]): Finding[] {
  for (const { address } of plan) requireWithin('address', address, FIRST_ADDRESS, LAST_ADDRESS);
  for (const { quality } of found) requireWithin('quality', quality, 0, 1);
  requireOnce(
    'address',
    plan.map((p) => p.address),
  );
  requireOnce(
    'serial',
    plan.map((p) => p.serial),
  );
  requireOnce(
    'found address',
    found.map((f) => f.address),
  );
  const foundAt = new Map(found.map((f) => [f.address, f]));
  const plannedAt = new Map(plan.map((p) => [p.address, p]));
  /** Where a serial is planned, other than here. */
  const elsewhere = (serial: string, here: number) =>
    plan.find((p) => p.serial === serial && p.address !== here)?.address ?? null;

  const ofPlanned = (p: Planned): Pick<Finding, 'kind' | 'belongsAt'> => {
    const f = foundAt.get(p.address);
    const just = (kind: FindingKind) => ({ kind, belongsAt: null });
    if (!f) return just('missing');
    if (f.serials.length > 1) return just('duplicate');
    if (f.quality < DUPLICATE_QUALITY) return just('perhaps a duplicate');
    if (f.quality < WEAK_QUALITY) return just('weak');
    const [serial] = f.serials;
    if (serial === undefined) return just('no serial read');
    if (serial === p.serial) return just('right');
    const belongsAt = elsewhere(serial, p.address);
    if (belongsAt !== null) return { kind: 'swapped', belongsAt };
    return just(p.serial === null ? 'serial new to the plan' : 'foreign serial');
  };
  const ofUnplanned = (f: Found): Pick<Finding, 'kind' | 'belongsAt'> => {
    const belongsAt = f.serials.map((s) => elsewhere(s, f.address)).find((a) => a !== null) ?? null;
    if (belongsAt !== null) return { kind: 'moved', belongsAt };
    return { kind: f.address === FACTORY_ADDRESS ? 'not addressed' : 'unexpected', belongsAt: null };
  };
  return [
    ...plan.map((p) => ({
      address: p.address,
      label: p.label,
      serials: foundAt.get(p.address)?.serials ?? [],
      ...ofPlanned(p),
    })),
    ...found
      .filter((f) => !plannedAt.has(f.address))
      .map((f) => ({ address: f.address, label: '', serials: f.serials, ...ofUnplanned(f) })),
  ].sort((a, b) => a.address - b.address);
}

/** How a finding is marked: where no serial stands against another, nobody knows who answers. */
export const markOfFinding = (kind: FindingKind): 'holds' | 'unknown' | 'stop' =>
  kind === 'right' ? 'holds' : kind === 'serial new to the plan' || kind === 'no serial read' ? 'unknown' : 'stop';
