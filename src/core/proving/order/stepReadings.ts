import type { SiteDesign } from '../../design';
import { within } from '../../kernel/rounding';
import type { GridWindow } from '../../site/gridCodes';
import { gridCodeOf, gridWindow } from '../../site/gridCodes';
import { lineOf } from '../../site/line';
import { dcLimit } from '../../strings/dcLimit';
import { RISE_MOST_K } from '../measure/thermalScan';
import { PRODUCES_FROM } from '../producing';
import type { StepState } from '../tables/energiseOrders';

/** What the readings of a step are held against: from the design, and from the readings that stand. */
export interface StepAbout {
  readonly design: SiteDesign;
  readonly unitId: string;
  /** Mean line voltage at rest by the reading that closed the AC gate; null while none stands. */
  readonly restLineV: number | null;
  /** What each string that hangs on the unit read when it was landed, V. */
  readonly landedV: ReadonlyMap<string, number>;
}

export interface StepField {
  readonly key: string;
  readonly label: string;
  readonly unit: string;
}

const field = (key: string, label: string, unit: string): StepField => ({ key, label, unit });
const LINES = [field('l12V', 'L1–L2', 'V'), field('l23V', 'L2–L3', 'V'), field('l31V', 'L3–L1', 'V')];
const TO_PE = [field('l1peV', 'L1–PE', 'V'), field('l2peV', 'L2–PE', 'V'), field('l3peV', 'L3–PE', 'V')];
const DC = [field('dcV', 'DC + to −', 'V'), field('dcPlusV', 'DC + to PE', 'V'), field('dcMinusV', 'DC − to PE', 'V')];

const inputsOf = ({ design, unitId }: Pick<StepAbout, 'design' | 'unitId'>): StepField[] =>
  lineOf(design)
    .printedStrings.filter((s) => s.place?.inverterId === unitId)
    .map((s) => field(s.id, `Input ${s.place?.tracker}.${s.place?.input}, string ${s.number}`, 'V'));

/** What is typed to confirm a step: every step that switches or waits is confirmed with its reading. */
export function stepFields(state: StepState, about: Pick<StepAbout, 'design' | 'unitId'>): readonly StepField[] {
  switch (state) {
    case 'AC_CLOSED':
      return LINES;
    case 'DC_CLOSED':
      return inputsOf(about);
    case 'AUX_DC_CLOSED':
      return [field('lowestV', 'Lowest input voltage shown', 'V')];
    case 'SELF_CHECK':
      return [field('faultCodes', 'Fault codes shown', 'codes')];
    case 'GRID_WAIT':
      return [field('lineV', 'Line voltage at the end of the wait', 'V'), field('frequencyHz', 'Frequency', 'Hz')];
    case 'RAMP':
      return [field('powerKw', 'AC power', 'kW')];
    case 'ON_GRID':
      return [
        field('powerKw', 'AC power after five minutes', 'kW'),
        field('irradianceWm2', 'Irradiance in the plane', 'W/m²'),
      ];
    case 'SETTLED':
      return [field('riseK', 'Hottest joint over ambient', 'K')];
    case 'STOP':
      return [field('powerKw', 'AC power after the stop', 'kW')];
    case 'AC_OPEN':
      return [field('dcA', 'Largest DC current on any input', 'A')];
    case 'DC_OPEN_FIRST':
      return [field('clampA', 'Largest current by clamp after opening', 'A')];
    case 'DC_OPEN':
      return [field('clampA', 'Largest current by clamp before opening', 'A')];
    case 'PROVE_DEAD':
      return [
        ...LINES,
        ...TO_PE,
        ...DC,
        field('knownBeforeV', 'Meter on a known source, before', 'V'),
        field('knownAfterV', 'Meter on a known source, after', 'V'),
      ];
    case 'LOCKED_OFF':
    case 'DISCHARGE':
    case 'SAFE':
      return [];
  }
}

