import type { ModuleType } from '../equipment/moduleType';
import type { Answer } from '../kernel/answer';
import { known, lacking } from '../kernel/answer';
import type { Basis } from '../kernel/check';
import { published } from '../kernel/check';
import type { Judged } from '../kernel/judgement';
import { requirePositive } from '../kernel/require';

export interface InsulationTest {
  readonly requiredTestV: number;
  readonly minimumMohm: number;
  /** The modules' rating caps the test voltage below what the string voltage would ask for. */
  readonly capped: boolean;
}

/** Test voltage and least resistance by 1.25 × U_oc,stc (IEC 62446-1, 6.7, Table 2; recalled). */
const STEPS = [
  { belowV: 120, testV: 250, minimumMohm: 0.5 },
  { belowV: 500, testV: 500, minimumMohm: 1 },
  { belowV: 1000, testV: 1000, minimumMohm: 1 },
  { belowV: Infinity, testV: 1500, minimumMohm: 1 },
] as const;
type Step = (typeof STEPS)[number];
const TEST_VOLTAGES = [250, 500, 1000, 1500];

/** How a DC section is to be tested. The test voltage never passes the modules' own system voltage. */
export function dcInsulationTest(stringUocStcV: number, moduleSystemMaxV: number): InsulationTest {
  requirePositive({ stringUocStcV, moduleSystemMaxV }, 'stringUocStcV', 'moduleSystemMaxV');
  const systemV = 1.25 * stringUocStcV;
  const { testV, minimumMohm } = STEPS.find((s, i) => (i === 0 ? systemV < s.belowV : systemV <= s.belowV)) as Step;
  const capped = testV > moduleSystemMaxV;
  const requiredTestV = capped ? (TEST_VOLTAGES.findLast((v) => v <= moduleSystemMaxV) ?? 250) : testV;
  return { requiredTestV, minimumMohm, capped };
}

/** Test voltage and least resistance of a dead AC run: 500 V to 500 V nominal, 1000 V above; 1 MΩ (IEC 60364-6, Table 6.1; recalled). */
export function acInsulationTest(nominalLineV: number): InsulationTest {
  requirePositive({ nominalLineV }, 'nominalLineV');
  return { requiredTestV: nominalLineV <= 500 ? 500 : 1000, minimumMohm: 1, capped: false };
}

/** A new AC run under this is worth a second look, MΩ (common practice). */
const NEW_RUN_MOHM = 10;
/** Sections up to this are one fault; larger ones are split before they are condemned, kW (IEC 62446-1, 6.7). */
const SECTION_MAX_KW = 10;

/** What a reading says once it proves something. */
export interface InsulationVerdict {
  readonly verdict: Judged;
  /** Written when somebody reads it. */
  readonly text: () => string;
}

/** Judges a DC reading. Without proof where the test voltage is too low, or where a large section must be split first. */
export function judgeDcInsulation(
  test: InsulationTest,
  usedV: number,
  mohm: number,
  sectionKw: number,
  moduleSystemMaxV: number,
): Answer<InsulationVerdict> {
  if (usedV > moduleSystemMaxV)
    return known({
      verdict: 'stop',
      text: () => `${usedV} V is above the modules’ ${moduleSystemMaxV} V: report it, the insulation may be hurt.`,
    });
  if (usedV < test.requiredTestV) return provesNothing(usedV, test);
  if (mohm >= test.minimumMohm) return holds(usedV, mohm, test);
  return sectionKw > SECTION_MAX_KW
    ? lacking(
        `${mohm} MΩ over ${sectionKw.toFixed(1)} kW: split into sections up to ${SECTION_MAX_KW} kW and test each.`,
      )
    : known({
        verdict: 'stop',
        text: () => `${mohm} MΩ is below ${test.minimumMohm} MΩ: find the earth fault before landing.`,
      });
}

const provesNothing = (usedV: number, test: InsulationTest): Answer<InsulationVerdict> =>
  lacking(`${usedV} V proves nothing: test with ${test.requiredTestV} V.`);

const holds = (usedV: number, mohm: number, test: InsulationTest): Answer<InsulationVerdict> =>
  known({ verdict: 'holds', text: () => `${mohm} MΩ ≥ ${test.minimumMohm} MΩ at ${usedV} V` });

