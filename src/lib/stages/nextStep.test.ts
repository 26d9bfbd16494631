import { describe, expect, it } from 'vitest';
import { RULE_BOOK } from '$core/proving/ruleBook';
import { assessSite } from '$core/design/assess';
import { emptyDesign } from '$core/design';
import { plane, siteOf } from '$core/testing/examples';
import { surveySchema } from '$core/site/survey';
import { boardSchema } from '$core/site/parts';
import { acRunSchema } from '$core/ac/part';
import { pollPlanSchema } from '$core/links/timing/pollPlan';
import { busLineSchema } from '$core/links/line/busLine';
import { ruleToCome } from '$core/kernel/rule';
import { published } from '$core/kernel/check';
import { dcCableSchema } from '$core/strings/part';
import { missingInputs, nextStep } from './nextStep';
import { enteredAt } from './whereEntered';

const FORMS: Readonly<Record<string, readonly object[]>> = {
  survey: [surveySchema.shape],
  strings: [dcCableSchema.shape],
  ac: [acRunSchema.shape, boardSchema.shape],
  'links/pair': [busLineSchema.shape],
  'links/timing': [pollPlanSchema.shape],
};

describe('what is missing', () => {
  const checks = assessSite(siteOf(3, [plane('south', 40)])).checks;
  const missing = missingInputs(checks);

  it('is named once, what keeps most checks open first', () => {
    expect(missing.length).toBeGreaterThan(0);
    expect(new Set(missing.map((m) => m.name)).size).toBe(missing.length);
    expect(missing.map((m) => m.checks)).toEqual(missing.map((m) => m.checks).toSorted((a, b) => b - a));
  });

  it('has a place where it is entered, whatever a rule of the design asks for', () => {
    const asked = RULE_BOOK.filter((c) => c.name !== 'proving')
      .flatMap((c) => c.rules)
      .filter((r) => !r.toCome)
      .flatMap((r) => r.asks);
    const nowhere = [...new Set(asked)].filter((name) => enteredAt(name) === null);
    // These follow from other inputs, and their checks name those instead.
    expect(nowhere).toEqual([
      'current the DC cable may carry',
      'way from the grid to every unit',
      'metals of lines, PE and external earth',
      'current the cable may carry',
      'lug, core and offset of the bend',
      'ambient and side-by-side factor at the breaker',
      'breakers of the runs',
      'settings of the main breaker',
      'metal and section',
      'way, mass and friction of the pull',
      'lines that are pulled by',
      'runs and main cable',
      'impedance of the run',
      'impedance by the design',
      'air at the unit',
      'plan of the addresses',
      'how the Ethernet is closed',
    ]);
    expect(missing.filter((m) => m.at === null)).toEqual([]);
  });

  it('leads to fields that there are', () => {
    const led = missingInputs(assessSite(siteOf(2, [plane('south', 40)])).checks).flatMap((m) => (m.at ? [m.at] : []));
    for (const { stage, field } of led)
      if (field !== undefined)
        expect(
          FORMS[stage]?.some((shape) => field in shape),
          `${stage} ${field}`,
        ).toBe(true);
  });

  it('is nothing where a rule is only to come: nobody can enter it', () => {
    const card = { id: 'x.y', title: 'Y', unit: 'V', basis: published('nowhere') };
    const toCome = ruleToCome({ ...card, asks: ['length of the run'] }).check({}, { element: 'run', path: 'R' });
    expect(toCome.working[0]).toContain('length of the run');
    expect(missingInputs([toCome])).toEqual([]);
  });
});

describe('the next step', () => {
  it('leads from an empty site along the stages', () => {
    expect(nextStep(emptyDesign('New'))).toMatchObject({ number: 1, at: { stage: 'survey', field: 'coldestC' } });
    const surveyed = emptyDesign('New');
    const cold = { ...surveyed, survey: { ...surveyed.survey, coldestC: -15, hottestC: 35, lineV: 400 as const } };
    expect(nextStep(cold)).toMatchObject({ number: 3, words: 'Add the first plane of modules' });
  });
  it('is to lay the strings out once planes and inverters are there', () => {
    expect(nextStep(siteOf(2, [plane('south', 40)]))?.at.stage).toBe('strings');
  });
});