/** Bounds of the readings (common practice; 25 V and 60 V: IEC 62109-1, decisive voltage class A, recalled). */
const UNCHANGED = 0.01;
const OWN_VOLTAGE = 0.03;
const CURRENT_GONE_A = 0.3;
const DEAD_AC_V = 25;
const DEAD_DC_V = 60;
/** A known source below this proves no meter, V. */
const KNOWN_SOURCE_V = 30;
/** AC power over what hangs on the unit in this light: more is a wrong scale, light or unit (common practice; rear side and cold counted). */
const MOST_OF_LIGHT = 1.3;
const LEAST_OF_LIGHT = 0.2;

type Readings = Readonly<Record<string, number>>;

/** Why the readings of a step are not what it expects, in words; empty where they are. A reading that is missing is never as expected. */
export function stepTroubles(state: StepState, readings: Readings, about: StepAbout): string[] {
  const missing = stepFields(state, about).filter((f) => readings[f.key] === undefined);
  if (missing.length)
    return [`Enter ${missing.map((f) => `${f.label} [${f.unit}]`).join(', ')}: a step is confirmed with its reading.`];
  return troublesOf(state, (key) => readings[key] ?? Number.NaN, about);
}

function troublesOf(state: StepState, at: (key: string) => number, about: StepAbout): string[] {
  const { design, unitId } = about;
  const on = lineOf(design).unit(unitId);
  const ratedKw = (on?.type.ratedW ?? Number.NaN) / 1000;
  switch (state) {
    case 'AC_CLOSED':
      return LINES.flatMap((f) => unchanged(f.label, at(f.key), about.restLineV));
    case 'DC_CLOSED':
      return inputsOf(about).flatMap((f) => ownVoltage(f, at(f.key), about));
    case 'AUX_DC_CLOSED':
      return startVoltage(at('lowestV'), about);
    case 'SELF_CHECK':
      return at('faultCodes') === 0 ? [] : ['A fault code is shown: read it, find the fault, and begin again.'];
    case 'GRID_WAIT':
      return inWindow(at('lineV'), at('frequencyHz'), gridWindow(design.survey).value);
    case 'RAMP':
      return at('powerKw') > 0 ? [] : ['No power yet: keep watching, or find the condition that is not met.'];
    case 'ON_GRID':
      return onGrid(at('powerKw'), at('irradianceWm2'), ratedKw, about);
    case 'SETTLED':
      return at('riseK') <= RISE_MOST_K
        ? []
        : [`${at('riseK')} K over ambient: unload, then find the joint (limit ${RISE_MOST_K} K, IEC 61439-1).`];
    case 'STOP':
      return at('powerKw') < PRODUCES_FROM * ratedKw ? [] : [`${at('powerKw')} kW is not under 1 % of ${ratedKw} kW.`];
    case 'AC_OPEN':
      return gone(at('dcA'));
    case 'DC_OPEN':
    case 'DC_OPEN_FIRST':
      return gone(at('clampA'));
    case 'PROVE_DEAD':
      return proveDead(at);
    case 'LOCKED_OFF':
    case 'DISCHARGE':
    case 'SAFE':
      return [];
  }
}

function unchanged(label: string, volts: number, restV: number | null): string[] {
  if (restV === null) return ['No AC voltages at rest stand on record for this unit: measure them first.'];
  return within(Math.abs(volts - restV), UNCHANGED * restV)
    ? []
    : [`${label}: ${volts} V is over 1 % from the ${restV.toFixed(1)} V measured at rest.`];
}

function ownVoltage({ key, label }: StepField, volts: number, about: StepAbout): string[] {
  const landed = about.landedV.get(key);
  const on = lineOf(about.design).string(key);
  const limit = on?.type ? dcLimit({ module: on.module, inverter: on.type, survey: about.design.survey }).value : null;
  if (landed === undefined) return [`${label}: no landed voltage stands on record.`];
  if (!limit) return [`${label}: its DC limit is unknown.`];
  if (volts > limit.limitV) return [`${label}: ${volts} V is above the limit ${limit.limitV} V: open that DC switch.`];
  if (!within(Math.abs(volts - landed), OWN_VOLTAGE * landed))
    return [
      `${label}: ${volts} V is over 3 % from its own ${landed} V: another string, or the light has changed. Measure it again.`,
    ];
  return startVoltage(volts, about, label);
}