/** Judges a reading on a dead AC run. */
export function judgeAcInsulation(test: InsulationTest, usedV: number, mohm: number): Answer<InsulationVerdict> {
  if (usedV < test.requiredTestV) return provesNothing(usedV, test);
  if (mohm < test.minimumMohm)
    return known({ verdict: 'stop', text: () => `${mohm} MΩ is below ${test.minimumMohm} MΩ.` });
  return mohm < NEW_RUN_MOHM
    ? known({
        verdict: 'tight',
        text: () => `${mohm} MΩ passes, but a new run reads over ${NEW_RUN_MOHM} MΩ: look for damp or damage.`,
      })
    : holds(usedV, mohm, test);
}

/** A reading of an insulation tester with what it is judged by. */
export interface InsulationReading {
  readonly megohm: number;
  readonly minimumMohm: number;
  readonly proof: Answer<InsulationVerdict>;
  readonly basis: Basis;
}

interface Tested {
  readonly testV: number;
  readonly megohm: number;
  readonly seconds: number;
  readonly ofParts?: number;
}

const DC_BASIS = published('IEC 62446-1, 6.7, Table 2');
const AC_BASIS = published('IEC 60364-6, Table 6.1');
/** The test voltage is held at least this long, s (common practice). */
const LEAST_SECONDS = 60;
/** Residual current from which a unit does not start, A (IEC 62109-2, 4.8.2; recalled). */
const UNIT_LEAKAGE_A = 0.03;

/** Insulation that a module has to have, times its area, MΩ·m² (IEC 61215-2, MQT 03; recalled). */
const MODULE_MOHM_M2 = 40;

/** What so many healthy modules may leak to together, MΩ: 40 MΩ·m² over their area. Empty while the sheet gives no size. */
const healthyMohm = ({ lengthMm, widthMm }: ModuleType, modules: number): number[] =>
  lengthMm === null || widthMm === null ? [] : [MODULE_MOHM_M2 / ((modules * lengthMm * widthMm) / 1e6)];

/** A proof that was held long enough; a fail needs no full minute. */
const proved = (proof: Answer<InsulationVerdict>, { seconds }: Tested): Answer<InsulationVerdict> =>
  proof.value?.verdict === 'stop' || seconds >= LEAST_SECONDS
    ? proof
    : lacking(`a test of at least ${LEAST_SECONDS} s (held ${seconds} s)`);

/** A reading of one string: `modules` in series, or of one of the parts it was split into. `unitMaxV`: where it hangs, null while on nothing. */
export function dcInsulationReading(
  module: ModuleType,
  modules: number,
  tested: Tested,
  unitMaxV: number | null,
): InsulationReading {
  const { testV, megohm, ofParts = 1 } = tested;
  const test = dcInsulationTest(modules * module.uocV, module.systemMaxV);
  const kw = (modules * module.pmaxW) / 1000 / ofParts;
  const proof = proved(judgeDcInsulation(test, testV, megohm, kw, module.systemMaxV), tested);
  const { value } = proof;
  const beside = () =>
    [
      ...(unitMaxV === null ? [] : [` The unit starts above ${(unitMaxV / UNIT_LEAKAGE_A / 1e6).toFixed(3)} MΩ.`]),
      ...healthyMohm(module, modules / ofParts).map(
        (mohm) => ` Healthy modules of this size may leak down to ${mohm.toFixed(3)} MΩ together.`,
      ),
    ].join('');
  const said = value ? known({ verdict: value.verdict, text: () => value.text() + beside() }) : proof;
  return { megohm, minimumMohm: test.minimumMohm, proof: said, basis: DC_BASIS };
}

/** A reading of a dead AC run at a nominal line voltage, V. */
export function acInsulationReading(nominalLineV: number, tested: Tested): InsulationReading {
  const test = acInsulationTest(nominalLineV);
  const proof = proved(judgeAcInsulation(test, tested.testV, tested.megohm), tested);
  return { megohm: tested.megohm, minimumMohm: test.minimumMohm, proof, basis: AC_BASIS };
}

/** Sections in parallel, MΩ: 1/Σ(1/R_i), each above 0; ∞ of none. A bad string hides in an array reading. */
export function parallelMohm(sections: readonly number[]): number {
  return 1 / sections.reduce((sum, r) => sum + 1 / r, 0);
}
