import { fixed, formatQuantity } from '../../kernel/quantity';
import { lineWords } from '../cableWords';
import { sealAdvice } from '../gland';
import type { RunResult } from '../results';
import { settingWindowNm } from '../torque';
import { COLOUR_TRAPS, WIRE_COLOURS } from '../tables/wireColours';
import { CONDUCTORS } from '../wiring';
import type { Sleeve } from './sleeve';
import { sleeveFor } from './sleeve';

/** What the electrician takes to the bay of one unit: figures, the order of work, and what is ticked. */
export interface TerminationSheet {
  readonly facts: readonly (readonly [name: string, words: string])[];
  readonly steps: readonly string[];
  readonly checks: readonly string[];
}

const NOT_KNOWN = 'not known';

/** Colours of the run; the NEC school by its voltage. */
export function coloursOf({ school: { name }, survey: { lineV } }: RunResult) {
  if (name !== 'NEC') return WIRE_COLOURS[name];
  return (lineV ?? 480) <= 240 ? WIRE_COLOURS['NEC 208Y/120'] : WIRE_COLOURS['NEC 480Y/277'];
}

export function sleeveOf({ lug: { value: lug }, diameter: { value: cable } }: RunResult): Sleeve | null {
  if (!lug || !cable) return null;
  const { barrelOuterMm, barrelDepthMm, palmWidthMm, palmThicknessMm } = lug;
  const { coreMm } = cable;
  if (barrelOuterMm === null || barrelDepthMm === null || palmWidthMm === null || palmThicknessMm === null) return null;
  return coreMm === null ? null : sleeveFor({ barrelOuterMm, barrelDepthMm, palmWidthMm, palmThicknessMm, coreMm });
}

function lugWords({ lug, school, type: { bay } }: RunResult): string {
  if (!lug.value) return lug.missing.join(', ');
  const { sectionMm2, palmWidthMm, palmThicknessMm, thicknessIsBound } = lug.value;
  const palm =
    palmWidthMm === null
      ? 'palm not known: measure it'
      : `palm ${palmWidthMm} × ${palmThicknessMm ?? '?'} mm${thicknessIsBound && palmThicknessMm !== null ? ' at most' : ''}`;
  return `${school.sectionName(sectionMm2)} for M${bay.studM}, ${palm}`;
}

function facts(r: RunResult, sleeve: Sleeve | null): TerminationSheet['facts'] {
  const { run, lug, torque, diameter, type, school } = r;
  const { bay } = type;
  const window = torque && settingWindowNm(torque.lowNm, torque.highNm);
  return [
    ['Cable', `${lineWords(r)}, ${run.cores ?? NOT_KNOWN}, ${run.insulation ?? NOT_KNOWN}`],
    ['PE', run.peMm2 === null ? NOT_KNOWN : `${school.sectionName(run.peMm2)} ${run.peMetal ?? ''}`],
    [
      'External earth',
      run.externalEarthMm2 === null
        ? NOT_KNOWN
        : `${school.sectionName(run.externalEarthMm2)} ${run.externalEarthMetal ?? ''}`,
    ],
    ['Lug', lugWords(r)],
    ['Strip', formatQuantity(lug.value?.stripMm, 'mm')],
    [
      'Die and crimps',
      lug.value ? `die ${lug.value.dieCode}, ${lug.value.crimps ?? 'as the lug maker says'} crimps` : NOT_KNOWN,
    ],
    [
      'Heat-shrink',
      sleeve
        ? `${sleeve.ratio} ${sleeve.suppliedMm}/${sleeve.recoveredMm} mm, cut ${fixed(sleeve.cutMm, 0)} mm, ${sleeve.overPalm ? 'slips over the palm' : 'ON THE CABLE BEFORE THE LUG'}`
        : `${NOT_KNOWN}: measure barrel, core and palm`,
    ],
    ['Gland', diameter.value ? sealAdvice(diameter.value, bay.glandSealSplitMm) : diameter.missing.join(', ')],
    [
      'Torque',
      torque
        ? `${fixed(torque.lowNm, 1)} to ${fixed(torque.highNm, 1)} N·m, set ${fixed(torque.setNm, 1)} N·m`
        : NOT_KNOWN,
    ],
    ['Tool may be set from', window ? `${fixed(window.lowNm, 2)} to ${fixed(window.highNm, 2)} N·m` : NOT_KNOWN],
    ['Torque from', torque?.source ?? NOT_KNOWN],
  ];
}

function steps(r: RunResult, sleeve: Sleeve | null): string[] {
  const { run, type, lug } = r;
  const colours = coloursOf(r);
  const lines = colours.lines.join(', ');
  const neutral = CONDUCTORS[type.wiring] > 4;
  return [
    'Prove dead on both sides, tester proved before and after; wait the discharge time of the unit, measure again.',
    'Cable through its gland, supported within 300 mm: a gland carries no weight. Leave a drip loop.',
    ...(sleeve?.overPalm ? [] : ['Slide every heat-shrink on before its lug.']),
    `Strip ${lug.value?.stripMm ?? 'by the barrel of the lug, and what grows in the crimp:'} ${lug.value?.stripMm ? 'mm' : ''}`.trim() +
      '; nick no strand.',
    ...(run.metal === 'Al'
      ? ['Aluminium: bimetal lug; brush the oxide, paste within a minute, insert, crimp, wipe. Cut used lugs off.']
      : []),
    `Crimp with die ${lug.value?.dieCode ?? 'of the code on the lug'}: the code on the lug is the code on the die${run.metal === 'Al' ? '' : ', first crimp at the palm end'}.`,
    ...(sleeve?.overPalm ? ['Slide the heat-shrink over the palm.'] : []),
    'Shrink from the middle outwards.',
    `Land ${colours.earth} first, longest, so that it tears off last${neutral ? `; then ${colours.neutral}` : ''}; then the lines back to front: ${lines}.`,
    ...((run.parallel ?? 1) > 1
      ? ['Two lugs on a stud: back to back, flats together, the larger below; never three.']
      : []),
    'On each stud: palm, flat washer, spring washer, nut; at least two threads out.',
    `Tighten PE, ${neutral ? 'N, ' : ''}L1, L2, L3 to the set point in one pull; write tool and calibration down.`,
    'Mark each at once with a line across nut, washer and palm; a second person adds the second mark.',
  ];
}

/** The sheet of one run. What nobody knows is said as such: the sheet judges nothing. */
export function terminationSheet(r: RunResult): TerminationSheet {
  const sleeve = sleeveOf(r);
  const neutral = CONDUCTORS[r.type.wiring] > 4;
  const joints = ['PE', ...(neutral ? ['N'] : []), 'L1', 'L2', 'L3', 'external earth'];
  return {
    facts: facts(r, sleeve),
    steps: steps(r, sleeve),
    checks: [
      ...joints.map((j) => `${j}: crimped, shrunk, torqued, marked twice`),
      ...(r.run.metal === 'Al' ? ['Aluminium checked once after 24 h or the first sunny day, at the same value'] : []),
      'Gland tight, seal as above, nothing hangs from it',
      'Colours are no proof: phases measured. ' + COLOUR_TRAPS[0],
    ],
  };
}
