import { mountingResults } from '../mounting/results';
import { setOutSheet } from '../mounting/setOut/setOutSheet';
import { torqueTarget } from '../ac/torque';
import type { SiteDesign } from '../design';
import type { Instrument } from '../equipment/instrument';
import type { Device, Entry, EntrySubject, Role } from '../proving/entry';
import type { GateId } from '../proving/gates/machine';
import { gateRow } from '../proving/gates/machine';
import { kindNamed, measuring, recordSchema } from '../proving/kinds';
import { earthContinuity } from '../proving/measure/earthContinuity';
import { joinedAlike } from '../proving/measure/jointOhms';
import { jointsOf } from '../proving/measure/torqueJoint';
import { leastWaitS, stepFields } from '../proving/order/stepReadings';
import { expectedReading } from '../proving/stringCauses';
import type { OrderName, StepState } from '../proving/tables/energiseOrders';
import { stepsOf } from '../proving/tables/energiseOrders';
import { plannedOf } from '../links/field/planned';
import { meterSheet } from '../links/line/meterSheet';
import { FIRST_BUS, devicesOn } from '../links/buses';
import { blocksDirect } from '../links/line/busLine';
import { busResult } from '../links/results';
import { lineOf } from '../site/line';
import { gridCodeOf } from '../site/gridCodes';

/** A crew on a made-up site: entries as healthy work leaves them, with what a test wants otherwise. */

const instrument = (
  kind: Instrument['kind'],
  name: string,
  serial: string,
  ranges: Instrument['ranges'] = [],
): Instrument => ({
  kind,
  name,
  serial,
  calibratedUntil: '2027-02-28',
  ranges,
});
const range = (of: Instrument['ranges'][number]['of'], min: number, max: number, resolution: number | null = null) => ({
  of,
  min,
  max,
  accuracyPercent: null,
  digits: null,
  resolution,
});
export const INSTRUMENTS = {
  'PV tester': instrument('PV tester', 'PV test set', 'PTS-0417', [
    range('DC voltage', -1500, 1500),
    range('irradiance', 0, 1500),
    range('current', 0, 40),
  ]),
  'insulation tester': instrument('insulation tester', 'Insulation tester', 'INS-2209', [
    range('insulation', 0, 20000),
    range('test voltage', 50, 2500),
  ]),
  'earth tester': instrument('earth tester', 'Continuity tester', 'CON-0933', [range('resistance', 0, 200)]),
  multimeter: instrument('multimeter', 'Multimeter', 'MUL-5120', [
    range('AC voltage', 0, 1000),
    range('DC voltage', -1500, 1500),
    range('frequency', 10, 500),
  ]),
  'torque tool': instrument('torque tool', 'Torque wrench 10–60 N·m', 'TW-118', [range('torque', 10, 60, 0.1)]),
  'residual-current tester': instrument('residual-current tester', 'Residual tester', 'RES-0071'),
  'clamp meter': instrument('clamp meter', 'Clamp', 'CLA-3310', [range('current', 0, 1000)]),
  'thermal camera': instrument('thermal camera', 'Thermal camera', 'THC-0208'),
  'light meter': instrument('light meter', 'Light meter', 'LUX-1102'),
  stopwatch: instrument('stopwatch', 'Stopwatch', 'STO-0005'),
  'micro-ohmmeter': instrument('micro-ohmmeter', 'Micro-ohmmeter 100 A', 'MOH-0044', [range('resistance', 0, 0.01)]),
} as const;

/** Light in which healthy strings are measured. */
const LIGHT = { cellC: 41, irradianceWm2: 700 };

const stringVolts = (design: SiteDesign, id: string, light = LIGHT): number => {
  const on = lineOf(design).string(id);
  return on ? Math.round(10 * expectedReading(on.module, { modules: on.string.modules, ...light }).stringV) / 10 : 0;
};

