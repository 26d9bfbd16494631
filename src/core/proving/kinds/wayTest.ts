import { z } from 'zod';
import { enumOf } from '../../kernel/schema';
import { kind } from '../kind';
import { partsBeside, wayPart } from '../links/parts';
import { TRIED_WAYS, judgedWay, wayValues, waysOf } from '../links/wayTest';
import { withParts } from '../parts';

/** A way beside the RS-485 buses as it was tried: who answered over it, how often, and at which hour. */
export const WAY_TEST = kind({
  kind: 'way-test',
  title: 'Way beside the bus tried',
  scopes: ['site'],
  values: wayValues,
  instrument: null,
  gates: ['S-BUS'],
  correctable: true,
  judge: (about) =>
    withParts(judgedWay(about.design, about.entry, about.day), partsBeside(about, wayPart(about.values))),
  form: (design) => {
    const ways = waysOf(design.chain.otherWays);
    const [first, ...rest] = ways.map((w) => `${TRIED_WAYS[w.way]} ${w.label}`);
    if (first === undefined) return null;
    const names = [first, ...rest] as [string, ...string[]];
    const { way: _w, wayId: _i, ...others } = wayValues.shape;
    return {
      schema: z.object({ ...others, way: enumOf(names).meta({ description: 'Way' }) }),
      blank: {
        way: first,
        when: 'at another hour',
        unitsOn: ways[0]?.units ?? null,
        unitsAnswered: null,
        polls: 100,
        worstGood: null,
      },
      groups: [{ title: '', paths: ['way', ...Object.keys(others)] }],
      toValues: ({ way: named, ...typed }) => {
        const chosen = ways[names.indexOf(String(named))];
        return { ...typed, way: chosen?.way, wayId: chosen?.id };
      },
    };
  },
  line: (v) =>
    `${TRIED_WAYS[v.way]} ${v.wayId} ${v.when}: ${v.unitsAnswered} of ${v.unitsOn} answered, worst ${v.worstGood} of ${v.polls} questions`,
  printed: {
    title: 'Way beside the bus tried',
    columns: [
      { title: 'Way', share: 1 },
      { title: 'Tried', share: 1 },
      { title: 'Answered', share: 1, right: true },
      { title: 'Worst', share: 1, right: true },
    ],
    row: (v) => [
      `${TRIED_WAYS[v.way]} ${v.wayId}`,
      v.when,
      `${v.unitsAnswered} of ${v.unitsOn}`,
      `${v.worstGood} of ${v.polls}`,
    ],
  },
});
