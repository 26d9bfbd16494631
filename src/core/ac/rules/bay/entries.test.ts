import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { ENTRIES } from './entries';

const entries = (
  run: Parameters<typeof acRun>[0] extends infer O ? NonNullable<O extends { run?: infer R } ? R : never> : never,
  glands: number | null,
  wiring: '5-wire' | '3-wire plus PE' = '5-wire',
) => acRun({ run, bay: { glands }, type: { wiring } });

edges(ENTRIES, () => ({
  holds: [
    entries({ parallel: 1 }, 1),
    entries({ parallel: 2 }, 2),
    entries({ cores: '1-core', parallel: 1 }, 5),
    entries({ cores: '1-core', parallel: 1, peInCable: null }, 4, '3-wire plus PE'),
    entries({ peInCable: false }, 2),
  ],
  // Two cables in one gland neither seal nor hold; a PE beside the cable is a second one.
  stops: [
    entries({ parallel: 2 }, 1),
    entries({ cores: '1-core', parallel: 1 }, 4),
    entries({ cores: '1-core', parallel: 2 }, 9),
    entries({ peInCable: false }, 1),
  ],
  without: {
    'cores and cables in parallel': entries({ parallel: null }, 1),
    'glands for AC cables': entries({ parallel: 1 }, null),
  },
  numbers: [[entries({ parallel: 2 }, 1), { value: 2, limit: 1 }]],
  says: [
    [entries({ parallel: 1 }, null), /^Missing: number of AC glands of T100$/],
    [entries({ peInCable: null }, 1), /^Missing: cores/],
    [entries({ cores: null }, 1), /^Missing: cores/],
  ],
}));
