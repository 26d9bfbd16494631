import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { frequencyHolds } from '../../acVoltages';
import type { AcReading } from '../../readings/acReading';

/** Frequency at rest inside the window of the grid code, and the one the survey names, Hz. */
export const FREQUENCY = rule<AcReading>()({
  id: 'proving.frequency',
  title: 'Frequency inside the grid window',
  unit: 'Hz',
  basis: published('frequency window of the grid code'),
  needs: { window: { as: 'grid code', answer: (r) => r.window } },
  judge: ({ window }, { frequencyHz, nominalHz }) =>
    found(
      frequencyHolds(window, frequencyHz, nominalHz) ? 'holds' : 'stop',
      () => [`${frequencyHz} Hz in ${window.minHz ?? '–'} to ${window.maxHz ?? '–'} Hz`],
      { value: frequencyHz, basis: published(window.code.source) },
    ),
});