const earthValues = (design: SiteDesign, subject: EntrySubject) => {
  const run = design.runs.find((r) => r.inverterId === subject.id);
  const leg = (lengthM: number, sectionMm2: number) => {
    const { value } = earthContinuity({
      readOhm: 0.001,
      nullOhm: 0,
      lengthM,
      sectionMm2,
      metal: 'Cu',
      conductorC: 20,
      joints: 2,
      testA: 0.2,
    });
    return Math.round(1000 * (0.05 + (value?.expectedOhm ?? 0))) / 1000;
  };
  return {
    firstOhm: leg(run?.lengthM ?? 40, run?.peMm2 ?? 70),
    secondOhm: leg(12, run?.externalEarthMm2 ?? 16),
    nullOhm: 0.05,
    conductorC: 20,
    joints: 2,
    testA: 0.2,
    firstLengthM: 40,
    firstMm2: 70,
    firstMetal: 'Cu',
    secondLengthM: 12,
    secondMm2: 16,
    secondMetal: 'Cu',
  };
};

/** A scan of one bus that went as planned. */
export function healthyScan(design: SiteDesign, bus: number) {
  const { line } = design.chain;
  const blocks = blocksDirect(line);
  const [pair, ...behind] = busResult(design, bus).segments.map((s) => ({
    repeaterId: s.chain.devices[0]?.id ?? '',
    pairOhm: blocks ? 5000 : Math.round(10 * (meterSheet(s).value?.rows[0]?.bothOhm ?? 60)) / 10,
    ...(blocks ? { pairNf: Math.round(2 * (line.terminatorNf ?? 0) + 0.05 * (s.lengthM.value ?? 0)) } : {}),
  }));
  return {
    from: 'over the bus',
    bitRate: design.chain.bitRate ?? 9600,
    polls: 100,
    units: plannedOf(devicesOn(design.chain, bus)).map(({ address, serial }) => ({
      address,
      serials: serial === null ? [] : [serial],
      good: 100,
    })),
    pairOhm: pair?.pairOhm ?? 60,
    ...(blocks ? { pairNf: pair?.pairNf ?? 0 } : {}),
    ...(behind.length ? { beyond: behind } : {}),
    groundV: 0.2,
  };
}