function startVoltage(volts: number, { design, unitId }: StepAbout, label = 'Input'): string[] {
  const startV = lineOf(design).unit(unitId)?.type.startV ?? null;
  if (startV === null)
    return ['The start-up voltage is not on the unit’s sheet: nobody can say whether it will start.'];
  return volts >= startV
    ? []
    : [`${label}: ${volts} V is under the start-up voltage ${startV} V: the unit will not start.`];
}

function inWindow(lineV: number, frequencyHz: number, window: GridWindow | null): string[] {
  if (!window) return ['No grid code or nominal voltage on the survey: the window is unknown.'];
  const { minV, maxV, minHz, maxHz } = window;
  if (!(lineV >= minV && lineV <= maxV))
    return [`${lineV} V is outside ${minV.toFixed(0)} to ${maxV.toFixed(0)} V: the wait restarts.`];
  return frequencyHz >= (minHz ?? 0) && frequencyHz <= (maxHz ?? Infinity)
    ? []
    : [`${frequencyHz} Hz is outside ${minHz ?? '–'} to ${maxHz ?? '–'} Hz: the wait restarts.`];
}

function onGrid(powerKw: number, irradianceWm2: number, ratedKw: number, { design, unitId }: StepAbout): string[] {
  if (!(powerKw > PRODUCES_FROM * ratedKw)) return [`${powerKw} kW is not above 1 % of ${ratedKw} kW.`];
  const lightKw = (lineOf(design).hungW(unitId) / 1000) * (irradianceWm2 / 1000);
  const mostKw = Math.min(MOST_OF_LIGHT * lightKw, 1.1 * ratedKw);
  const leastKw = Math.min(LEAST_OF_LIGHT * lightKw, 0.9 * ratedKw);
  if (powerKw > mostKw)
    return [
      `${powerKw} kW is more than ${mostKw.toFixed(1)} kW that ${irradianceWm2} W/m² can give here: scale, light, or another unit’s display?`,
    ];
  return powerKw >= leastKw
    ? []
    : [
        `${powerKw} kW is under ${leastKw.toFixed(1)} kW that ${irradianceWm2} W/m² should give: look for strings that do not feed.`,
      ];
}

const gone = (amps: number): string[] =>
  amps < CURRENT_GONE_A
    ? []
    : [
        `${amps} A still flows: leave every plug and DC switch shut, keep clear, come back in the dark (under 20 W/m²).`,
      ];

function proveDead(at: (key: string) => number): string[] {
  const live = [
    ...[...LINES, ...TO_PE].filter((f) => !(Math.abs(at(f.key)) <= DEAD_AC_V)),
    ...DC.filter((f) => !(Math.abs(at(f.key)) <= DEAD_DC_V)),
  ].map((f) => `${f.label}: ${at(f.key)} V is not dead: close up and find the second source.`);
  const meter = at('knownBeforeV') >= KNOWN_SOURCE_V && at('knownAfterV') >= KNOWN_SOURCE_V;
  return [...live, ...(meter ? [] : ['The meter is not proved: show a known source before and after.'])];
}

/** Longest wait of discharge: RC·ln(V₀/60), 300 s and the label, s; 900 s where no label is legible (common practice). */
export function dischargeWaitS(
  labelS: number | null,
  circuit?: { readonly busV: number; readonly bleederOhm: number; readonly farad: number },
): number {
  const computedS = circuit ? circuit.bleederOhm * circuit.farad * Math.log(circuit.busV / DEAD_DC_V) : 0;
  return Math.max(computedS, 300, labelS ?? 900);
}

/** Least wait of a step, s; null while the grid code is not on the survey. */
export function leastWaitS(
  step: { readonly state: StepState; readonly minS: number | 'delay' },
  { design, unitId }: Pick<StepAbout, 'design' | 'unitId'>,
): number | null {
  if (step.minS === 'delay') return gridCodeOf(design.survey.gridCode)?.delayS ?? null;
  return step.state === 'DISCHARGE'
    ? dischargeWaitS(lineOf(design).unit(unitId)?.type.dischargeWaitS ?? null)
    : step.minS;
}
