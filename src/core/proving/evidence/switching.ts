import type { Entry, EntryOf } from '../entry';
import { gateRow } from '../gates/machine';
import type { GateId } from '../gates/machine';
import { AC_VOLTAGES } from '../kinds/acVoltages';
import { LANDING } from '../kinds/landing';
import type { STEP } from '../kinds/step';
import type { StepAbout } from '../order/stepReadings';
import { leastWaitS, stepTroubles } from '../order/stepReadings';
import { lineVoltages } from '../supplyShape';
import { lineOf } from '../../site/line';
import { isOff, stepsOf } from '../tables/energiseOrders';
import type { OrderName, StepState } from '../tables/energiseOrders';
import type { Applied } from './applied';
import { stopOrder, underWay } from './orders';
import { isElectrician } from './people';
import type { Run, StepDone } from './state';
import { standOf } from './state';
import { timeOf } from './times';
import { put } from './withdraw';
import type { Result } from '../kind';

type Step = Entry & EntryOf<'step', ReturnType<(typeof STEP)['values']['parse']>>;

/** Steps that switch nothing on. */
const DARK: readonly StepState[] = ['LOCKED_OFF'];

/** What is next in an order; undefined where it is over. Of a way of switching off: its first step that was not made, by it or by the other. */
export function nextState(run: Run, order: OrderName): StepState | undefined {
  if (!isOff(order)) return stepsOf(order)[run.done.length]?.state;
  const made: readonly string[] = run.isolating ? run.off.map((s) => s.state) : [];
  return stepsOf(order).find((s) => !made.includes(s.state))?.state;
}

/** Why DC cannot be opened first: the switch would break the full current. Null where the sheet lets it, or where it was done. */
function dcStaysShut(app: Applied, unit: string, state: StepState): string | null {
  if (state !== 'STOP' && state !== 'DC_OPEN_FIRST') return null;
  const type = app.newest && lineOf(app.newest.design).unit(unit)?.type;
  return type?.dcOpensFirst
    ? null
    : `the data sheet of ${type?.name ?? 'the unit'} does not say that its DC switches may be opened first: they would break the full current; open AC first`;
}

/** What stands in the way of the next step of an order, in words; empty where nothing does but its reading and its wait. */
export function guardsLost(app: Applied, unit: string, order: OrderName, state: StepState): string[] {
  if (isOff(order)) {
    const shut = order === 'off-dc' ? dcStaysShut(app, unit, state) : null;
    return shut === null ? [] : [shut];
  }
  const run = app.moment.run(unit);
  const step = stepsOf(order).find((s) => s.state === state);
  const at = (gate: GateId): string[] =>
    gateRow(gate).scope === 'string'
      ? app.needs(gateRow('I-DCLAND'), unit).gates.flatMap((n) => (n.gate === gate ? [n.object] : []))
      : [gateRow(gate).scope === 'site' ? 'site' : unit];
  const gates: readonly GateId[] = ['S-SAFE', 'I-PERMIT', ...(step?.gates ?? [])];
  const open = gates.flatMap((gate) =>
    at(gate).flatMap((o) => (app.closed(gate, o) ? [] : [gateRow(gate).scope === 'site' ? gate : `${gate}@${o}`])),
  );
  return [
    ...(run.stopped === null
      ? []
      : [`the order stopped: ${run.stopped}; isolate the unit and prove it dead, then begin again`]),
    ...(run.isolating ? ['the unit is being switched off'] : []),
    ...(run.order !== null && run.order !== order ? [`order ${run.order} was begun`] : []),
    ...open.map((key) => `gate ${key} is not closed`),
  ];
}

/** What the readings of a step are held against, from the proofs that stand. */
export function stepAbout(app: Applied, unit: string): StepAbout | null {
  const { newest } = app;
  if (!newest) return null;
  const ac = app.moment.stand('I-ACV', unit).ruling?.by;
  const landing = app.moment.stand('I-DCLAND', unit).ruling?.by;
  const lines = ac && AC_VOLTAGES.is(ac) ? lineVoltages(ac.values) : null;
  return {
    design: newest.design,
    unitId: unit,
    restLineV: lines && (lines[0] + lines[1] + lines[2]) / 3,
    landedV: new Map(landing && LANDING.is(landing) ? landing.values.inputs.map((i) => [i.stringId, i.voltageV]) : []),
  };
}

