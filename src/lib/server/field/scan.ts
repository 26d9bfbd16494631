import type { Found, Planned } from '$core/links/field/compare';
import { FACTORY_ADDRESS, planAgainstFound } from '$core/links/field/compare';
import { scanOrder } from '$core/links/field/planned';
import { symptomOf } from '$core/links/field/symptoms';
import { MAP_ID, registerOf, valueOf } from '$core/links/modbus/registerMap';
import type { ScanLine, ScanRequest, ScanResult } from '$lib/schemas/field';
import type { FieldBus } from './fieldBus';

const SERIAL = registerOf('serial');
const MAP = registerOf('map_id');

/** Who is silent is waited for so much longer, once: a unit may only be slow. */
const LATE_TIMES = 5;

interface Answered {
  /** It answers, but later than it was waited for. */
  readonly late: boolean;
  readonly found: Found | null;
  readonly ok: number;
  readonly crc: number;
  readonly silent: number;
}

/** One address, asked for its serial so many times; where that does not come through, for what is alike in all units. `patient`: where somebody is expected. */
async function askedAt(bus: FieldBus, address: number, times: number, patient: boolean): Promise<Answered> {
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
  const late = good === 0 && wrong === 0 && !spoke && patient && (await isLate(bus, address));
  if (good === 0 && !late && (patient || spoke)) {
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

/** Whether a silent unit answers to a longer wait. What it still had to say is let go by before anybody else is asked. */
async function isLate(bus: FieldBus, address: number): Promise<boolean> {
  const began = performance.now();
  const asked = await bus.read(address, SERIAL.at, SERIAL.words, LATE_TIMES * bus.timeoutMs);
  if (asked.kind !== 'answer') return false;
  const tookMs = performance.now() - began + bus.timeoutMs;
  await new Promise((resolve) => setTimeout(resolve, 2 * tookMs));
  return true;
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
  for (const [i, address] of order.entries()) {
    if (signal.aborted) return;
    yield { asked: i, of: order.length, address };
    answers.set(address, await askedAt(bus, address, times, expected.has(address)));
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
      tookS: (performance.now() - began) / 1000,
    },
  };
}