/** Healthy values of a kind at a part. Throws RangeError for a kind that has none. */
export function healthy(kind: string, design: SiteDesign, subject: EntrySubject): Record<string, unknown> {
  const { survey } = design;
  const line = lineOf(design);
  const on = line.unit(subject.id);
  const lineV = survey.lineV ?? 400;
  const phaseV = Math.round((10 * lineV) / Math.sqrt(3)) / 10;
  const neutral =
    subject.scope === 'site' ? survey.service !== 'earthed wye, neutral not brought out' : on?.type.wiring === '5-wire';
  const ten = {
    l12V: lineV + 1,
    l23V: lineV,
    l31V: lineV + 1,
    l1nV: neutral ? phaseV : null,
    l2nV: neutral ? phaseV : null,
    l3nV: neutral ? phaseV : null,
    npeV: neutral ? 0.9 : null,
    l1peV: phaseV,
    l2peV: phaseV,
    l3peV: phaseV,
    frequencyHz: survey.frequencyHz ?? 50,
    rotation: 'L1-L2-L3',
  };
  switch (kind) {
    case 'string-test':
      return { voltageV: stringVolts(design, subject.id), ...LIGHT, lightAt: null, currentA: null };
    case 'string-current': {
      const module = line.string(subject.id)?.module;
      return {
        currentA: module ? expectedReading(module, { modules: 1, ...LIGHT }).currentA : 0,
        by: 'running, after switch-on',
        irradianceStartWm2: 700,
        irradianceEndWm2: 700,
        cellC: LIGHT.cellC,
      };
    }
    case 'dc-insulation':
      return {
        testV: Math.min(1500, line.string(subject.id)?.module.systemMaxV ?? 1000),
        megohm: 42,
        seconds: 60,
        part: 1,
        ofParts: 1,
      };
    case 'ac-insulation':
      return { testV: lineV <= 500 ? 500 : 1000, megohm: 220, seconds: 60 };
    case 'earth':
      return earthValues(design, subject);
    case 'supply':
      return { ...ten, l1peLowV: phaseV - 1, l2peLowV: phaseV - 1, l3peLowV: phaseV - 1 };
    case 'ac-voltages':
      return ten;
    case 'as-drilled': {
      const { hung } = mountingResults(design);
      const tag = on?.unit.tag;
      const holes = setOutSheet(hung).holes.filter((h) => h.tag === tag && h.kind === 'bracket');
      return { holes: holes.map((h, i) => ({ name: h.name, xMm: h.xMm + (i % 2), yMm: h.yMm })) };
    }
    case 'received':
      return {
        serial: `SN-${subject.id}`,
        packagingWhole: true,
        carrierTold: false,
        items: (on?.type.body.packing ?? []).map(({ item, perUnit }) => ({ item, got: perUnit, damaged: 0 })),
      };
    case 'lift':
      return {
        by: 'lift table',
        people: 2,
        gustMs: 3,
        wayFree: true,
        nobodyBelow: true,
        gearSeen: true,
        handlesReady: true,
        accepted: '',
      };
    case 'mounted':
      return {
        serial: `SN-${subject.id}`,
        fixings: Array.from({ length: on?.type.body.bracketHoles.length || 4 }, () => 30),
        fixingTargetNm: 30,
        witnessMarks: true,
        safetyScrews: Math.max(2, on?.type.body.safetyHoles.length ?? 0),
        rollDeg: 0.2,
        backDeg: 0.3,
        hooksEngaged: true,
        clearancesKept: true,
      };
    case 'torque': {
      const run = design.runs.find((r) => r.inverterId === subject.id);
      const target = on && torqueTarget(on.type.bay, run);
      const nm = target ? target.setNm : 25;
      return {
        joints: on ? jointsOf(on.type.wiring, run).map(({ at }) => ({ at, appliedNm: nm })) : [],
        boardTargetNm: nm,
        mode: 'click',
        witnessMarks: true,
      };
    }
    case 'retorque':
      return {
        joints: on ? jointsOf(on.type.wiring, undefined).map(({ at }) => ({ at, how: 'held' })) : [],
        boardTargetNm: 25,
        why: 'yearly',
      };
    case 'joint-ohms': {
      const joints = on ? joinedAlike(jointsOf(on.type.wiring, undefined)) : [];
      return { joints: joints.map(({ at }, i) => ({ at, microOhm: 18 + (i % 3) })), testA: 100 };
    }
    case 'earth-fault':
      return { plusV: 3, minusV: 2, openV: Math.abs(stringVolts(design, subject.id)), meterMohm: 10 };
    case 'landing':
      return {
        inputs: (on?.strings ?? []).map((s) => ({ stringId: s.id, voltageV: stringVolts(design, s.id) })),
        clicked: true,
        capped: true,
      };
    case 'residual':
      return {
        type: 'B',
        ratedMa: Math.max(300, (10 * (on?.type.maxApparentVa ?? 0)) / 1000),
        delayed: false,
        atRatedMs: 120,
        atFiveMs: 20,
        tripsAtHalf: false,
        rampMa: 0.8 * Math.max(300, (10 * (on?.type.maxApparentVa ?? 0)) / 1000),
        smoothRamp: false,
        typeAAllowed: null,
      };
    case 'thermal':
      return {
        hottestC: 41,
        likeC: 40.5,
        ambientC: 24,
        currentA: 0.8 * (on?.type.outputMaxA ?? 100),
        minutes: 75,
        where: 'L2 at the unit',
      };
    case 'meter':
      return {
        unitId: design.inverters[0]?.id ?? '',
        beforeKw: -38.2,
        afterKw: 11.9,
        unitKw: 51,
        change1Kw: 17.1,
        change2Kw: 17,
        change3Kw: 16.9,
        transformers: true,
        plateRatio: 50,
        shownRatio: 50,
      };
    case 'stop':
      return {
        secondsToZero: 1.2,
        statedS: 5,
        leftPercent: 0.1,
        restarted: false,
        waitedAgainS: gridCodeOf(survey.gridCode)?.delayS ?? 60,
      };
    case 'rapid-shutdown':
      return { workedBy: 'rapid shutdown switch', seconds: 28, outsideV: 4, insideV: 36, listedSystem: '' };
    case 'addressed': {
      const device = design.chain.devices.find((d) => d.inverterId === subject.id);
      return { from: 'at the unit', address: device?.address ?? 1, serial: device?.serial ?? null };
    }
    case 'way-test':
      return {
        way: 'ethernet',
        wayId: design.chain.otherWays.ethernet[0]?.id ?? 'none',
        when: 'at another hour',
        unitsOn: design.chain.otherWays.ethernet[0]?.units ?? 1,
        unitsAnswered: design.chain.otherWays.ethernet[0]?.units ?? 1,
        polls: 100,
        worstGood: 100,
      };
    case 'bus-scan':
      return healthyScan(design, FIRST_BUS);
    case 'set-up': {
      const device = design.chain.devices.find((d) => d.inverterId === subject.id);
      return {
        from: 'at the unit',
        gridCode: survey.gridCode ?? 'none',
        nominalV: lineV,
        nominalHz: survey.frequencyHz ?? 50,
        clockAheadS: 3,
        zoneSet: true,
        address: device?.address ?? null,
        bitRate: device ? design.chain.bitRate : null,
        exportLimitKw: null,
        insulationKohm: 60,
        voltWatt: true,
        reactive: 'power factor 1',
        firmware: '4.2',
        passwordChanged: true,
        passwordHeldBy: 'lead',
        remoteOwner: 'the customer',
      };
    }
    case 'contacts': {
      const rippleKw = (share: number) => (share * (on?.type.ratedW ?? 1e5)) / 1000;
      return {
        contacts: [
          { contact: 'stop', logic: 'normally closed', supervised: false, acted: true, seconds: 1.2, mostS: 5 },
          {
            contact: 'ripple control',
            logic: 'normally open',
            supervised: false,
            acted: true,
            seconds: 2.4,
            mostS: 5,
          },
        ],
        notWired: ['generator start', 'demand mode'],
        ripple: [
          { percent: 60, beforeKw: rippleKw(0.9), powerKw: rippleKw(0.6), seconds: 12 },
          { percent: 0, beforeKw: rippleKw(0.6), powerKw: 0, seconds: 15 },
        ],
        rippleNotWired: [100, 30],
      };
    }
    case 'permission':
      return { reference: 'operator letter 26-0418', validUntil: '2026-12-31', limitKw: null };
    default:
      throw new RangeError(`kind must be a measurement (got ${kind})`);
  }
}

