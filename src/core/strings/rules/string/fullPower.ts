import { dataSheet } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { StringLength } from '../../onInput';

const volts = (x: number) => `${fixed(x, 1)} V`;

/** Whether a string keeps the inverter at full power from the hottest to the coldest hour. Outside harms nothing and loses energy: tight. */
export const FULL_POWER = rule<StringLength>()({
  id: 'strings.full-power',
  title: 'Keeps full power at both ends',
  unit: 'modules',
  basis: dataSheet('full-power range'),
  needs: {
    w: { as: 'the window of the string', answer: (s) => s.window },
    minV: {
      as: 'full-power range of the inverter',
      of: (s) => s.type.fullPowerMinV,
      missing: (s) => [`full-power range of ${s.type.name}`],
    },
    maxV: {
      as: 'full-power range of the inverter',
      of: (s) => s.type.fullPowerMaxV,
      missing: (s) => [`full-power range of ${s.type.name}`],
    },
  },
  judge: ({ w, minV, maxV: upperV }, { string: { modules: n }, module }) => {
    const hotV = n * w.umpHotV;
    const coldV = n * w.umpColdV;
    const [lowWhenHot, highWhenCold] = [hotV < minV, coldV > upperV];
    const loses = lowWhenHot || highWhenCold;
    const margin = Math.min((100 * (hotV - minV)) / minV, (100 * (upperV - coldV)) / upperV);
    return found(
      loses ? 'tight' : 'holds',
      () => [
        `${module.name}: ${volts(hotV)} hot, ${volts(coldV)} cold; full power from ${minV} V to ${upperV} V`,
        ...(lowWhenHot ? [`In the heat ${volts(hotV)} lies under ${minV} V: power is lost there.`] : []),
        ...(highWhenCold ? [`In the cold ${volts(coldV)} lies over ${upperV} V: power is lost there.`] : []),
      ],
      { value: n, margin: loses ? null : margin },
    );
  },
});
