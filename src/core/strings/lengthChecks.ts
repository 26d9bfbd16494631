import type { Check } from '../kernel/check';
import type { StringLength } from './onInput';
import { COLD_VOLTAGE } from './rules/string/coldVoltage';
import { FULL_POWER } from './rules/string/fullPower';
import { HOT_VOLTAGE } from './rules/string/hotVoltage';
import { START } from './rules/string/start';

/** The rules that judge a length alone. */
const OF_LENGTH = [COLD_VOLTAGE, HOT_VOLTAGE, START, FULL_POWER];

/** How so many modules in series stand on a type of inverter, before a string hangs anywhere: by the very rules that judge it when it does. */
export const lengthChecks = (about: StringLength): Check[] =>
  OF_LENGTH.map((r) =>
    r.check(about, { element: 'string', path: `${about.string.modules} modules on ${about.type.name}` }),
  );
