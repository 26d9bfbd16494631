import { formatQuantity } from '$core/kernel/quantity';
import { lineOf } from '$core/site/line';
import type { HandOver } from '../../services/handOver';

/** Date and time as they stand on paper. */
export const when = (iso: string) => iso.slice(0, 16).replace('T', ' ');
/** Tag of an inverter; anything else by its id. */
export const tagOf = (h: HandOver, id: string) => lineOf(h.design).tag(id);
/** A quantity, or that nobody knows it. */
export const known = (value: number | null, unit: string) =>
  value === null ? 'not known' : formatQuantity(value, unit);
