import { edges } from '../../../testing/edges';
import type { LandedInput } from './inputs';
import { LANDED_INPUT } from './inputs';

const input = (voltageV: number | null, over: Partial<LandedInput> = {}): LandedInput => ({
  name: 'tracker 1 input 2, string 7',
  voltageV,
  limitV: 1100,
  alikeV: 880,
  modules: 20,
  ...over,
});

// Half a module of 20 is 22 V of 880 V.
edges(LANDED_INPUT, () => ({
  holds: [input(880), input(858.1), input(901.9), input(700, { alikeV: null }), input(1100, { alikeV: null })],
  stops: [input(857.9), input(902.1), input(-880), input(0), input(1100.1, { alikeV: null })],
  without: { 'voltage at this input': input(null), 'DC limit': input(880, { limitV: null }) },
  numbers: [[input(880), { value: 880, limit: 1100, margin: 20 }]],
  says: [
    [input(880), /string 7: 880.0 V; like inputs 880.0 V/],
    [input(-880), /./, /reversed/],
    [input(1200, { alikeV: null }), /string 7: 1200.0 V$/, /over the DC limit/],
    [input(836), /./, /1.00 modules from its like/],
  ],
}));
