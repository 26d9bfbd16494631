import { known } from '../kernel/answer';
import type { Finding } from '../links/field/compare';
import type { BusReading, PairReading } from '../proving/readings/busReading';
import type { ContactReading } from '../proving/readings/contactReading';
import type { WayReading } from '../proving/readings/wayReading';
import type { SetUpReading } from '../proving/readings/setUpReading';

/** What is found at an address where the unit of the plan answers. */
export const findingAt = (address: number, over: Partial<Finding> = {}): Finding => ({
  address,
  label: `INV-0${address}`,
  kind: 'right',
  serials: [`SN-${address}`],
  belongsAt: null,
  ...over,
});

/** A bus on which everything is as planned, with what a test wants otherwise. */
export const busReading = (over: Partial<BusReading> = {}): BusReading => ({
  from: 'over the bus',
  polls: 100,
  bitRate: 9600,
  plannedBitRate: 9600,
  unaddressed: [],
  findings: [findingAt(1), findingAt(2)],
  shares: [
    { label: 'INV-01', share: 1 },
    { label: 'INV-02', share: 0.99 },
  ],
  pairs: [pairReading({ at: 'the first device' })],
  groundV: 0.3,
  ...over,
});

/** A pair behind a repeater that reads as planned, with what a test wants otherwise. */
export const pairReading = (over: Partial<PairReading> = {}): PairReading => ({
  at: 'RPT-1, other side',
  pairOhm: 64,
  expectedOhm: known(64),
  pairNf: null,
  expectedNf: null,
  means: 'As planned: 64.0 Ω.',
  ...over,
});

/** An Ethernet over which every unit answers, with what a test wants otherwise. */
export const wayReading = (over: Partial<WayReading> = {}): WayReading => ({
  way: 'ethernet',
  when: 'at another hour',
  unitsOn: 18,
  unitsAnswered: 18,
  planned: { label: 'Hall', units: 18 },
  polls: 100,
  shares: [{ label: 'the unit that answers worst', share: 1 }],
  ...over,
});

/** A unit that is set up as it should be. */
export const setUpReading = (
  over: Partial<Omit<SetUpReading, 'site'>> & { readonly site?: Partial<SetUpReading['site']> } = {},
): SetUpReading => {
  const { site, ...typed } = over;
  return {
    from: 'at the unit',
    gridCode: 'VDE-AR-N 4105',
    nominalV: 400,
    nominalHz: 50,
    clockAheadS: 2,
    zoneSet: true,
    address: 3,
    bitRate: 9600,
    exportLimitKw: null,
    permit: { limitKw: null },
    insulationKohm: 40,
    passwordChanged: true,
    firmware: '4.2',
    sisters: [],
    meter: null,
    rapidShutdown: null,
    site: {
      gridCode: 'VDE-AR-N 4105',
      lineV: 400,
      frequencyHz: 50,
      address: 3,
      bitRate: 9600,
      dcMaxV: 1100,
      ...site,
    },
    ...typed,
  };
};

/** A contact that works. */
export const contactReading = (over: Partial<ContactReading> = {}): ContactReading => ({
  contact: 'ripple control',
  logic: 'normally open',
  supervised: false,
  acted: true,
  seconds: 4,
  mostS: 5,
  ...over,
});