/** Readings with which a step of switching is confirmed on a healthy unit. */
function healthyStep(design: SiteDesign, unitId: string, state: StepState): Record<string, number> {
  const lineV = design.survey.lineV ?? 400;
  const kw = Math.min(
    (lineOf(design).hungW(unitId) / 1000) * 0.7 * 0.85,
    (lineOf(design).unit(unitId)?.type.ratedW ?? 0) / 1000,
  );
  const known: Readonly<Record<string, number>> = {
    l12V: lineV + 1,
    l23V: lineV + 1,
    l31V: lineV,
    lowestV: 700,
    faultCodes: 0,
    lineV,
    frequencyHz: design.survey.frequencyHz ?? 50,
    powerKw: kw,
    irradianceWm2: 700,
    riseK: 22,
    dcA: 0,
    clampA: 0.1,
    knownBeforeV: 231,
    knownAfterV: 231,
  };
  const dead = { l12V: 1, l23V: 1, l31V: 0, powerKw: 0 };
  const off = state === 'PROVE_DEAD' || state === 'STOP';
  return Object.fromEntries(
    stepFields(state, { design, unitId }).map(({ key }) => [
      key,
      (off ? (dead as Record<string, number>)[key] : undefined) ??
        known[key] ??
        (key.endsWith('V') ? 2 : stringVolts(design, key)),
    ]),
  );
}

export interface Over {
  readonly by?: string;
  readonly role?: Role;
  readonly licensedUntil?: string | null;
  readonly device?: Partial<Device> | null;
  readonly minutes?: number;
  readonly doneAt?: string;
  readonly corrects?: string;
  readonly reason?: string | null;
  readonly release?: string;
  readonly instrument?: Instrument | null;
  readonly id?: string;
}

/** Writes entries one after the other, on one device unless told otherwise, a minute apart. */
export class Crew {
  readonly entries: Entry[] = [];
  #serial = 0;
  readonly #seq = new Map<string, number>();
  #ms: number;
  release = 'A';

  constructor(
    readonly design: SiteDesign,
    start = '2026-05-04T07:00:00+02:00',
    readonly deviceId = 'phone-1',
  ) {
    this.#ms = Date.parse(start);
  }

  get nowMs(): number {
    return this.#ms;
  }

  wait(minutes: number): void {
    this.#ms += 60_000 * minutes;
  }

