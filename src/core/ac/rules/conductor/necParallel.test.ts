import { edges } from '../../../testing/edges';
import { necRun } from '../../../testing/subjects';
import { NEC_PARALLEL } from './necParallel';

const laid = (sectionMm2: number | null, parallel: number | null) => necRun({ run: { sectionMm2, parallel } });

edges(NEC_PARALLEL, () => ({
  holds: [laid(53.48, 2), laid(42.41, 1), laid(253.35, 4)],
  stops: [laid(42.41, 2), laid(8.37, 3)],
  without: { 'cables in parallel': laid(53.48, null), section: laid(null, 2) },
}));
