import type { School } from '../../conductor/school';
import type { Answer } from '../../kernel/answer';
import { given, known, lacking } from '../../kernel/answer';
import type { Board } from '../../site/parts';
import type { Survey } from '../../site/survey';
import type { Impedance } from './network';

/** Of the main cable one line and its PE, at a temperature, Ω; what it lacks. `tempC` null: full load. */
export function mainCable(
  board: Board,
  survey: Pick<Survey, 'frequencyHz'>,
  school: School,
  tempC: number | null,
): { readonly line: Answer<Impedance>; readonly pe: Answer<Impedance> } {
  const { mainMetal, mainInsulation, mainSectionMm2, mainParallel, mainLengthM, mainPeMm2 } = board;
  const asked = given(
    {
      'metal of the main cable': mainMetal,
      'insulation of the main cable': mainInsulation,
      'section of the main cable': mainSectionMm2,
      'main cables in parallel': mainParallel,
      'length of the main cable': mainLengthM,
      frequency: survey.frequencyHz,
    },
    (k) => k,
  );
  if (asked.value === null) return { line: lacking(...asked.missing), pe: lacking(...asked.missing) };
  const k = asked.value;
  const of = (sectionMm2: number): Answer<Impedance> => {
    const kind = {
      metal: k['metal of the main cable'],
      insulation: k['insulation of the main cable'],
      raceway: board.mainRaceway,
    };
    const perM = school.conductorOhmPerM(kind, sectionMm2, k.frequency, tempC ?? undefined);
    if (perM.value === null) return perM;
    const share = k['length of the main cable'] / k['main cables in parallel'];
    return known({ ohm: perM.value.ohmPerM * share, reactanceOhm: perM.value.reactanceOhmPerM * share });
  };
  return {
    line: of(k['section of the main cable']),
    pe: mainPeMm2 === null ? lacking('PE of the main cable') : of(mainPeMm2),
  };
}
