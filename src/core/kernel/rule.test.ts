import { describe, expect, it } from 'vitest';
import { known, lacking } from './answer';
import { practice } from './check';
import { atMost, found } from './judgement';
import { ask, plainCheck, rule, rulesIn, ruleToCome } from './rule';

interface Load {
  readonly massKg: number | null;
  readonly mostKg: number | null;
  readonly site?: string;
}
const card = {
  title: 'Load within what the bracket bears',
  unit: 'kg',
  basis: practice('a bracket bears what it says'),
};
const LOAD = rule<Load>()({
  id: 'x.load',
  ...card,
  needs: {
    massKg: { as: 'mass', of: (l) => l.massKg },
    mostKg: {
      as: 'limit of the bracket',
      answer: (l) => (l.mostKg === null ? lacking<number>('bracket', 'mass') : known(l.mostKg)),
    },
  },
  judge: ({ massKg, mostKg }, { site = 'nowhere' }) =>
    atMost({ value: massKg, limit: mostKg, working: () => [`${massKg} kg on ${mostKg} kg at ${site}`] }, 10),
});
const SUBJECT = { element: 'string', path: 'S1' } as const;
const check = (massKg: number | null, mostKg: number | null) => LOAD.check({ massKg, mostKg }, SUBJECT);

describe('a rule', () => {
  it('lists what it needs by the words of the forms', () => {
    expect(LOAD.asks).toEqual(['mass', 'limit of the bracket']);
    expect(LOAD).toMatchObject({ id: 'x.load', ...card });
  });
  it('judges once every need is there, with the part at hand', () => {
    expect(LOAD.check({ massKg: 90, mostKg: 100, site: 'the wall' }, SUBJECT)).toMatchObject({
      id: 'x.load',
      ...card,
      subject: SUBJECT,
      value: 90,
      limit: 100,
      margin: 10,
      verdict: 'holds',
      working: ['90 kg on 100 kg at the wall'],
    });
    expect(check(91, 100).verdict).toBe('tight');
    expect(check(101, 100).verdict).toBe('stop');
  });
  it('a value of nought is a value', () => expect(check(0, 100).verdict).toBe('holds'));
  it('is unknown without a need, and says each name once, by the need itself or by the answer that lacks it', () => {
    const unknown = { value: null, limit: null, margin: null, verdict: 'unknown', unit: 'kg' };
    expect(check(null, 100)).toMatchObject({ ...unknown, working: ['Missing: mass'] });
    expect(check(90, null)).toMatchObject({ ...unknown, working: ['Missing: bracket, mass'] });
    expect(check(null, null)).toMatchObject({ ...unknown, working: ['Missing: mass, bracket'] });
  });
  it('asks for the field that people would have to fill', () => {
    const led = rule<Load>()({
      id: 'x.led',
      ...card,
      needs: { of: { as: 'share', of: (l) => l.massKg, missing: (l) => (l.mostKg === null ? ['mass', 'limit'] : []) } },
      judge: () => found('holds', () => ['so it is']),
    });
    expect(led.check({ massKg: null, mostKg: null }, SUBJECT).working).toEqual(['Missing: mass, limit']);
    expect(led.check({ massKg: null, mostKg: 1 }, SUBJECT).working).toEqual(['Missing: share']);
  });
  it('writes its working once, when somebody reads it', () => {
    let written = 0;
    const slow = rule<Load>()({
      id: 'x.slow',
      ...card,
      needs: {},
      judge: () => found('holds', () => [`written ${++written} times`]),
    });
    const made = slow.check({ massKg: 1, mostKg: 1 }, SUBJECT);
    expect(written).toBe(0);
    expect([made.working, made.working]).toEqual([['written 1 times'], ['written 1 times']]);
  });
  it('has no answer where its method ends, and says so; what is wrong in the program itself is heard', () => {
    const ends = (cause: Error) =>
      rule<Load>()({
        id: 'x.ends',
        ...card,
        needs: {},
        judge: () => {
          throw cause;
        },
      });
    expect(
      ends(new RangeError('lengthM must be 0 to 1000 m (got 11065)')).check({ massKg: 1, mostKg: 1 }, SUBJECT),
    ).toMatchObject({
      verdict: 'unknown',
      value: null,
      working: ['Cannot be computed: lengthM must be 0 to 1000 m (got 11065)'],
    });
    expect(() => ends(new TypeError('no such thing')).check({ massKg: 1, mostKg: 1 }, SUBJECT)).toThrow(
      'no such thing',
    );
  });
  it('gives a check that copies whole, as JSON and as plain data', () => {
    const made = check(90, 100);
    expect(JSON.parse(JSON.stringify(made))).toEqual(plainCheck(made));
    expect(structuredClone(plainCheck(made))).toMatchObject({ working: ['90 kg on 100 kg at nowhere'], margin: 10 });
  });
  it('may say for one answer what it rests on, narrower than its own basis', () => {
    const basis = practice('the print beside it');
    const narrow = rule<Load>()({
      id: 'x.narrow',
      ...card,
      needs: {},
      judge: (_, l) => found('holds', () => ['so'], l.massKg ? { basis } : {}),
    });
    expect(narrow.check({ massKg: 1, mostKg: 1 }, SUBJECT).basis).toBe(basis);
    expect(narrow.check({ massKg: 0, mostKg: 1 }, SUBJECT).basis).toBe(card.basis);
  });
});

