import { candidates } from '../src/core/ac/candidates/candidates';
import { runResults, acResults } from '../src/core/ac/results';
import { ALL_FEEDING, pictureAt, restThatSurvives, shareUntilTrip } from '../src/core/ac/voltagePath/picture';
import { mends } from '../src/core/ac/voltagePath/mends';
import { schoolOf } from '../src/core/conductor/schools';
import { generator } from '../src/core/kernel/generator';
import { Memo } from '../src/core/kernel/memo';
import { tripHours } from '../src/core/design/tripHours';
import { openDesign } from '../src/core/design/edition';
import { BOARD, SURVEY, runOf, siteOf } from '../src/core/testing/examples';

/** Sixty runs to one board, all of them long enough that some trip. */
export function sixtyRuns() {
  const d = siteOf(60, []);
  return {
    ...d,
    survey: { ...SURVEY, transformerKva: 6300, restLineV: 425 },
    board: { ...BOARD, mainParallel: 12, mainSectionMm2: 630 },
    runs: d.inverters.map((u, i) => runOf(u.id, { lengthM: 20 + 2 * i, sectionMm2: 95 })),
  };
}

export const allCandidates = (d: ReturnType<typeof sixtyRuns>) =>
  runResults(d).map((r) => candidates(r, { Cu: 9, Al: 2.7 }));

export const pathOf = (d: ReturnType<typeof sixtyRuns>) => acResults(d, new Memo());

/** Everything the page of the voltage shows at once: voltages, limits and over power. */
export function wholePicture(of: ReturnType<typeof acResults>) {
  const path = of.board.path.value;
  if (!path) throw new RangeError(of.board.path.missing.join(', '));
  const over = Array.from({ length: 21 }, (_, i) => pictureAt(path, { ...ALL_FEEDING, share: i / 20 }));
  return [over, shareUntilTrip(path), restThatSurvives(path)];
}

export const allMends = (d: ReturnType<typeof sixtyRuns>, of: ReturnType<typeof acResults>) =>
  mends({
    path: of.board.path.value!,
    survey: d.survey,
    board: d.board,
    school: schoolOf(d.survey.school),
    runs: of.runs,
  });

export { drumPlan } from '../src/core/ac/schedule/drums';

/** Two hundred cuts of 20 to 160 m, the same every time. */
export function twoHundredCuts() {
  const next = generator(7);
  return Array.from({ length: 200 }, (_, i) => ({ tag: `C${i}`, lengthM: Math.round(200 + 1400 * next()) / 10 }));
}

export const yearOf = (project: { readonly design: unknown }) =>
  tripHours(openDesign(project.design), { year: 2026, weather: null });