  add(kind: string, subject: EntrySubject, values: Readonly<Record<string, unknown>>, over: Over = {}): Entry {
    this.wait(over.minutes ?? 1);
    this.#serial += 1;
    const device = over.device === null ? null : { id: this.deviceId, offsetMs: 0, roundTripMs: 0, ...over.device };
    const seq = device ? (this.#seq.get(device.id) ?? 0) + 1 : 0;
    if (device) this.#seq.set(device.id, seq);
    const role = over.role ?? 'electrician';
    const wanted = kindNamed(kind).instrument?.[0];
    const entry = recordSchema.parse({
      id: over.id ?? `01969a00-0000-7000-8000-${this.#serial.toString(16).padStart(12, '0')}`,
      kind,
      subject,
      values,
      doneAt: over.doneAt ?? new Date(this.#ms).toISOString(),
      device: device && { seq, ...device },
      by: over.by ?? 'Ilse Brandvik',
      role,
      licensedUntil:
        over.licensedUntil === undefined ? (role === 'electrician' ? '2027-12-31' : null) : over.licensedUntil,
      instrument: over.instrument === undefined ? (wanted ? INSTRUMENTS[wanted] : null) : over.instrument,
      release: over.release ?? this.release,
      corrects: over.corrects ?? null,
      reason: over.reason ?? null,
    });
    this.entries.push(entry);
    return entry;
  }

  static subject(gate: GateId, object: string): EntrySubject {
    return { scope: gateRow(gate).scope, id: object } as EntrySubject;
  }

  /** Closes a gate as its kind wants it: by a healthy measurement, or by a signature. */
  prove(
    gate: GateId,
    object = 'site',
    over: Over & { readonly values?: Readonly<Record<string, unknown>> } = {},
  ): Entry {
    const subject = Crew.subject(gate, object);
    const by = measuring(gate);
    if (by) return this.add(by.kind, subject, { ...healthy(by.kind, this.design, subject), ...over.values }, over);
    return this.tick(gate, object, 'pass', over);
  }

  tick(gate: GateId, object: string, result: 'pass' | 'fail', over: Over = {}): Entry {
    return this.add('gate', Crew.subject(gate, object), { gate, result, evidence: `${gate}: looked at` }, over);
  }

  /** Everything of the site before the first unit. */
  site(over: Over = {}): void {
    for (const gate of ['S-DOC', 'S-SAFE', 'S-EARTH', 'S-SUPPLY', 'S-PTO'] as const) this.prove(gate, 'site', over);
  }

  strings(unit: string, over: Over = {}): void {
    const strings = lineOf(this.design).unit(unit)?.strings ?? [];
    for (const { id } of strings) for (const gate of ['D-ID', 'D-POL', 'D-IR'] as const) this.prove(gate, id, over);
  }

  /** A unit up to its permit. */
  unit(unit: string, over: Over = {}): void {
    for (const gate of ['I-MOUNT', 'I-PE', 'I-ACIR', 'I-TORQ', 'I-ACV'] as const) this.prove(gate, unit, over);
    if (this.design.chain.devices.length) this.prove('I-ADDR', unit, over);
    this.strings(unit, over);
    for (const gate of ['I-DCLAND', 'I-COVER', 'I-PERMIT'] as const) this.prove(gate, unit, over);
  }

  step(
    unit: string,
    order: OrderName,
    state: StepState,
    over: Over & { readonly readings?: Readonly<Record<string, number>>; readonly waitedS?: number } = {},
  ): Entry {
    const step = stepsOf(order).find((s) => s.state === state);
    const waitS = over.waitedS ?? (step ? (leastWaitS(step, { design: this.design, unitId: unit }) ?? 0) : 0);
    return this.add(
      'step',
      { scope: 'inverter', id: unit },
      {
        order,
        state,
        readings: { ...healthyStep(this.design, unit, state), ...over.readings },
        waitedS: waitS,
        restarts: 0,
        seen: 'as expected',
      },
      { ...over, minutes: over.minutes ?? 1 + Math.ceil(waitS / 60) },
    );
  }

  /** A whole order, up to but without the hour of settling. */
  switch(unit: string, order: OrderName = '1'): void {
    for (const { state } of stepsOf(order)) {
      if (state === 'SETTLED') return;
      if (state === 'LOCKED_OFF') this.prove('I-SETUP', unit);
      this.step(unit, order, state);
    }
  }
}
