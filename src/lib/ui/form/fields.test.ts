import { describe, expect, it } from 'vitest';
import { inverterSheetSchema } from '$core/equipment/inverterType';
import { dcCableSchema } from '$core/strings/part';
import { acRunSchema } from '$core/ac/part';
import { planeSchema } from '$core/site/parts';
import { surveySchema } from '$core/site/survey';
import { wallSchema } from '$core/mounting/part';
import { energyForm } from '$lib/schemas/forms';
import { blankRow, fieldsOf } from './fields';

const field = (schema: Parameters<typeof fieldsOf>[0], path: string) => fieldsOf(schema, [path])[0]!;

describe('fields read off a schema', () => {
  it('have words, unit and kind of core', () => {
    expect(field(surveySchema, 'coldestC')).toEqual({
      path: 'coldestC',
      label: 'Lowest expected ambient at dawn',
      unit: '°C',
      kind: 'number',
      nullable: true,
      choices: [],
      items: [],
    });
  });
  it('of a list are those of its rows, its id left out; a new row has nothing typed', () => {
    const holes = field(wallSchema, 'obstructions');
    expect(holes).toMatchObject({ kind: 'list', label: 'Obstructions' });
    expect(holes.items.map((f) => [f.path, f.kind])).toEqual([
      ['kind', 'choice'],
      ['xMm', 'number'],
      ['yMm', 'number'],
      ['widthMm', 'number'],
      ['heightMm', 'number'],
      ['marginMm', 'number'],
    ]);
    expect(blankRow(holes, 'r1')).toEqual({
      id: 'r1',
      kind: null,
      xMm: null,
      yMm: null,
      widthMm: null,
      heightMm: null,
      marginMm: null,
    });
  });
  it('see through defaults, nulls and unions to choices', () => {
    expect(field(surveySchema, 'building')).toMatchObject({ kind: 'choice', nullable: true, label: 'On a building' });
    expect(field(surveySchema, 'coldMethod')).toMatchObject({
      kind: 'choice',
      nullable: false,
      choices: ['coefficient', 'table', 'engineered'],
    });
    expect(field(dcCableSchema, 'sectionMm2')).toMatchObject({
      kind: 'choice',
      nullable: true,
      unit: 'mm²',
      choices: [2.08, 2.5, 3.31, 4, 5.26, 6, 8.37, 10, 13.3, 16],
    });
    expect(field(energyForm, 'clearness')).toMatchObject({ kind: 'text', nullable: false, unit: '0 to 1', wide: true });
    expect(field(planeSchema, 'edgeM')).toMatchObject({ kind: 'number', nullable: false, unit: 'm' });
    expect(field(surveySchema, 'rcdFitted')).toMatchObject({ kind: 'yes-no', nullable: true });
    expect(field(surveySchema, 'engineeredDocument').kind).toBe('text');
  });
  it('reach into parts, and name themselves where core gives no words', () => {
    expect(field(inverterSheetSchema, 'bay.studM')).toMatchObject({ unit: 'M', kind: 'choice' });
    expect(field(acRunSchema, 'cores').label).toBe('Cores');
    // A part that older documents leave out is reached into all the same.
    expect(field(wallSchema, 'lift.hookMm')).toMatchObject({ unit: 'mm', kind: 'number', nullable: true });
  });
  it('refuse a path that is none', () =>
    expect(() => fieldsOf(surveySchema, ['nothing.here'])).toThrow(/path must name a field/));
});
