import { describe, expect, it } from 'vitest';
import { twoUnits } from '../../testing/handedOver';
import { gateRow } from '../gates/machine';
import { inputsOf, netOf } from './siteModel';

const net = (over: object) => netOf({ ...twoUnits, ...over });
const survey = (over: object) => net({ survey: { ...twoUnits.survey, ...over } });

describe('the gates of a released design', () => {
  it('have a bus to prove where devices are drawn on one', () => {
    const bare = net({ chain: { ...twoUnits.chain, devices: [] } });
    expect([netOf(twoUnits), bare].map((n) => n.applies(gateRow('S-BUS'), 'site'))).toEqual([true, false]);
  });
  it('stand where nobody has looked for the device, and fall away where somebody found none', () => {
    const applies = (gate: 'S-ESTOP' | 'I-DRY', name: string) =>
      [true, null, false].map((is) =>
        survey({ [name]: is }).applies(gateRow(gate), gate === 'I-DRY' ? 'inv-1' : 'site'),
      );
    expect(applies('S-ESTOP', 'stopFitted')).toEqual([true, true, false]);
    expect(applies('I-DRY', 'contactsFitted')).toEqual([true, true, false]);
  });
  it('ask the run of a unit for its residual-current device, and the survey where the run says nothing', () => {
    const at = (residualFitted: boolean | null, rcdFitted: boolean | null) =>
      net({
        survey: { ...twoUnits.survey, rcdFitted },
        runs: twoUnits.runs.map((r) => (r.inverterId === 'inv-1' ? { ...r, residualFitted } : r)),
      }).applies(gateRow('I-RCD'), 'inv-1');
    expect([at(false, true), at(true, false), at(null, false), at(null, true), at(null, null)]).toEqual([
      false,
      true,
      false,
      true,
      true,
    ]);
  });
  it('ask for rapid shutdown by the school of the site and where it stands', () => {
    const asked = (over: object) => survey(over).applies(gateRow('I-RAPID'), 'inv-1');
    expect([asked({}), asked({ school: 'NEC', building: null })]).toEqual([false, true]);
    expect(asked({ school: 'NEC', building: 'not on a building' })).toBe(false);
  });
  it('know the strings that hang at a unit, and none that hang nowhere', () => {
    const [first, ...others] = twoUnits.strings;
    const loose = net({ strings: [{ ...first, place: null }, ...others] });
    expect(netOf(twoUnits).unitsOf(first?.id ?? '')).toEqual([first?.place?.inverterId]);
    expect(loose.unitsOf(first?.id ?? '')).toEqual([]);
    expect(loose.stringsOf('inv-1')).toEqual(others.filter((s) => s.place?.inverterId === 'inv-1').map((s) => s.id));
  });
});

describe('what proofs rest on', () => {
  const { modules } = twoUnits.equipment;
  const sheet = (over: object) => ({
    ...twoUnits,
    equipment: { ...twoUnits.equipment, modules: modules.map((m) => ({ ...m, ...over })) },
  });
  const string = twoUnits.strings[0]?.id ?? '';
  it('is a module by what is measured on it, and not its size', () => {
    const own = inputsOf(twoUnits, 'D-IR', string);
    expect(inputsOf(sheet({ lengthMm: 2278, widthMm: 1134 }), 'D-IR', string)).toBe(own);
    expect(inputsOf(sheet({ uocV: 51 }), 'D-IR', string)).not.toBe(own);
  });
});
