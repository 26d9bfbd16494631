import { UNKNOWN_LINE } from '$core/links/line/busLine';
import { NO_OTHER_WAYS } from '$core/links/otherWays';
import { UNKNOWN_POLL } from '$core/links/timing/pollPlan';
import type { Chain, ChainDevice } from '$core/links/part';
import type { PartStore, Row } from '$lib/server/db/partStore';
import { storedList } from '$lib/server/db/partStore';
import { chainDevice } from './tables.server';

type Columns = typeof chainDevice.$inferSelect;

function deviceOf(row: Row): ChainDevice {
  const { id, kind, label, inverterId, bus, address, terminated, cable } = row as Columns;
  return { id, kind, label, inverterId, bus, address, terminated, ...cable };
}

/** Devices in rows; bit rate, pair and the ways beside it as values. */
export const store: PartStore = {
  lists: [
    storedList<ChainDevice>({
      table: chainDevice,
      key: 'id',
      list: (d) => d.chain.devices,
      row: ({ id, kind, label, inverterId, bus, address, terminated, ...cable }) => ({
        ...{ id, kind, label, inverterId, bus, address, terminated },
        cable,
      }),
    }),
  ],
  rest: ({ chain: { bitRate, line, poll, otherWays } }) => ({ bitRate, line, poll, otherWays }),
  part: ([devices = []], rest) => ({
    chain: {
      bitRate: (rest.bitRate ?? null) as Chain['bitRate'],
      devices: devices.map(deviceOf),
      line: (rest.line ?? UNKNOWN_LINE) as Chain['line'],
      poll: (rest.poll ?? UNKNOWN_POLL) as Chain['poll'],
      otherWays: (rest.otherWays ?? NO_OTHER_WAYS) as Chain['otherWays'],
    },
  }),
};