/** Why a step does not count; null where it does. */
function stepTrouble(app: Applied, entry: Step): string | null {
  const { order, state, readings, waitedS } = entry.values;
  const unit = entry.subject.id;
  const run = app.moment.run(unit);
  if (!isElectrician(entry, app.dayOf(entry))) return 'A step is made by an electrician with a valid licence.';
  const next = nextState(run, order);
  if (next !== state)
    return next
      ? `${state} is not the next step: ${next} is.`
      : `Nothing is left to do in this order: ${state} was not asked for.`;
  const lost = guardsLost(app, unit, order, state);
  if (lost.length) return lost.join('; ');
  const about = stepAbout(app, unit);
  const step = stepsOf(order).find((s) => s.state === state);
  if (!about || !step) return 'Nothing is released to switch by.';
  const wait = leastWaitS(step, about);
  if (wait === null) return 'The grid code is not on the survey: its waiting time is unknown.';
  const before = isOff(order) ? (run.isolating ? run.off.at(-1) : undefined) : run.done.at(-1);
  const late = waitTrouble(entry, wait, waitedS, before);
  if (late) return late;
  return stepTroubles(state, readings, about)[0] ?? null;
}

/** Waits are counted by the device that stood there; none can be longer than the time since the step before. */
function waitTrouble(entry: Entry, wait: number, waitedS: number, before: StepDone | undefined): string | null {
  if (waitedS < wait)
    return `Wait ${Math.ceil(wait - waitedS)} s longer: ${Math.floor(waitedS)} of ${Math.ceil(wait)} s have passed.`;
  const [t, u] = timeOf(entry);
  if (wait > 0 && before && (t - before.atMs + u + before.uncertainMs) / 1000 < wait)
    return `Only ${Math.round((t - before.atMs) / 1000)} s lie between this step and the one before: ${Math.ceil(wait)} s are asked.`;
  return null;
}

export function applyStep(app: Applied, entry: Step): void {
  const { order, state } = entry.values;
  const unit = entry.subject.id;
  const run = app.moment.run(unit);
  const trouble = stepTrouble(app, entry);
  if (trouble) {
    app.note(entry, trouble);
    // Whoever says that a switch was closed, allowed or not: it has to be taken as closed until it is proved open.
    if (!isOff(order) && !DARK.includes(state) && !run.live) app.moment.putRun(unit, { live: true });
    return;
  }
  const [atMs, uncertainMs] = timeOf(entry);
  const done: StepDone = { state, id: entry.id, atMs, uncertainMs };
  if (isOff(order)) return switchOff(app, unit, run, done);
  app.moment.putRun(unit, { order, done: [...run.done, done], live: run.live || !DARK.includes(state) });
  if (state === 'ON_GRID') app.read(entry, 'I-ONGRID', 'pass');
}

function switchOff(app: Applied, unit: string, run: Run, done: StepDone): void {
  const off = run.isolating ? [...run.off, done] : [done];
  if (done.state !== 'SAFE')
    return app.moment.putRun(unit, {
      off,
      isolating: true,
      ...(underWay(run) ? { stopped: run.stopped ?? 'it was switched off' } : {}),
    });
  app.moment.putRun(unit, { order: null, done: [], stopped: null, off, isolating: false, live: false });
}

/** A step put right: a reading that was not as expected stops the order, and a unit that was not dead is live again. It never raises. */
export function correctStep(app: Applied, entry: Step, target: Entry): void {
  const unit = entry.subject.id;
  const run = app.moment.run(unit);
  const about = stepAbout(app, unit);
  const replaced = (steps: readonly StepDone[]) => steps.map((s) => (s.id === target.id ? { ...s, id: entry.id } : s));
  const among = (steps: readonly StepDone[]) => steps.some((s) => s.id === target.id);
  if (!among(run.done) && !among(run.off)) return;
  const { state, readings } = entry.values;
  const bad = about ? stepTroubles(state, readings, about)[0] : 'nothing is released';
  if (!bad) {
    app.moment.putRun(unit, { done: replaced(run.done), off: replaced(run.off) });
    return replaceOnGrid(app, entry, target, 'pass');
  }
  if (among(run.off)) {
    const kept = run.off.slice(
      0,
      run.off.findIndex((s) => s.id === target.id),
    );
    return app.moment.putRun(
      unit,
      run.isolating
        ? { off: kept, isolating: kept.length > 0 }
        : { live: true, off: [], stopped: run.done.length ? (run.stopped ?? 'it was not dead') : null },
    );
  }
  app.moment.putRun(unit, { done: replaced(run.done) });
  if (state === 'ON_GRID') replaceOnGrid(app, entry, target, null);
  else stopOrder(app, unit, `${state} was corrected: ${bad}`);
}

/** The reading of the step on grid, in the place of the one it corrects. */
function replaceOnGrid(app: Applied, entry: Entry, target: Entry, result: Result): void {
  const unit = entry.subject.id;
  const { readings } = app.moment.stand('I-ONGRID', unit);
  const next = readings.map((r) => (r.by.id === target.id ? { ...r, by: entry, result } : r));
  put(app, gateRow('I-ONGRID'), unit, standOf(next, null));
}
