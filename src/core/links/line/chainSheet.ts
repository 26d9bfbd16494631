import { fixed } from '../../kernel/quantity';
import type { ChainDevice, LinksDesign } from '../part';
import { lineOf } from '../../site/line';
import type { ChainResult } from '../results';
import { blocksDirect } from './busLine';
import { meterSheet } from './meterSheet';

/** What a crew takes along to land a chain: the same on screen and on paper. */
export interface ChainSheet {
  readonly facts: readonly (readonly [label: string, value: string])[];
  readonly rows: readonly ChainRow[];
  readonly steps: readonly string[];
}
export interface ChainRow {
  readonly id: string;
  readonly place: string;
  readonly device: string;
  readonly address: string;
  readonly serial: string;
  readonly terminator: string;
  readonly cable: string;
  readonly ohms: string;
  readonly idle: string;
  /** Marks beside the terminals of D1 and D0; empty where nobody wrote them down. */
  readonly marks: string;
}
/** A label to print: what it is stuck on, and its lines. */
export interface ChainLabel {
  readonly on: string;
  readonly title: string;
  readonly lines: readonly string[];
}

const UNKNOWN = 'not known';
/** In place of an address, where a device has none. */
const PASSIVE: Partial<Record<ChainDevice['kind'], string>> = { logger: 'asks', repeater: 'repeats' };
const STEPS = [
  'AC and DC isolated before a bay is opened. Data cable in a power bay insulated for the highest voltage there, or sleeved.',
  'Measure D0 to local earth, AC and DC, before landing the reference: above 4.95 V stop and find the earth fault.',
  'In–out from device to device, no star. Same pair and colours everywhere: the line that is positive at rest is D1, whatever letters stand beside the terminal. Write both colours down.',
  'Reference as third wire. Shield carried through, earthed at the logger end only.',
  'Terminators on where the sheet says so and nowhere else.',
  'Everything off and the bias out: ohms at every device as on the sheet. Then on, nobody sending: D1 over D0 as on the sheet.',
];

/** The sheet of a chain; what is not known says so in its place. */
export function chainSheet(result: ChainResult, marksOf: (device: ChainDevice) => string = () => ''): ChainSheet {
  const { chain, hops, lengthM, budget } = result;
  const { line } = chain;
  const meter = meterSheet(result).value;
  const bias = budget.bias.value;
  const said = (value: number | null, unit: string, digits = 0) =>
    value === null ? UNKNOWN : `${fixed(value, digits)} ${unit}`;
  return {
    facts: [
      ['Bit rate', said(chain.bitRate, 'bit/s')],
      ['Cable', said(lengthM.value, 'm', 1)],
      ['Conductors', said(line.areaMm2, 'mm²', 2)],
      [
        'Terminators',
        `${said(line.terminatorOhm, 'Ω')}${blocksDirect(line) ? ` and ${said(line.terminatorNf, 'nF', 1)}` : ''}`,
      ],
      [
        'Bias',
        bias === null
          ? UNKNOWN
          : bias === 'none'
            ? 'none'
            : `${fixed(bias.pullUpOhm, 0)} + ${fixed(bias.pullDownOhm, 0)} Ω on ${fixed(bias.supplyV, 1)} V, at the first device`,
      ],
    ],
    rows: chain.devices.map((d, i) => {
      const read = meter?.rows[i];
      return {
        id: d.id,
        place: String(i + 1),
        device: d.label,
        address: PASSIVE[d.kind] ?? d.address?.toString() ?? UNKNOWN,
        serial: d.serial ?? '',
        terminator: d.terminated ? 'on' : 'off',
        cable: i === 0 ? '' : said(hops[i - 1]?.cableM ?? null, 'm', 1),
        ohms: read === undefined ? UNKNOWN : read.bothOhm === null ? 'open' : `${fixed(read.bothOhm, 1)} Ω`,
        marks: marksOf(d),
        idle: read === undefined ? UNKNOWN : read.idleMv === null ? '' : `${fixed(read.idleMv, 0)} mV`,
      };
    }),
    steps: STEPS,
  };
}

/** The marks beside the bus terminals of a device, D1 first, by the sheet of its model; empty where that does not say. */
export const busMarks =
  (design: LinksDesign) =>
  ({ inverterId }: ChainDevice): string => {
    const type = inverterId ? lineOf(design).unit(inverterId)?.type : undefined;
    return type?.busD1 && type.busD0 ? `${type.busD1} / ${type.busD0}` : '';
  };

/** What a bus is called on paper: the chain, where it is the only one. */
export const chainName = ({ bus, segment }: ChainResult, all: readonly ChainResult[]): string => {
  const name = all.some((other) => other.bus !== bus) ? `RS-485 bus ${bus}` : 'RS-485 chain';
  return segment === null ? name : `${name}, segment ${segment}`;
};

/** Labels of a bus: one for every device, and one for each end of every piece of cable. */
export function chainLabels(result: ChainResult, all: readonly ChainResult[]): ChainLabel[] {
  const { hops } = result;
  const { devices, bitRate } = result.chain;
  const name = all.length > 1 ? chainName(result, all) : null;
  const ofDevice = devices.map((d): ChainLabel => {
    const asks = PASSIVE[d.kind] ?? `address ${d.address ?? UNKNOWN}`;
    return {
      on: 'device',
      title: d.label,
      lines: [
        `${asks}${bitRate === null ? '' : `, ${bitRate} bit/s`}`,
        `terminator ${d.terminated ? 'on' : 'off'}`,
        ...(name === null ? [] : [name]),
        ...(d.serial === null ? [] : [d.serial]),
      ],
    };
  });
  const ofCable = hops.flatMap(({ from, to, cableM }) =>
    [
      [from, to],
      [to, from],
    ].map(([here, there]): ChainLabel => ({
      on: 'cable end',
      title: `${here?.label} → ${there?.label}`,
      lines: [name ?? 'RS-485', ...(cableM === null ? [] : [`${fixed(cableM, 1)} m`])],
    })),
  );
  return [...ofDevice, ...ofCable];
}
