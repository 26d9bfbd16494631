import { edges } from '../../../testing/edges';
import { WITNESS_MARKS } from './witnessMarks';

const marked = (witnessMarks: boolean) => ({ appliedNm: 25, joints: 5, witnessMarks, target: null });

edges(WITNESS_MARKS, { holds: [marked(true)], tight: [marked(false)], without: {} });
