import { published } from '../../../kernel/check';
import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';

/** Leakage that a unit may legally reach before it stops itself: 300 mA to 30 kVA, 10 mA a kVA above (IEC 62109-2; recalled). */
const SMALL_KVA = 30;
const SMALL_MA = 300;
const MA_PER_KVA = 10;
export const leakageFloorMa = (apparentVa: number): number =>
  apparentVa <= SMALL_KVA * 1000 ? SMALL_MA : (MA_PER_KVA * apparentVa) / 1000;

interface Device {
  readonly type: 'A' | 'B';
  readonly ratedMa: number;
  /** The maker of the inverter says in writing that type A is enough; null: nobody has asked. */
  readonly typeAAllowed: boolean | null;
}

function deviceOf({ run, survey, type }: RunResult): Answer<Device | 'none'> {
  const fitted = run.residualFitted ?? survey.rcdFitted;
  if (fitted === null) return lacking('whether residual-current devices are fitted');
  if (!fitted) return known('none');
  const { residualType, residualMa } = run;
  if (residualType === null || residualMa === null || (residualType === 'A' && type.residualTypeA === null))
    return lacking(
      ...(residualType === null ? ['type of the residual-current device'] : []),
      ...(residualMa === null ? ['rating of the residual-current device'] : []),
      ...(residualType === 'A' && type.residualTypeA === null ? [`whether type A is enough for ${type.name}`] : []),
    );
  return known({ type: residualType, ratedMa: residualMa, typeAAllowed: type.residualTypeA });
}

/** Type and rating of the residual-current device of a run: B unless the maker says in writing that A is enough, and over the unit’s own leakage. */
export const RESIDUAL_CURRENT = rule<RunResult>()({
  id: 'ac.residual-current',
  title: 'Residual-current device suits the inverter',
  unit: 'mA',
  basis: published('IEC 62109-2; IEC 60364-7-712'),
  needs: { device: { as: 'kind and rating of the residual-current device, or that there is none', answer: deviceOf } },
  judge: ({ device }, { type }) => {
    if (device === 'none') return found('holds', () => ['none fitted']);
    const floorMa = leakageFloorMa(type.maxApparentVa);
    const blind = device.type === 'A' && device.typeAAllowed !== true;
    const trips = device.ratedMa < floorMa;
    return found(
      blind ? 'stop' : trips ? 'tight' : 'holds',
      () => [
        `type ${device.type}, ${device.ratedMa} mA; the unit may leak ${floorMa} mA before it stops itself`,
        ...(blind ? ['type A is blinded by the direct current of this inverter: type B'] : []),
        ...(trips ? ['under that it trips for nothing'] : []),
      ],
      {
        value: device.ratedMa,
        limit: floorMa,
        ...(blind || trips ? {} : { margin: (100 * (device.ratedMa - floorMa)) / floorMa }),
      },
    );
  },
});
