import type { DesignEdit, SiteDesign } from '../design';
import { applyEdit } from '../design';

/** Edits as functions, for tests and made-up sites: the same edits that screens and the API send. */

type Of<K extends DesignEdit['kind']> = Extract<DesignEdit, { kind: K }>;

export const withModuleType = (d: SiteDesign, type: Of<'module-type'>['type']): SiteDesign =>
  applyEdit(d, { kind: 'module-type', type });
export const withInverterType = (d: SiteDesign, type: Of<'inverter-type'>['type']): SiteDesign =>
  applyEdit(d, { kind: 'inverter-type', type });
export const withPlane = (d: SiteDesign, plane: Of<'plane'>['plane']): SiteDesign =>
  applyEdit(d, { kind: 'plane', plane });
export const withInverter = (d: SiteDesign, inverter: Of<'inverter'>['inverter']): SiteDesign =>
  applyEdit(d, { kind: 'inverter', inverter });
export const withoutPlane = (d: SiteDesign, planeId: string): SiteDesign =>
  applyEdit(d, { kind: 'remove-plane', planeId });
export const withoutInverter = (d: SiteDesign, inverterId: string): SiteDesign =>
  applyEdit(d, { kind: 'remove-inverter', inverterId });
