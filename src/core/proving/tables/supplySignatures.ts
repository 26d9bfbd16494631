/** A supply as ten voltages show it, per unit of the largest line voltage; null where the row is told by a rule instead. */
export interface SignatureRow {
  readonly signature: string;
  /** Whether a neutral is run, for the row to fit. */
  readonly neutral: 'yes' | 'no' | 'either';
  readonly lineV: readonly [number, number, number] | null;
  readonly toNeutralV: readonly [number, number, number] | null;
  readonly neutralToPeV: number | null;
  readonly toPeV: readonly [number, number, number] | null;
  readonly verdict: 'holds' | 'stop' | 'unknown';
  readonly meaning: string;
  readonly action: string;
}

/** Signatures of three-phase supplies, computed from the geometry of their phasors; the last five are told by rules (common practice). */
export const SUPPLY_SIGNATURES: readonly SignatureRow[] = [
  { signature: 'wye_tn', neutral: 'yes', lineV: [1, 1, 1], toNeutralV: [0.5774, 0.5774, 0.5774], neutralToPeV: 0, toPeV: [0.5774, 0.5774, 0.5774], verdict: 'holds', meaning: 'earthed wye with neutral', action: 'go on; judge N-PE' },
  { signature: 'wye_no_n', neutral: 'no', lineV: [1, 1, 1], toNeutralV: null, neutralToPeV: null, toPeV: [0.5774, 0.5774, 0.5774], verdict: 'holds', meaning: 'earthed wye, neutral not run', action: 'go on if the unit allows three wires plus PE' },
  { signature: 'corner_or_faulted_phase', neutral: 'no', lineV: [1, 1, 1], toNeutralV: null, neutralToPeV: null, toPeV: [0, 1, 1], verdict: 'stop', meaning: 'corner-earthed delta, or an unearthed supply with one phase down to earth', action: 'refuse; the two read alike: ask for the transformer papers' },
  { signature: 'high_leg_delta', neutral: 'yes', lineV: [1, 1, 1], toNeutralV: [0.5, 0.5, 0.866], neutralToPeV: 0, toPeV: [0.5, 0.5, 0.866], verdict: 'stop', meaning: 'delta with a centre-tapped winding (L3 is the high leg)', action: 'refuse for a three-phase wye unit' },
  { signature: 'n_on_l1', neutral: 'yes', lineV: [1, 1, 1], toNeutralV: [0, 1, 1], neutralToPeV: 0.5774, toPeV: [0.5774, 0.5774, 0.5774], verdict: 'stop', meaning: 'the N terminal carries phase L1', action: 'stop; the neutral core is landed on a phase upstream' },
  { signature: 'swap_n_l1', neutral: 'yes', lineV: [0.5774, 1, 0.5774], toNeutralV: [0.5774, 1, 1], neutralToPeV: 0.5774, toPeV: [0, 0.5774, 0.5774], verdict: 'stop', meaning: 'N and L1 exchanged', action: 'stop; exchange and repeat all ten' },
  { signature: 'swap_pe_l1', neutral: 'either', lineV: [0.5774, 1, 0.5774], toNeutralV: [0, 0.5774, 0.5774], neutralToPeV: 0.5774, toPeV: [0.5774, 1, 1], verdict: 'stop', meaning: 'PE and L1 exchanged: metalwork is live', action: 'stop; keep clear; isolate upstream' },
  { signature: 'missing_l1_at_n', neutral: 'yes', lineV: [0.5774, 1, 0.5774], toNeutralV: [0, 0.5774, 0.5774], neutralToPeV: 0, toPeV: [0, 0.5774, 0.5774], verdict: 'stop', meaning: 'L1 open upstream, pulled to neutral by a load', action: 'find the open fuse, pole or joint' },
  { signature: 'missing_l1_at_pe', neutral: 'no', lineV: [0.5774, 1, 0.5774], toNeutralV: null, neutralToPeV: null, toPeV: [0, 0.5774, 0.5774], verdict: 'stop', meaning: 'L1 open upstream', action: 'find the open fuse, pole or joint' },
  { signature: 'missing_l1_mid', neutral: 'either', lineV: [0.5, 1, 0.5], toNeutralV: [0.2887, 0.5774, 0.5774], neutralToPeV: 0, toPeV: [0.2887, 0.5774, 0.5774], verdict: 'stop', meaning: 'L1 open, fed back through two loads (motor, transformer)', action: 'as above; remove the loads and repeat' },
  { signature: 'l1_l2_same', neutral: 'either', lineV: [0, 1, 1], toNeutralV: [0.5774, 0.5774, 0.5774], neutralToPeV: 0, toPeV: [0.5774, 0.5774, 0.5774], verdict: 'stop', meaning: 'L1 and L2 are one phase: doubled core or fed back through a load', action: 'load off and repeat: stays = doubled core' },
  { signature: 'ungrounded', neutral: 'either', lineV: null, toNeutralV: null, neutralToPeV: null, toPeV: null, verdict: 'stop', meaning: 'no earth reference: high-impedance meter shows phantom volts, low-impedance repeat falls below half', action: 'refuse, or follow the IT rules of the unit' },
  { signature: 'pe_open', neutral: 'yes', lineV: null, toNeutralV: null, neutralToPeV: null, toPeV: null, verdict: 'stop', meaning: 'L-N healthy, L-PE falls below half on the low-impedance repeat', action: 'PE broken between here and the source' },
  { signature: 'open_neutral', neutral: 'yes', lineV: null, toNeutralV: null, neutralToPeV: null, toPeV: null, verdict: 'stop', meaning: 'L-PE healthy, neutral point displaced by 0.05 pu or more', action: 'neutral broken upstream; single-phase loads may be burning' },
  { signature: 'phantom_phase', neutral: 'either', lineV: null, toNeutralV: null, neutralToPeV: null, toPeV: null, verdict: 'stop', meaning: 'one phase alone collapses on the low-impedance repeat: open upstream, phantom volts', action: 'find the open fuse, pole or joint' },
  { signature: 'no_supply', neutral: 'either', lineV: null, toNeutralV: null, neutralToPeV: null, toPeV: null, verdict: 'unknown', meaning: 'nothing there', action: 'close upstream, or prove the meter' },
];
