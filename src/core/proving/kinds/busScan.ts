import { z } from 'zod';
import { quantity } from '../../kernel/schema';
import { busesOf, devicesOn } from '../../links/buses';
import { plannedOf } from '../../links/field/planned';
import { blocksDirect } from '../../links/line/busLine';
import { isRepeater } from '../../links/segments';
import { kind } from '../kind';
import { busPart, partsBeside } from '../links/parts';
import { busOf, good, judgedScan, scanValues } from '../links/scan';
import { withParts } from '../parts';
import { isSimulated } from '../saidBy';

/**
 * One bus as it was asked and measured: who answered at every address, how often, ohms of the pair, volts between the earths. Where there are several,
 * or ways beside them, the gate is closed by the last of them, the others proved on the same day and nothing done to them since.
 */
export const BUS_SCAN = kind({
  kind: 'bus-scan',
  title: 'Bus scanned and measured',
  scopes: ['site'],
  values: scanValues,
  instrument: ['multimeter'],
  measured: (v) => [
    { of: 'resistance', value: v.pairOhm, path: 'pairOhm' },
    ...(v.beyond ?? []).map((b) => ({ of: 'resistance' as const, value: b.pairOhm, path: 'beyond' })),
    { of: 'AC voltage', value: v.groundV, path: 'groundV' },
  ],
  gates: ['S-BUS'],
  simulated: isSimulated,
  correctable: true,
  judge: (about) =>
    withParts(judgedScan(about.design, about.entry, about.day), partsBeside(about, busPart(busOf(about.values)))),
  form: (design) => {
    const buses = busesOf(design.chain);
    const several = buses.length > 1;
    const plan = buses.flatMap((bus) => plannedOf(devicesOn(design.chain, bus)).map((p) => ({ ...p, bus })));
    const on = (bus: number) => (several ? ` on bus ${bus}` : '');
    const serialOf = (i: number) => `serial${i}`;
    const goodOf = (i: number) => `good${i}`;
    const repeaters = buses.flatMap((n) => devicesOn(design.chain, n).filter(isRepeater));
    const beyondOf = (i: number) => `beyond${i}`;
    const { units: _, beyond: _b, pairNf, bus, ...others } = scanValues.shape;
    /** Ohms cannot show terminators that block direct current: their capacitors are measured. */
    const blocks = blocksDirect(design.chain.line);
    const nfOf = (i: number) => `beyondNf${i}`;
    const rest = { ...(several ? { bus } : {}), ...others, ...(blocks ? { pairNf: pairNf.unwrap() } : {}) };
    const schema = z.object({
      ...rest,
      ...Object.fromEntries(
        repeaters.map((r, i) => [
          beyondOf(i),
          quantity(0, 1e7, 'Ω', `Across the pair behind ${r.label}${on(r.bus)}, everything off`).nullable(),
        ]),
      ),
      ...Object.fromEntries(
        (blocks ? repeaters : []).map((r, i) => [
          nfOf(i),
          quantity(0, 1e6, 'nF', `Capacitance across the pair behind ${r.label}${on(r.bus)}`).nullable(),
        ]),
      ),
      ...Object.fromEntries(
        plan.flatMap((p, i) => [
          [serialOf(i), z.string().meta({ description: `Serial at ${p.address}${on(p.bus)}, ${p.label}` })],
          // Of units on another bus than the one that was scanned nothing is said.
          [goodOf(i), (several ? good.nullable() : good).meta({ description: `Came back well from ${p.label}` })],
        ]),
      ),
    });
    return {
      schema,
      blank: {
        ...(several ? { bus: buses[0] } : {}),
        from: 'over the bus',
        bitRate: design.chain.bitRate,
        polls: 100,
        pairOhm: null,
        groundV: null,
        ...(blocks ? { pairNf: null } : {}),
        ...Object.fromEntries(
          repeaters.flatMap((_r, i) => [[beyondOf(i), null], ...(blocks ? [[nfOf(i), null]] : [])]),
        ),
        ...Object.fromEntries(
          plan.flatMap((_p, i) => [
            [serialOf(i), ''],
            [goodOf(i), null],
          ]),
        ),
      },
      groups: [
        {
          title: 'With the meter',
          paths: [
            'pairOhm',
            ...(blocks ? ['pairNf'] : []),
            ...repeaters.flatMap((_r, i) => [beyondOf(i), ...(blocks ? [nfOf(i)] : [])]),
            'groundV',
          ],
        },
        { title: 'Asked', paths: [...(several ? ['bus'] : []), 'from', 'bitRate', 'polls'] },
        { title: 'Every unit', paths: plan.flatMap((_p, i) => [serialOf(i), goodOf(i)]) },
      ],
      toValues: (typed) => ({
        ...Object.fromEntries(Object.keys(rest).map((k) => [k, typed[k]])),
        ...(repeaters.length
          ? {
              beyond: repeaters.flatMap((r, i) =>
                typed[beyondOf(i)] === null || (several && r.bus !== typed['bus'])
                  ? []
                  : [{ repeaterId: r.id, pairOhm: typed[beyondOf(i)], ...(blocks ? { pairNf: typed[nfOf(i)] } : {}) }],
              ),
            }
          : {}),
        units: plan.flatMap((p, i) =>
          several && (p.bus !== typed['bus'] || typed[goodOf(i)] === null)
            ? []
            : [
                {
                  address: p.address,
                  serials: typed[serialOf(i)] ? [typed[serialOf(i)]] : [],
                  good: typed[goodOf(i)],
                },
              ],
        ),
      }),
      caution: 'D0 to local earth first: above 4.95 V rms nobody lands a reference, the earth fault is found.',
    };
  },
  line: (v) =>
    `${v.bus === undefined ? '' : `bus ${v.bus}: `}${v.units.filter((u) => u.good > 0).length} of ${v.units.length} answered, ${v.polls} questions each at ${v.bitRate} bit/s; ${v.pairOhm} Ω, ${v.groundV} V, ${v.from}`,
  printed: {
    title: 'Bus scanned and measured',
    columns: [
      { title: 'Bus', share: 0.4, right: true },
      { title: 'Answered', share: 1, right: true },
      { title: 'Questions', share: 1, right: true },
      { title: 'Pair', share: 0.8, right: true },
      { title: 'D0 to earth', share: 0.8, right: true },
      { title: 'Read', share: 1 },
    ],
    row: (v) => [
      String(busOf(v)),
      `${v.units.filter((u) => u.good > 0).length} of ${v.units.length}`,
      `${v.polls} at ${v.bitRate} bit/s`,
      `${v.pairOhm} Ω`,
      `${v.groundV} V`,
      v.from,
    ],
  },
});
