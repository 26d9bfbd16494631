import type { SiteDesign } from '../../design';
import type { InverterType } from '../../equipment/inverterType';
import type { ModuleType } from '../../equipment/moduleType';
import { canonical } from '../../kernel/canonical';
import { lineOf } from '../../site/line';
import { dcLimitOn } from '../../strings/dcLimit';
import type { GateId } from '../gates/machine';
import type { GateModel } from '../gates/net';
import { GateNet } from '../gates/net';
import type { Input } from '../gates/restsOn';
import { waysOf } from '../links/wayTest';
import { RESTS_ON } from '../gates/restsOn';
import { asksRapidShutdown } from '../rapidShutdown';

/** The parts of a released design as the gates see them: strings count where they hang. */
function gateModel(design: SiteDesign): GateModel {
  const { rcdFitted, stopFitted, contactsFitted } = design.survey;
  const line = lineOf(design);
  return {
    inverters: design.inverters.map((i) => ({
      id: i.id,
      strings: (line.unit(i.id)?.strings ?? []).map((s) => s.id),
      rcdFitted: design.runs.find((r) => r.inverterId === i.id)?.residualFitted ?? rcdFitted,
    })),
    busFitted: design.chain.devices.length > 0,
    stopFitted,
    contactsFitted,
    rapidShutdown: asksRapidShutdown(design.survey),
  };
}

const NETS = new WeakMap<SiteDesign, GateNet>();
/** Who waits for whom in a released design; made once. */
export function netOf(design: SiteDesign): GateNet {
  const known = NETS.get(design) ?? new GateNet(gateModel(design));
  NETS.set(design, known);
  return known;
}

const INPUTS = new WeakMap<SiteDesign, Map<string, string>>();

/** The inputs on which the proof of a gate at a part rests, as one text: two designs that give the same let a proof stand. */
export function inputsOf(design: SiteDesign, gate: GateId, object: string): string {
  const known = INPUTS.get(design) ?? new Map<string, string>();
  INPUTS.set(design, known);
  const of = (input: Input, part: string): string => {
    const key = `${input}@${part}`;
    const text = known.get(key) ?? canonical(FACTS[input](design, part));
    known.set(key, text);
    return text;
  };
  return (RESTS_ON[gate] ?? []).map((input) => of(input, object)).join('|');
}

const units = (design: SiteDesign, object: string): string[] =>
  object === 'site' ? design.inverters.map((u) => u.id) : [object];

/** A sheet without what nothing rests on that was measured: how wide a unit is, and how it may be switched off. */
function electrical(type: InverterType | undefined): Omit<InverterType, 'body' | 'dcOpensFirst'> | null {
  if (!type) return null;
  const { body: _body, dcOpensFirst: _first, ...sheet } = type;
  return sheet;
}

/** A module without its size: nothing that was measured on it rests on how long it is. */
function unsized(module: ModuleType | undefined): Omit<ModuleType, 'lengthMm' | 'widthMm'> | null {
  if (!module) return null;
  const { lengthMm: _length, widthMm: _width, ...sheet } = module;
  return sheet;
}

/** Each input as the facts it stands for; `object` is an inverter, a string, or the whole site. */
const FACTS: Readonly<Record<Input, (design: SiteDesign, object: string) => unknown>> = {
  supply: ({ survey: s }) => [s.lineV, s.frequencyHz, s.service, s.gridCode],
  unitType: (design, object) => units(design, object).map((id) => [id, electrical(lineOf(design).unit(id)?.type)]),
  place: (design, object) => units(design, object).map((id) => design.hung.find((h) => h.inverterId === id) ?? null),
  run: (design, object) => design.runs.find((r) => r.inverterId === object) ?? null,
  address: (design, object) =>
    units(design, object).map((id) => {
      const device = design.chain.devices.find((d) => d.inverterId === id);
      return [id, device ? [device.bus, device.address] : null];
    }),
  bitRate: ({ chain }) => chain.bitRate,
  bus: ({ chain: { bitRate, devices, line, otherWays } }) => [
    bitRate,
    [line.areaMm2, line.terminatorKind, line.terminatorOhm, line.terminatorNf],
    devices.map((d) => [d.id, d.kind, d.bus, d.address, d.terminated, d.terminatedBeyond]),
    waysOf(otherWays).map((w) => [w.way, w.id, w.units ?? null]),
  ],
  hung: (design, object) =>
    units(design, object).map((id) => (lineOf(design).unit(id)?.strings ?? []).map((s) => [s.id, s.place])),
  inverter: (design, object) => lineOf(design).string(object)?.place?.inverterId ?? null,
  module: (design, object) => {
    const line = lineOf(design);
    const own = line.string(object);
    const strings = own ? [own.string] : units(design, object).flatMap((id) => line.unit(id)?.strings ?? []);
    return strings.map((s) => [s.id, s.modules, unsized(line.plane(s.planeId)?.module)]);
  },
  dcLimitV: (design, object) => {
    const line = lineOf(design);
    const own = line.string(object);
    const strings = own ? [own.string] : (line.unit(object)?.strings ?? []);
    return strings.map((s) => {
      const on = line.placed(s);
      const limit = on && dcLimitOn(on, design.survey);
      return [s.id, limit ? (limit.value?.limitV ?? limit.missing) : null];
    });
  },
};
