import { enumOf } from '../../kernel/schema';
import { GATE_TABLE } from './table';

/** The name of a gate, as entries carry it. */
export const gateIdSchema = enumOf(GATE_TABLE.map((g) => g.id));
