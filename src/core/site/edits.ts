import type { InverterType } from '../equipment/inverterType';
import type { ModuleType } from '../equipment/moduleType';
import type { AcRun, ChainDevice, Place, Plane, PvString, SiteDesign, SiteInverter } from './siteDesign';
import { placeKey } from './siteDesign';

/** Edits of a design: each takes a design and gives a new one. Nothing is changed in place. */

export function modulesById(d: SiteDesign): Map<string, ModuleType> {
  return new Map(d.equipment.modules.map((m) => [m.id, m]));
}
export function inverterTypesById(d: SiteDesign): Map<string, InverterType> {
  return new Map(d.equipment.inverters.map((t) => [t.id, t]));
}

function replaced<T extends { id: string }>(items: readonly T[], item: T): T[] {
  return items.some((i) => i.id === item.id) ? items.map((i) => (i.id === item.id ? item : i)) : [...items, item];
}

/** The equipment of a design holds its own copy of a data sheet, so that a later change on the Shelf changes no site. */
export function withModuleType(d: SiteDesign, type: ModuleType): SiteDesign {
  return { ...d, equipment: { ...d.equipment, modules: replaced(d.equipment.modules, type) } };
}
export function withInverterType(d: SiteDesign, type: InverterType): SiteDesign {
  return { ...d, equipment: { ...d.equipment, inverters: replaced(d.equipment.inverters, type) } };
}

/** Adds or changes a plane. Strings of the plane stay; the checks say what no longer fits. */
export function withPlane(d: SiteDesign, plane: Plane): SiteDesign {
  return { ...d, planes: replaced(d.planes, plane) };
}

/** Takes a plane away, and the strings drawn on it. */
export function withoutPlane(d: SiteDesign, planeId: string): SiteDesign {
  return withoutLooseLocks({
    ...d,
    planes: d.planes.filter((p) => p.id !== planeId),
    strings: d.strings.filter((s) => s.planeId !== planeId),
  });
}

/** Locks whose string, plane or inverter is still there. */
function withoutLooseLocks(d: SiteDesign): SiteDesign {
  const has = (items: readonly { id: string }[], id: string) => items.some((i) => i.id === id);
  const locks = d.locks.filter(
    (l) =>
      (!('stringId' in l) || has(d.strings, l.stringId)) &&
      (!('planeId' in l) || has(d.planes, l.planeId)) &&
      (!('inverterId' in l) || has(d.inverters, l.inverterId)),
  );
  return locks.length === d.locks.length ? d : { ...d, locks };
}

/** A run of which nothing is known yet. Copper, XLPE and one cable are what the form shows first; nothing is judged on them alone. */
export function blankRun(inverterId: string): AcRun {
  return {
    inverterId,
    metal: 'Cu',
    insulation: 'XLPE',
    cores: '4-core',
    method: 'E',
    arrangement: null,
    otherCircuits: null,
    sectionMm2: null,
    parallel: 1,
    lengthM: null,
    ambientC: null,
    sunOnCable: false,
    soilKmPerW: null,
    depthM: null,
    ductDiameterMm: null,
    breakerA: null,
    breakerKind: 'moulded-case',
    breakerAmbientC: null,
    breakerGroupFactor: null,
    peMm2: null,
    peMetal: 'Cu',
    externalEarthMm2: null,
    externalEarthMetal: 'Cu',
    cableDiameterMm: null,
    palmWidthMm: null,
    palmThicknessMm: null,
  };
}

function chainDeviceOf(inverter: SiteInverter): ChainDevice {
  return {
    id: `dev-${inverter.id}`,
    kind: 'inverter',
    label: inverter.tag,
    inverterId: inverter.id,
    address: null,
    terminated: false,
    unitLoads: null,
    position: null,
    entryM: 1,
    hopM: null,
  };
}

