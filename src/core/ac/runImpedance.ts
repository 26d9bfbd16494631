import type { CableKind } from '../conductor/laid';
import type { School } from '../conductor/school';
import type { Answer } from '../kernel/answer';
import { given, known, lacking } from '../kernel/answer';
import type { AcRun } from './part';
import type { LoadedRunImpedance } from './voltage';

/** The line conductors as a school is asked for them, once everything about them is said. */
const kindOf = ({ metal, insulation, cores, method }: AcRun) =>
  given({ 'metal of the lines': metal, insulation, cores, 'installation method': method }, (k): CableKind => ({
    metal: k['metal of the lines'],
    insulation: k.insulation,
    cores: k.cores,
    method: k['installation method'],
  }));

/** R and X of one conductor of a run at full load, Ω, its cables in parallel. Length one way, m. */
export function runImpedance(
  run: AcRun,
  length: number | null,
  frequencyHz: number | null,
  school: School,
): Answer<LoadedRunImpedance> {
  const kind = kindOf(run);
  const asked = given(
    {
      section: run.sectionMm2,
      'cables in parallel': run.parallel,
      'length of the run': length,
      frequency: frequencyHz,
    },
    (k) => k,
  );
  if (!asked.value || !kind.value) return lacking(...asked.missing, ...kind.missing);
  const { section, 'cables in parallel': parallel, 'length of the run': lengthM, frequency } = asked.value;
  const ohmPerM = school.conductorOhmPerM({ ...kind.value, raceway: run.raceway }, section, frequency);
  if (ohmPerM.value === null) return ohmPerM;
  return known({
    ohm: (ohmPerM.value.ohmPerM * lengthM) / parallel,
    conductorC: ohmPerM.value.conductorC,
    reactanceOhm: (ohmPerM.value.reactanceOhmPerM * lengthM) / parallel,
  });
}
