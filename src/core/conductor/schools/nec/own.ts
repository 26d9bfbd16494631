/** What the NEC school answers that no other is asked. */
export type { AtTerminals } from './ampacity';
export { mostBreakerA, terminationA } from './ampacity';
export { bendingSpaceMm } from './bendingSpace';
export { CONTINUOUS } from './equipmentEarth';
export { racewayFill } from './racewayFill';
export { PARALLEL_LEAST_MM2 } from './sizes';
