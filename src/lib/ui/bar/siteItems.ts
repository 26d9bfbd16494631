import { lineOf } from '$core/site/line';
import type { SiteState } from '$lib/client/siteState.svelte';
import { STAGES } from '$lib/stages/stages';
import type { FindItem } from './findItems';
import { leadsTo } from './findItems';

/** Stages, units and strings of the open site. */
export function siteItems({ siteId, design }: SiteState): FindItem[] {
  const line = lineOf(design);
  const to = (path: string) => leadsTo(`/sites/${siteId}/${path}`);
  return [
    ...STAGES.map((s) => ({ id: `stage-${s.path}`, label: s.title, description: 'stage', onselect: to(s.path) })),
    ...design.inverters.map((u) => ({
      id: `unit-${u.id}`,
      label: u.tag,
      description: 'unit on the peg board',
      onselect: to(`strings?at=${u.id}`),
    })),
    ...design.inverters.map((u) => ({
      id: `run-${u.id}`,
      label: `Run of ${u.tag}`,
      description: 'AC run and bay',
      onselect: to(`ac?at=${u.id}`),
    })),
    ...design.strings.map((s) => ({
      id: `string-${s.id}`,
      label: `String ${s.number}`,
      description: s.place
        ? `${line.tag(s.place.inverterId)} tracker ${s.place.tracker} input ${s.place.input}, ${line.planeLabel(s.planeId)}`
        : `on no input, ${line.planeLabel(s.planeId)}`,
      onselect: to(`strings?at=${s.id}`),
    })),
  ];
}