/** Adds or changes an inverter. A new one gets a blank run and a place at the end of the chain; a smaller type drops strings off inputs it lacks. */
export function withInverter(d: SiteDesign, inverter: SiteInverter): SiteDesign {
  const type = inverterTypesById(d).get(inverter.typeId);
  const isNew = !d.inverters.some((i) => i.id === inverter.id);
  const fits = (p: Place) =>
    p.inverterId !== inverter.id || !type || (p.tracker <= type.trackers && p.input <= type.inputsPerTracker);
  return {
    ...d,
    inverters: replaced(d.inverters, inverter),
    strings: d.strings.map((s) => (s.place && !fits(s.place) ? { ...s, place: null } : s)),
    runs: isNew ? [...d.runs, blankRun(inverter.id)] : d.runs,
    chain: isNew
      ? { ...d.chain, devices: [...d.chain.devices, chainDeviceOf(inverter)] }
      : {
          ...d.chain,
          devices: d.chain.devices.map((c) => (c.inverterId === inverter.id ? { ...c, label: inverter.tag } : c)),
        },
  };
}

/** Takes an inverter away with its run and its place in the chain; its strings hang on nothing then. */
export function withoutInverter(d: SiteDesign, inverterId: string): SiteDesign {
  return withoutLooseLocks({
    ...d,
    inverters: d.inverters.filter((i) => i.id !== inverterId),
    strings: d.strings.map((s) => (s.place?.inverterId === inverterId ? { ...s, place: null } : s)),
    runs: d.runs.filter((r) => r.inverterId !== inverterId),
    chain: { ...d.chain, devices: d.chain.devices.filter((c) => c.inverterId !== inverterId) },
  });
}

/** Hangs a string on an input, or off every input. Where another string hangs, the two change places. */
export function withStringAt(d: SiteDesign, stringId: string, place: Place | null): SiteDesign {
  const moved = d.strings.find((s) => s.id === stringId);
  if (!moved) throw new RangeError(`stringId must name a string of the design (got ${stringId})`);
  const key = place && placeKey(place);
  return {
    ...d,
    strings: withoutLoneBranches(
      d.strings.map((s) => {
        if (s.id === stringId) return { ...s, place };
        if (key && s.place && placeKey(s.place) === key) return { ...s, place: moved.place };
        return s;
      }),
    ),
  };
}

/** A Y-branch whose first string went elsewhere is no Y any more: its second string takes the input. */
function withoutLoneBranches(strings: PvString[]): PvString[] {
  const firsts = new Set(strings.flatMap((s) => (s.place?.branch === 1 ? [placeKey(s.place)] : [])));
  return strings.map((s) =>
    s.place?.branch === 2 && !firsts.has(placeKey({ ...s.place, branch: 1 }))
      ? { ...s, place: { ...s.place, branch: 1 } }
      : s,
  );
}

/** All strings at once, as a layout gives them. */
export function withStrings(d: SiteDesign, strings: readonly PvString[]): SiteDesign {
  return withoutLooseLocks({ ...d, strings: [...strings] });
}

export function withRun(d: SiteDesign, run: AcRun): SiteDesign {
  const known = d.runs.some((r) => r.inverterId === run.inverterId);
  return { ...d, runs: known ? d.runs.map((r) => (r.inverterId === run.inverterId ? run : r)) : [...d.runs, run] };
}

/** The chain in the order of the ids given; devices not named keep their order at the end. */
export function withChainOrder(d: SiteDesign, ids: readonly string[]): SiteDesign {
  const at = new Map(ids.map((id, i) => [id, i]));
  const devices = [...d.chain.devices].sort((a, b) => (at.get(a.id) ?? Infinity) - (at.get(b.id) ?? Infinity) || 0);
  return { ...d, chain: { ...d.chain, devices } };
}

export function withChainDevice(d: SiteDesign, device: ChainDevice): SiteDesign {
  return { ...d, chain: { ...d.chain, devices: replaced(d.chain.devices, device) } };
}

/** Addresses by position in the chain from 1, meters from 100; terminators at the two ends and nowhere else. */
export function withChainNumbered(d: SiteDesign): SiteDesign {
  const last = d.chain.devices.length - 1;
  let inverter = 0;
  let meter = 99;
  const addressOf = (c: ChainDevice) => (c.kind === 'inverter' ? ++inverter : c.kind === 'meter' ? ++meter : null);
  return {
    ...d,
    chain: {
      ...d.chain,
      devices: d.chain.devices.map((c, i) => ({ ...c, address: addressOf(c), terminated: i === 0 || i === last })),
    },
  };
}

/** Planes whose modules may share a tracker: one type, one tilt, one azimuth. */
export function classOf(plane: Plane): string {
  return `${plane.moduleTypeId}|${plane.tiltDeg}|${plane.azimuthDeg}`;
}
