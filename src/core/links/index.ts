import { discipline } from '../site/base';
import { assessLinks } from './assess';
import { linksEdits, withDevices } from './edits';
import { chainDeviceOf, linksFlaws, linksShape } from './part';
import { linksResults } from './results';
import { LINKS_RULES } from './rules';

/** The RS-485 buses, each from its logger to the last unit. */
export const links = discipline({
  name: 'links',
  title: 'Links',
  elements: ['chain'],
  shape: linksShape,
  edits: linksEdits,
  integrity: linksFlaws,
  onBase: {
    /** A new inverter takes its place at the end of the chain. */
    inverterAdded: (d, unit) => withDevices(d, [...d.chain.devices, chainDeviceOf(unit)]),
    inverterChanged: (d, unit) =>
      withDevices(
        d,
        d.chain.devices.map((c) => (c.inverterId === unit.id ? { ...c, label: unit.tag } : c)),
      ),
    inverterRemoved: (d, id) =>
      withDevices(
        d,
        d.chain.devices.filter((c) => c.inverterId !== id),
      ),
  },
  results: (d, memo) =>
    memo.keep('links/results', [d.chain, d.inverters, d.plan, d.equipment.inverters], () => linksResults(d)),
  assess: assessLinks,
  rules: Object.values(LINKS_RULES).flat(),
  version: 7,
});
