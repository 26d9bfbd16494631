import { publishedTable } from '../../kernel/publishedTable';

export const METRIC_THREADS = publishedTable({
  source: 'ISO 261 coarse pitch; across flats ISO 4032 and DIN 934',
  recalled: true,
  quantity: 'mm',
  key: 'thread M',
  columns: ['pitch', 'across flats ISO 4032', 'across flats DIN 934'],
  rows: [
    [6, 1.0, 10, 10],
    [8, 1.25, 13, 13],
    [10, 1.5, 16, 17],
    [12, 1.75, 18, 19],
    [16, 2.0, 24, 24],
    [20, 2.5, 30, 30],
  ],
});

export const BOLT_CLASSES = ['4.6', '8.8', '10.9', 'A2-70', 'A4-80'] as const;
export type BoltClass = (typeof BOLT_CLASSES)[number];

/** Proof stress, and of stainless the 0.2 % stress, MPa. Class 8.8 is stronger over M16. */
export const PROOF_STRESS = publishedTable({
  source: 'ISO 898-1 and ISO 3506-1',
  recalled: true,
  quantity: 'S_p, MPa',
  key: 'thread M, the next row up',
  columns: BOLT_CLASSES,
  rows: [
    [16, 225, 580, 830, 450, 600],
    [39, 225, 600, 830, 450, 600],
  ],
});
