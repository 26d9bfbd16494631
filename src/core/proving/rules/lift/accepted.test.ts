import { edges } from '../../../testing/edges';
import { liftReading, plannedCheck } from '../../../testing/liftReadings';
import { ACCEPTED } from './accepted';

const planned = (accepted: string, ...verdicts: Parameters<typeof plannedCheck>[0][]) =>
  liftReading({ accepted, planned: verdicts.map((v, i) => plannedCheck(v, `Part ${i + 1}`)) });

edges(ACCEPTED, () => ({
  holds: [planned('', 'holds', 'holds')],
  tight: [planned('two lifts only, four hands', 'holds', 'tight')],
  // What is past its limit nobody accepts, whatever the reason.
  stops: [planned('', 'tight'), planned('we always do it so', 'stop'), planned('a reason', 'tight', 'stop')],
  without: { 'plan of the lift': planned('a reason', 'unknown', 'holds') },
  says: [
    [planned('', 'tight'), /^tight: Part 1$/, /with a reason/],
    [planned('two only', 'tight', 'tight'), /^tight: Part 1, Part 2$/, /^accepted: two only$/],
    [planned('', 'stop', 'tight'), /^past its limit: Part 1$/, /./],
    [planned('', 'unknown', 'stop'), /^Missing: an answer to “Part 1”$/],
    [planned(''), /^Missing: a wall that it hangs on$/],
  ],
}));
