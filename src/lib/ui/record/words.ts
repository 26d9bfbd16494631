import type { SiteDesign } from '$core/design';
import { lineOf } from '$core/site/line';

/** Gate keys with the tag and string number that people know: `I-PERMIT of INV-08`. */
export const named = (text: string, design: SiteDesign): string =>
  text.replace(/@([\w-]+)/g, (_, id: string) => {
    const line = lineOf(design);
    const number = line.string(id)?.string.number;
    return ` of ${line.inverter(id)?.tag ?? (number === undefined ? id : `string ${number}`)}`;
  });

/** A part as people call it. */
export const partName = (id: string, design: SiteDesign): string => {
  const line = lineOf(design);
  const number = line.string(id)?.string.number;
  return line.inverter(id)?.tag ?? (number === undefined ? (id === 'site' ? 'site' : id) : `string ${number}`);
};

/** Date and time as they were on the device. */
export const when = (iso: string): string => iso.slice(0, 16).replace('T', ' ');
/** Time of day on this device of a moment, ms. */
export const clockTime = (ms: number): string => new Date(ms).toTimeString().slice(0, 5);
export const stepWords = (state: string): string => state.replaceAll('_', ' ').toLowerCase();
