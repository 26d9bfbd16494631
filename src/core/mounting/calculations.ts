import { fixingCalculations } from './fixing/calculations';
import { liftCalculations } from './lift/calculations';
import { receivingCalculations } from './receiving/calculations';
import { setOutCalculations } from './setOut/calculations';
import { sitingCalculations } from './siting/calculations';
import { wallCalculations } from './wall/calculations';

/** What siting, set-out, lifting and fixing compute without a site. */
export const calculations = {
  ...sitingCalculations,
  ...wallCalculations,
  ...setOutCalculations,
  ...liftCalculations,
  ...fixingCalculations,
  ...receivingCalculations,
};
