import type { ModuleType } from '../../equipment/moduleType';
import type { Answer } from '../../kernel/answer';
import { requireWithin } from '../../kernel/require';
import type { ColdVoltage } from '../../strings/coldVoltage';
import type { CauseRanking } from '../stringCauses';
import { TOO_DARK_WM2, rankCauses } from '../stringCauses';

/** Rise of U_oc with the logarithm of light, share of U_oc (IEC 60891 procedure 2, typical; recalled). */
const LIGHT_COEFFICIENT = 0.06;

/**
 * A measured string carried to the coldest morning, V: U·f_cold/(1 + β(T_c − 25) + 0.06·ln(G/1000)).
 * U reading, V · T_c cell, °C · G light, W/m² (above 0) · f_cold U_oc,cold/U_oc by the site's own method · β 1/K.
 * Source: IEC 60891, procedure 2 (recalled).
 */
export function carriedToColdV(
  voltageV: number,
  cellC: number,
  irradianceWm2: number,
  coldFactor: number,
  betaUocPerK: number,
): number {
  return (
    (voltageV * coldFactor) / (1 + betaUocPerK * (cellC - 25) + LIGHT_COEFFICIENT * Math.log(irradianceWm2 / 1000))
  );
}

/** Everything a reading at the plug is judged by. */
export interface StringTest {
  readonly module: ModuleType;
  readonly modules: number;
  readonly voltageV: number;
  readonly currentA: number | null;
  readonly cellC: number;
  readonly irradianceWm2: number;
  readonly coldestC: number | null;
  /** One module on the coldest morning, by the method of the survey. */
  readonly cold: Answer<ColdVoltage>;
  /** The DC limit of the string where it hangs, V. */
  readonly limitV: Answer<number>;
  readonly sistersV: readonly number[];
  readonly otherModules: number | null;
  readonly idealityV?: number;
}

/** A reading with what it would be on the coldest morning and the ranking of its causes. */
export interface StringReading extends StringTest {
  readonly ranking: CauseRanking;
  /** Null while the cold voltage of a module is not known. */
  readonly coldV: number | null;
}

/** Works a reading through. Below 100 W/m² it proves nothing: throws RangeError, as on a temperature no cell has. */
export function stringReading(t: StringTest): StringReading {
  requireWithin('irradianceWm2', t.irradianceWm2, TOO_DARK_WM2, 1600, 'W/m²; below it is too dark to judge');
  requireWithin('cellC', t.cellC, -40, 110, '°C');
  requireWithin('betaUocPerK', t.module.betaUocPerK, -0.00999, -1e-9, '1/K');
  const coldV = t.cold.value
    ? carriedToColdV(t.voltageV, t.cellC, t.irradianceWm2, t.cold.value.factor, t.module.betaUocPerK)
    : null;
  const { module, modules, voltageV, currentA, cellC, irradianceWm2, coldestC, cold, limitV, sistersV, otherModules } =
    t;
  const ranking = rankCauses(module, t);
  // Field by field: a spread costs more than the reading, and a record holds thousands.
  return {
    module,
    modules,
    voltageV,
    currentA,
    cellC,
    irradianceWm2,
    coldestC,
    cold,
    limitV,
    sistersV,
    otherModules,
    ranking,
    coldV,
  };
}
