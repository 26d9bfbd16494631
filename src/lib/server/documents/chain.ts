import { chainLabels, chainName, chainSheet } from '$core/links/line/chainSheet';
import type { ChainRow } from '$core/links/line/chainSheet';
import type { ChainDevice } from '$core/links/part';
import type { ChainResult } from '$core/links/results';
import { Sheets } from './pdf';

interface OfChain {
  readonly site: string;
  /** Letter or revision of the design it was made from. */
  readonly state: string;
  /** Of every bus, between its repeaters. */
  readonly pairs: readonly ChainResult[];
  /** Marks beside the bus terminals of a device. */
  readonly marksOf: (device: ChainDevice) => string;
}

const NONE = 'No device yet.';
const DEVICES = [
  { title: '', share: 0.5, right: true },
  { title: 'Device', share: 2 },
  { title: 'Address', share: 1.1, right: true },
  { title: 'Serial', share: 2 },
  { title: '120 Ω', share: 0.9 },
  { title: 'Cable to it', share: 1.2, right: true },
  { title: 'Ohms', share: 1.2, right: true },
  { title: 'Idle', share: 1.1, right: true },
  { title: 'Marks D1 / D0', share: 1.3 },
  { title: 'Colour', share: 1.1 },
  { title: 'Landed by', share: 1.5 },
];
const LABELS = [
  { title: 'On', share: 1 },
  { title: 'Label', share: 2.4 },
  { title: 'Says', share: 3 },
];
const deviceRow = (r: ChainRow) => [
  r.place,
  r.device,
  r.address,
  r.serial,
  r.terminator,
  r.cable,
  r.ohms,
  r.idle,
  r.marks,
  '',
  '',
];

/** The sheet with which a crew lands a chain, pair by pair: order, addresses, terminators, what the meter must read, and room to sign. */
export async function chainDocument({ site, state, pairs, marksOf }: OfChain, madeAt = new Date()): Promise<Buffer> {
  const made = madeAt.toISOString().slice(0, 16).replace('T', ' ');
  const sheets = new Sheets({
    title: `RS-485 chain of ${site}`,
    subject: 'Landing of an RS-485 chain',
    footer: `${site} · RS-485 chain · ${state} · made ${made} UTC · Bolt Yard`,
  }).title('RS-485 chain', `${site} · ${state}`);
  return pairs
    .reduce((on, pair, i) => {
      const sheet = chainSheet(pair, marksOf);
      const begun = pairs.length > 1 ? on.heading(chainName(pair, pairs)) : on;
      const told = begun.facts(sheet.facts);
      return (i === 0 ? told.heading('In this order').list(sheet.steps) : told)
        .heading('Devices')
        .table(DEVICES, sheet.rows.map(deviceRow), NONE)
        .heading('Labels')
        .table(
          LABELS,
          chainLabels(pair, pairs).map((l) => [l.on, l.title, l.lines.join(', ')]),
          NONE,
        );
    }, sheets)
    .bytes();
}
