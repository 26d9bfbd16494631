import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { AirSide } from '../../../equipment/inverterBody';
import type { HungUnit } from '../../results';
import type { WallPlace, WallUnit } from '../../wall/problem';
import { gapBetween } from '../../wall/problem';

/** Warm air that blows at an intake within so many of the gaps asked for is breathed again (common practice). */
const GAPS_OFF = 2;

type Placed = WallPlace & WallUnit;
type Side = Exclude<AirSide, 'both sides'>;
const sidesOf = (side: AirSide): readonly Side[] => (side === 'both sides' ? ['left', 'right'] : [side]);

interface Neighbour {
  readonly tag: string;
  readonly blows: readonly Side[];
  readonly at: Placed;
}

/** Whether air that leaves one unit on a side meets another unit there, and how far off, mm; null where none stands there. */
function facing(from: Placed, side: Side, to: Placed): number | null {
  const across = Math.min(from.xMm + from.widthMm, to.xMm + to.widthMm) > Math.max(from.xMm, to.xMm);
  const level = Math.min(from.yMm + from.heightMm, to.yMm + to.heightMm) > Math.max(from.yMm, to.yMm);
  const away = {
    top: across ? to.yMm - from.yMm - from.heightMm : null,
    bottom: across ? from.yMm - to.yMm - to.heightMm : null,
    right: level ? to.xMm - from.xMm - from.widthMm : null,
    left: level ? from.xMm - to.xMm - to.widthMm : null,
  }[side];
  return away !== null && away >= 0 ? away : null;
}
const OPPOSITE: Readonly<Record<Side, Side>> = { top: 'bottom', bottom: 'top', left: 'right', right: 'left' };

/** Exhaust of another unit on the wall that blows at this unit's intake: within two of their gaps a baffle goes between. */
export const EXHAUST = rule<HungUnit>()({
  id: 'mounting.exhaust',
  title: 'No exhaust into an intake',
  unit: 'mm',
  basis: practice('two gaps off, or a baffle'),
  needs: {
    size: { as: 'size and clearances of the unit', answer: (h) => h.size },
    breathes: {
      as: 'sides of the air in',
      of: (h): readonly Side[] | null =>
        h.type.body.airIn ? sidesOf(h.type.body.airIn) : h.others.length === 0 ? [] : null,
      missing: (h) => [`sides of the air in of ${h.type.name}`],
    },
    others: {
      as: 'sides of the air out of the units beside it',
      of: (h): readonly Neighbour[] | null => {
        const others = h.others.flatMap((o) =>
          o.size.value && o.type.body.airOut
            ? [
                {
                  tag: o.unit.tag,
                  blows: sidesOf(o.type.body.airOut),
                  at: { ...o.size.value, xMm: o.at.xMm, yMm: o.at.yMm },
                },
              ]
            : [],
        );
        return others.length === h.others.length ? others : null;
      },
      missing: (h) => [
        ...new Set(
          h.others.flatMap((o) => [
            ...o.size.missing,
            ...(o.type.body.airOut ? [] : [`sides of the air out of ${o.type.name}`]),
          ]),
        ),
      ],
    },
  },
  judge: ({ size, breathes, others }, { at, wall }) => {
    const own = { ...size, xMm: at.xMm, yMm: at.yMm };
    const blown = others.flatMap(({ tag, blows, at: there }) =>
      blows.flatMap((side) => {
        const offMm = facing(there, side, own);
        if (offMm === null || !breathes.includes(OPPOSITE[side])) return [];
        const gap = gapBetween(size, there, wall.gaps);
        const askedMm = GAPS_OFF * (side === 'top' || side === 'bottom' ? gap.stackedMm : gap.besideMm);
        return [{ tag, offMm, askedMm }];
      }),
    );
    const worst = blown.sort((a, b) => a.offMm - a.askedMm - (b.offMm - b.askedMm))[0];
    if (!worst) return found('holds', () => ['no exhaust blows at its intake']);
    const { tag, offMm, askedMm } = worst;
    const near = offMm < askedMm;
    return found(
      near ? 'tight' : 'holds',
      () => [
        `${tag} blows at its intake ${offMm} mm off, ${GAPS_OFF} gaps are ${askedMm} mm`,
        ...(near ? ['a baffle between them, or farther apart: warm air is breathed again'] : []),
      ],
      { value: offMm, limit: askedMm, ...(near ? {} : { margin: (100 * (offMm - askedMm)) / Math.max(1, askedMm) }) },
    );
  },
});