describe('the rules of a folder', () => {
  const other = rule<Load>()({ id: 'x.other', ...card, needs: {}, judge: () => found('holds', () => ['so']) });
  it('come in the order of their files, whatever else those export', () => {
    const files = { './b.ts': { LOAD, helper: () => 1, ODD: { id: 'no rule' } }, './a.ts': { other } };
    expect(rulesIn(files).map((r) => r.id)).toEqual(['x.other', 'x.load']);
  });
  it('are none without a rule in every file, and an id stands once', () => {
    expect(() => rulesIn({ './a.ts': { helper: 1 } })).toThrow(/a\.ts must export a rule/);
    expect(() => rulesIn({ './a.ts': { LOAD }, './b.ts': { LOAD } })).toThrow(/x\.load twice/);
  });
  it('are each asked about a part', () => {
    const made = ask([LOAD, other], { massKg: 10, mostKg: 9 }, SUBJECT);
    expect(made.map((c) => [c.id, c.verdict])).toEqual([
      ['x.load', 'stop'],
      ['x.other', 'holds'],
    ]);
  });
  it('are unknown as a whole while what they rest on does not stand', () => {
    const made = ask([LOAD, other], { massKg: 10, mostKg: 9 }, SUBJECT, ['a sheet without errors']);
    expect(made.map((c) => [c.verdict, c.value, c.working])).toEqual([
      ['unknown', null, ['Missing: a sheet without errors']],
      ['unknown', null, ['Missing: a sheet without errors']],
    ]);
  });
  it('that read no sheet are judged whatever the sheet is', () => {
    const free = rule<Load>()({
      id: 'x.free',
      ...card,
      sheetFree: true,
      needs: {},
      judge: () => found('holds', () => ['so']),
    });
    expect(ask([free], { massKg: 1, mostKg: 9 }, SUBJECT, ['a sheet without errors'])[0]?.verdict).toBe('holds');
  });
  it('stand before anybody built them, and are unknown whatever is given', () => {
    const toCome = ruleToCome<Load>({ id: 'x.shock', ...card, asks: ['shock at the landing'] });
    expect([...rulesIn({ './a.ts': { toCome } })].map((r) => [r.id, r.toCome])).toEqual([['x.shock', true]]);
    for (const wanting of [[], ['a sheet without errors']])
      expect(ask([toCome], { massKg: 1, mostKg: 9 }, SUBJECT, wanting)[0]).toMatchObject({
        verdict: 'unknown',
        working: ['Missing: shock at the landing (not judged by the program yet)'],
      });
  });
});
