import { requirePositive } from '../kernel/require';
import type { Verdict } from '../kernel/check';

export interface InsulationTest {
  readonly requiredTestV: number;
  readonly minimumMohm: number;
  /** The modules' rating caps the test voltage below what the string voltage would ask for. */
  readonly capped: boolean;
}

/** Test voltage and least resistance by 1.25 × U_oc,stc (IEC 62446-1, 6.7, Table 2; recalled). */
const STEPS: readonly (readonly [belowV: number, testV: number, mohm: number])[] = [
  [120, 250, 0.5],
  [500, 500, 1],
  [1000, 1000, 1],
  [Infinity, 1500, 1],
];
const TEST_VOLTAGES = [250, 500, 1000, 1500];

/** How a DC section is to be tested. The test voltage never passes the modules' own system voltage. */
export function dcInsulationTest(stringUocStcV: number, moduleSystemMaxV: number): InsulationTest {
  requirePositive({ stringUocStcV, moduleSystemMaxV }, 'stringUocStcV', 'moduleSystemMaxV');
  const systemV = 1.25 * stringUocStcV;
  const [, testV, minimumMohm] = STEPS.find(([below], i) => (i === 0 ? systemV < below : systemV <= below)) ?? [
    0, 1500, 1,
  ];
  const allowed = TEST_VOLTAGES.filter((v) => v <= moduleSystemMaxV);
  const capped = testV > moduleSystemMaxV;
  return { requiredTestV: capped ? (allowed.at(-1) ?? 250) : testV, minimumMohm, capped };
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

export interface InsulationVerdict {
  /** `unknown` when the test proves nothing: voltage too low, or a large section that must be split first. */
  readonly verdict: Verdict;
  readonly text: string;
}

/** Judges a DC reading. */
export function judgeDcInsulation(
  test: InsulationTest,
  usedV: number,
  mohm: number,
  sectionKw: number,
  moduleSystemMaxV: number,
): InsulationVerdict {
  if (usedV > moduleSystemMaxV)
    return {
      verdict: 'stop',
      text: `${usedV} V is above the modules’ ${moduleSystemMaxV} V: report it, the insulation may be hurt.`,
    };
  if (usedV < test.requiredTestV)
    return { verdict: 'unknown', text: `${usedV} V proves nothing: test with ${test.requiredTestV} V.` };
  if (mohm >= test.minimumMohm) return { verdict: 'holds', text: `${mohm} MΩ ≥ ${test.minimumMohm} MΩ at ${usedV} V` };
  return sectionKw > SECTION_MAX_KW
    ? {
        verdict: 'unknown',
        text: `${mohm} MΩ over ${sectionKw.toFixed(1)} kW: split into sections up to ${SECTION_MAX_KW} kW and test each.`,
      }
    : { verdict: 'stop', text: `${mohm} MΩ is below ${test.minimumMohm} MΩ: find the earth fault before landing.` };
}

/** Judges a reading on a dead AC run. */
export function judgeAcInsulation(test: InsulationTest, usedV: number, mohm: number): InsulationVerdict {
  if (usedV < test.requiredTestV)
    return { verdict: 'unknown', text: `${usedV} V proves nothing: test with ${test.requiredTestV} V.` };
  if (mohm < test.minimumMohm) return { verdict: 'stop', text: `${mohm} MΩ is below ${test.minimumMohm} MΩ.` };
  return mohm < NEW_RUN_MOHM
    ? {
        verdict: 'tight',
        text: `${mohm} MΩ passes, but a new run reads over ${NEW_RUN_MOHM} MΩ: look for damp or damage.`,
      }
    : { verdict: 'holds', text: `${mohm} MΩ ≥ ${test.minimumMohm} MΩ at ${usedV} V` };
}

/** Sections in parallel, MΩ: 1/Σ(1/R_i). A bad string hides in an array reading. */
export function parallelMohm(sections: readonly number[]): number {
  return 1 / sections.reduce((sum, r) => sum + 1 / r, 0);
}
