import { DEFAULT_FLEET } from '$lib/schemas/standIns/config';
import { FLEET_PORT } from '$lib/schemas/standIns/steering';
import { runFleet } from './control';

/** The fleet of stand-ins as a process of its own: `YARD_FLEET_PORT` is where it is steered, its buses have the ports behind. */
const port = Number(process.env.YARD_FLEET_PORT ?? FLEET_PORT);
const fleet = await runFleet(DEFAULT_FLEET, port).catch((cause: unknown) => {
  console.error(`The stand-ins do not start: ${cause instanceof Error ? cause.message : String(cause)}`);
  process.exit(1);
});
const end = () => void fleet.close().finally(() => process.exit(0));
process.on('SIGTERM', end);
process.on('SIGINT', end);
process.on('disconnect', end);
console.log(`Stand-ins: steered on port ${port}.`);
