import { z } from 'zod';
import type { Plan, Room, Spot, Tray } from '$core/site/plan';
import { CABLE_KINDS, planSchema, roomSchema, spotSchema, traySchema } from '$core/site/plan';
import type { Position } from '$core/site/position';
import { positionSchema } from '$core/site/position';

/** Forms of the plan, in people's shapes. */

const lies = (what: string) => z.boolean().meta({ description: what });
export const trayForm = traySchema.omit({ id: true, carries: true }).extend({
  dc: lies('Home runs lie on it'),
  ac: lies('AC runs lie on it'),
  bus: lies('The RS-485 bus lies on it'),
});
export const trayToForm = ({ id: _id, carries, ...t }: Tray) => ({
  ...t,
  dc: carries.includes('dc'),
  ac: carries.includes('ac'),
  bus: carries.includes('bus'),
});
export const trayFromForm = (id: string, { dc, ac, bus, ...t }: z.infer<typeof trayForm>): Tray => {
  const said = { dc, ac, bus };
  return { id, ...t, carries: CABLE_KINDS.filter((k) => said[k]) };
};
/** A tray on which nothing may lie is no way for anything. */
export const emptyTray = (values: Record<string, unknown>): { path: string; text: string }[] =>
  CABLE_KINDS.some((k) => values[k] === true) ? [] : [{ path: 'dc', text: 'Say what lies on it: one kind at least.' }];

export const roomForm = roomSchema.omit({ id: true });
export const roomToForm = ({ id: _id, ...r }: Room) => r;

export const spotForm = spotSchema.omit({ id: true, position: true }).extend(positionSchema.shape);
export const spotToForm = ({ id: _id, position, ...s }: Spot) => ({ ...s, ...position });
export const spotFromForm = (id: string, { xM, yM, zM, ...s }: z.infer<typeof spotForm>): Spot => ({
  id,
  ...s,
  position: { xM, yM, zM },
});

export const planForm = z.object({ northDeg: planSchema.shape.northDeg, levels: planSchema.shape.levels });
export const planToForm = ({ northDeg, levels }: Plan) => ({ northDeg, levels });

/** Where something stands, all three numbers. */
export const positionForm = z.object(positionSchema.shape);
export const blankPosition: Record<keyof Position, null> = { xM: null, yM: null, zM: null };
