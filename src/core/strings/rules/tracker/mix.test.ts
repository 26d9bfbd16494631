import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import { onTracker } from '../../../testing/subjects';
import { TRACKER_MIX } from './mix';

edges(TRACKER_MIX, () => ({
  holds: [onTracker(), onTracker({}, [{}, {}]), onTracker({}, [{}, { plane: { label: 'another of the kind' } }])],
  stops: [
    onTracker({}, [{}, { string: { modules: 16 } }]),
    onTracker({}, [{}, { plane: { tiltDeg: 11 } }]),
    onTracker({}, [{}, { plane: { azimuthDeg: 181 } }]),
    onTracker({}, [{}, { plane: { moduleTypeId: 'other' } }]),
  ],
  without: {},
}));

it('names every string of a mixed tracker', () =>
  expect(
    TRACKER_MIX.check(onTracker({}, [{}, { string: { modules: 16 } }]), { element: 'tracker', path: '' }).working,
  ).toEqual([expect.stringContaining('17 modules'), expect.stringContaining('16 modules')]));
