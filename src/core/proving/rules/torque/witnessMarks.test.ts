import { edges } from '../../../testing/edges';
import { WITNESS_MARKS } from './witnessMarks';

const marked = (is: boolean) => ({ at: 'unit L1', appliedNm: 25, marked: is, target: null, toolHolds: null });

edges(WITNESS_MARKS, () => ({ holds: [marked(true)], tight: [marked(false)], without: {} }));
