import { published } from '../../../kernel/check';
import { atMost, withVerdict } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { StringLength } from '../../onInput';
import { coldReserveK } from '../../window';
import { IEC_STRINGS } from '../sources';

/** Reserve wanted under the limit, per cent (common practice: the survey's coldest morning is an estimate). */
const RESERVE_PERCENT = 1;

/** Open-circuit voltage on the coldest morning, V: n · U_oc,cold by the method in force, against the DC limit (IEC 62548-1). */
export const COLD_VOLTAGE = rule<StringLength>()({
  id: 'strings.uoc-cold',
  title: 'Open-circuit voltage on the coldest morning',
  unit: 'V',
  basis: published(IEC_STRINGS),
  needs: { w: { as: 'the window of the string', answer: (s) => s.window } },
  judge: ({ w }, { string: { modules: n }, module }) => {
    const j = atMost(
      {
        value: n * w.uocColdV,
        limit: w.limitV,
        working: () => [
          ...w.working.slice(0, 2),
          `n × U_oc,cold = ${n} × ${fixed(w.uocColdV, 2)} V = ${fixed(n * w.uocColdV, 1)} V ≤ ${w.limitV} V`,
        ],
      },
      RESERVE_PERCENT,
    );
    const { doubt } = w;
    if (doubt && j.verdict !== 'stop') return withVerdict(j, doubt.verdict, () => [doubt.text]);
    if (j.verdict !== 'tight') return j;
    return withVerdict(j, 'tight', () => [
      `A coldest morning ${fixed(coldReserveK(module, w, n), 1)} K colder than entered breaks this.`,
    ]);
  },
});
