import type { InverterType } from '../equipment/inverterType';
import type { Check, Question, Subject } from '../kernel/check';
import { atMost, counted, practice, published, rule, unknown } from '../kernel/check';
import { fixed } from '../kernel/quantity';
import { inverterTypesById } from '../site/edits';
import type { SiteDesign } from '../site/siteDesign';
import { chainHops, chainLengthM, lengthLimitM, unitLoadsOf } from './chain';

/** Most unit loads a driver bears, and most devices without a repeater. */
const UNIT_LOADS_MAX = 32;
const DEVICES_MAX = 32;

/** Every check of the RS-485 chain. Empty while the site has no chain. */
export function assessLinks(design: SiteDesign): Check[] {
  const { devices } = design.chain;
  if (devices.length === 0) return [];
  return [
    ...addressChecks(design),
    terminatorCheck(design),
    lengthCheck(design),
    ...loadChecks(design, inverterTypesById(design)),
  ];
}

const chain = (path: string, id?: string): Subject => ({ element: 'chain', path, ...(id ? { id } : {}) });

function addressChecks(design: SiteDesign): Check[] {
  return design.chain.devices
    .filter((d) => d.kind !== 'logger')
    .map((d, _, others) => {
      const q: Question = {
        id: 'links.address',
        subject: chain(d.label, d.id),
        title: 'Address of its own, 1 to 247',
        unit: '',
        basis: published('Modbus over Serial Line V1.02, 2.2'),
      };
      if (d.address === null) return unknown(q, [`an address for ${d.label} (every unit ships at 1)`]);
      const twins = others.filter((o) => o.id !== d.id && o.address === d.address);
      const inRange = d.address >= 1 && d.address <= 247;
      if (!inRange) return rule(q, 'stop', [`Address ${d.address} is outside 1 to 247.`]);
      return twins.length
        ? rule(q, 'stop', [
            `Address ${d.address} is shared with ${twins.map((t) => t.label).join(', ')}: both answer at once.`,
          ])
        : rule(q, 'holds', [`address ${d.address}`]);
    });
}

function terminatorCheck(design: SiteDesign): Check {
  const { devices } = design.chain;
  const q: Question = {
    id: 'links.terminators',
    subject: chain('chain ends'),
    title: 'Terminators at both ends and nowhere else',
    unit: '',
    basis: published('TIA/EIA-485-A; Modbus over Serial Line V1.02, 3.4'),
  };
  if (devices.length < 2) return unknown(q, ['at least two devices']);
  const [first, last] = [devices[0], devices.at(-1)];
  const extra = devices.slice(1, -1).filter((d) => d.terminated);
  const wrong = [
    ...(first?.terminated ? [] : [`${first?.label}, the near end, has none`]),
    ...(last?.terminated ? [] : [`${last?.label}, the far end, has none`]),
    ...extra.map((d) => `${d.label} sits inside the chain and must be off`),
  ];
  return rule(
    q,
    wrong.length ? 'stop' : 'holds',
    wrong.length ? wrong : [`on at ${first?.label} and ${last?.label}, off elsewhere`],
  );
}

function lengthCheck(design: SiteDesign): Check {
  const q: Question = {
    id: 'links.length',
    subject: chain('whole chain'),
    title: 'Length at the bit rate',
    unit: 'm',
    basis: practice('min(1200 m, 1e8 / bit rate)'),
  };
  const { bitRate } = design.chain;
  const length = chainLengthM(design);
  if (bitRate === null || length.missing.length)
    return unknown(q, [...(bitRate === null ? ['bit rate'] : []), ...length.missing]);
  const limit = lengthLimitM(bitRate);
  const hops = chainHops(design).length;
  return atMost({
    ...q,
    value: length.lengthM,
    limit,
    working: [
      `${hops} hops, ${fixed(length.lengthM, 1)} m with slack and landings`,
      `min(1200, 1e8 / ${bitRate}) = ${fixed(limit, 0)} m`,
    ],
  });
}

function loadChecks(design: SiteDesign, types: ReadonlyMap<string, InverterType>): Check[] {
  const loads: Question = {
    id: 'links.unit-loads',
    subject: chain('whole chain'),
    title: 'Unit loads on the driver',
    unit: 'unit loads',
    basis: published('TIA/EIA-485-A'),
  };
  const count: Question = {
    id: 'links.devices',
    subject: chain('whole chain'),
    title: 'Devices without a repeater',
    unit: 'devices',
    basis: published('Modbus over Serial Line V1.02, 2.2'),
  };
  const sum = unitLoadsOf(design, types);
  const devices = design.chain.devices.length;
  return [
    sum.missing.length
      ? unknown(loads, sum.missing)
      : atMost({
          ...loads,
          value: sum.unitLoads,
          limit: UNIT_LOADS_MAX,
          working: [`Σ unit loads of ${devices} devices = ${fixed(sum.unitLoads, 3)} on ${UNIT_LOADS_MAX}`],
        }),
    counted(count, devices, DEVICES_MAX, `${devices} devices, ${DEVICES_MAX} without a repeater`),
  ];
}
