import type { Answer } from '../../../kernel/answer';
import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { EarthFaultPlace } from '../../measure/earthFault';

/** What the voltages of a string's poles to earth say: where it touches earth, or nowhere. */
export interface PolesToEarth {
  readonly modules: number;
  readonly place: Answer<Exclude<EarthFaultPlace, { readonly found: 'error' }>>;
}

/** Whether a string touches earth, and where: between which of its modules, counted from the negative end. */
export const EARTH_FAULT_PLACE = rule<PolesToEarth>()({
  id: 'proving.earth-fault-place',
  title: 'No fixed earth fault',
  unit: 'modules from −',
  basis: practice('node equations of a string with one fault, read by a voltmeter; bounds common practice'),
  needs: { place: { as: 'both poles to earth', answer: (r) => r.place } },
  judge: ({ place }, { modules }) =>
    place.found === 'fault'
      ? found(
          'stop',
          () => [
            `k = n·V₋/(V₊ + V₋) = ${fixed(place.atModules, 1)} modules of ${modules} from the negative end: look ${between(place.between, modules)}`,
            `R_f = R_m·(U_oc/(V₊ + V₋) − 1) = ${fixed(place.ohm / 1000, 0)} kΩ`,
          ],
          { value: place.atModules },
        )
      : found('holds', () => ['the poles together read under a tenth of U_oc: no fixed fault']),
});

/** Modules are counted from 1 at the negative end; the ends are the home runs. */
function between([from, to]: readonly [number, number], modules: number): string {
  if (from < 1) return 'at the negative home run and the first module';
  if (from >= modules) return 'at the last module and the positive home run';
  return `between module ${from} and ${to}`;
}
