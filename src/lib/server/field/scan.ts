import type { Found, Planned } from '$core/links/field/compare';
import { FACTORY_ADDRESS } from '$core/links/addresses';
import { SPARE_ADDRESS } from '$core/links/field/moves';
import { planAgainstFound } from '$core/links/field/compare';
import { scanOrder } from '$core/links/field/planned';
import { symptomOf } from '$core/links/field/symptoms';
import { MAP_ID, registerOf, valueOf } from '$core/links/modbus/registerMap';
import type { ScanLine, ScanRequest, ScanResult } from '$lib/schemas/field';
import type { FieldBus } from './fieldBus';

const SERIAL = registerOf('serial');
const MAP = registerOf('map_id');

/** Who is silent is waited for so much longer, once: a unit may only be slow. */
const LATE_TIMES = 5;
/** So many of them: where more are silent they are not slow. */
const LATE_MOST = 3;
/** A unit is late that is late so many times in a row: once, the machine that asks may have slept. */
const LATE_IN_A_ROW = 2;

interface Answered {
  /** It answers, but later than it was waited for. */
  readonly late: boolean;
  readonly found: Found | null;
  readonly ok: number;
  readonly crc: number;
  readonly silent: number;
}

/** One address, asked for its serial so many times; where that does not come through, for what is alike in all units. `patient`: who is silent is waited for. */
async function askedAt(
  bus: FieldBus,
  address: number,
  times: number,
  { expected, patient }: { readonly expected: boolean; readonly patient: boolean },
): Promise<Answered> {
  const serials = new Set<string>();
  let [good, wrong] = [0, 0];
  let spoke = false;
  for (let i = 0; i < times; i++) {
    const asked = await bus.read(address, SERIAL.at, SERIAL.words);
    if (asked.kind === 'answer') {
      good++;
      serials.add(String(valueOf('serial', asked.words)));
    } else if (asked.kind === 'garbled') wrong++;
    if (asked.kind !== 'silent') spoke = true;
  }
  let late = false;
  if (!spoke && patient) {
    const again = await askedLonger(bus, address);
    late = again.late;
    if (again.serial !== null && !late) {
      serials.add(again.serial);
      // As a logger would: what is said to the repeated question counts.
      good++;
      spoke = true;
    }
  }
  if (good === 0 && !late && (expected || spoke)) {
    const alike = await bus.read(address, MAP.at, MAP.words);
    // A gateway drops wrong bytes like silence: that one block comes and the other does not says the same.
    if (alike.kind === 'answer' && alike.words[0] === MAP_ID) {
      spoke = true;
      wrong = times;
    } else if (alike.kind === 'garbled') spoke = true;
  }
  const found = spoke ? { address, serials: [...serials], quality: good / times } : null;
  return { late, found, ok: good / times, crc: wrong / times, silent: Math.max(0, 1 - (good + wrong) / times) };
}

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** A silent unit, waited for longer: what it says, and whether later than it is waited for. What it may still say to the first question is let go by before. */
async function askedLonger(
  bus: FieldBus,
  address: number,
): Promise<{ readonly serial: string | null; readonly late: boolean }> {
  await pause((LATE_TIMES - 1) * bus.timeoutMs);
  let serial: string | null = null;
  for (let i = 0; i < LATE_IN_A_ROW; i++) {
    const began = performance.now();
    const asked = await bus.read(address, SERIAL.at, SERIAL.words, LATE_TIMES * bus.timeoutMs);
    if (asked.kind !== 'answer') return { serial, late: serial !== null };
    serial = String(valueOf('serial', asked.words));
    if (performance.now() - began <= bus.timeoutMs) return { serial, late: false };
  }
  return { serial, late: true };
}

/** A scan of a bus, address by address: how far it is, and at the end the plan against what was found. Ends where the signal says so. */
export async function* scanned(
  bus: FieldBus,
  plan: readonly Planned[],
  { times, all }: Pick<ScanRequest, 'times' | 'all'>,
  signal: AbortSignal,
): AsyncGenerator<ScanLine, void, void> {
  const began = performance.now();
  const order = scanOrder(plan, all);
  const expected = new Set([...plan.map((p) => p.address), FACTORY_ADDRESS]);
  const answers = new Map<number, Answered>();
  let waited = 0;
  const silent = () => plan.some((p) => !answers.get(p.address)?.found);
  for (const [i, address] of [...order, SPARE_ADDRESS].entries()) {
    if (signal.aborted) return;
    // Where all answer, nobody was left parked.
    if (i === order.length && (!silent() || answers.has(SPARE_ADDRESS))) break;
    yield { asked: i, of: order.length, address };
    const here = expected.has(address);
    const answered = await askedAt(bus, address, times, { expected: here, patient: here && waited < LATE_MOST });
    if (answered.silent === 1) waited++;
    answers.set(address, answered);
  }
  const rates: ScanResult['rates'] = plan.map(({ address, label }) => {
    const { ok = 0, crc = 0, silent = 1, late = false } = answers.get(address) ?? {};
    return { label, ok, crc, silent, late };
  });
  yield {
    done: {
      standIn: true,
      findings: planAgainstFound(
        plan,
        [...answers.values()].flatMap((a) => (a.found ? [a.found] : [])),
      ).map((f) => ({ ...f, serials: [...f.serials] })),
      rates,
      symptom: rates.length ? symptomOf(rates) : null,
      times,
      tookS: (performance.now() - began) / 1000,
    },
  };
}
