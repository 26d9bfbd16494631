import { z } from 'zod';
import { ask } from '../../kernel/rule';
import { quantity } from '../../kernel/schema';
import { gridCodeOf } from '../../site/gridCodes';
import { measured, onSite } from '../judging';
import { kind } from '../kind';
import { PROVING_RULES as RULES } from '../rules';

const values = z.object({
  secondsToZero: quantity(0, 600, 's', 'Seconds until the power was gone'),
  statedS: quantity(0.1, 600, 's', 'Stated stop time; 5 s where none is stated'),
  leftPercent: quantity(0, 200, '%', 'Power left, share of the rating'),
  restarted: z.boolean().meta({ description: 'It came back before the reset' }),
  waitedAgainS: quantity(0, 3600, 's', 'Seconds it waited after the reset'),
});

/** The stop, pressed under power. A stop makes no DC dead. */
export const STOP = kind({
  kind: 'stop',
  title: 'Stop under power',
  scopes: ['site'],
  values,
  instrument: ['stopwatch'],
  measured: (v) => [{ of: 'time', value: v.secondsToZero, path: 'secondsToZero' }],
  gates: ['S-ESTOP'],
  correctable: true,
  judge({ design, entry, values: v, day }) {
    const where = onSite('inverter', 'emergency stop');
    return measured(
      entry,
      day,
      ['S-ESTOP'],
      where,
      ask(RULES.stop, { ...v, delayS: gridCodeOf(design.survey.gridCode)?.delayS ?? null }, where),
    );
  },
  form: () => ({
    schema: values,
    blank: { secondsToZero: null, statedS: 5, leftPercent: null, restarted: false, waitedAgainS: null },
    groups: [{ title: '', paths: Object.keys(values.shape) }],
    caution: 'A stop button does not make DC dead: strings and the AC line side stay live.',
  }),
  line: (v) =>
    `${v.leftPercent} % left after ${v.secondsToZero} s, ${v.restarted ? 'came back by itself' : 'stayed off until reset'}`,
  printed: {
    title: 'Stop under power (it makes no DC dead)',
    columns: [
      { title: 'To zero', share: 1, right: true },
      { title: 'Left', share: 1, right: true },
      { title: 'Waited again', share: 1, right: true },
    ],
    row: (v) => [`${v.secondsToZero} s`, `${v.leftPercent} %`, `${v.waitedAgainS} s`],
  },
});
