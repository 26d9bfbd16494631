/** A piece of a formula: text as it is, or what stands below the line. */
export interface Piece {
  readonly text: string;
  readonly below: boolean;
}

/** A symbol of one or two letters with its index: `U_oc,cold`, `ΔU_dc`, `g_b`. */
const INDEX = /(?<=(?:^|[^\p{L}\p{N}_])[\p{L}]{1,2})_([\p{L}\p{N}]+(?:,[\p{L}]+)*)/gu;

/** A line as it is written in code, cut where an index begins and ends. */
export function piecesOf(line: string): Piece[] {
  const pieces: Piece[] = [];
  let from = 0;
  for (const found of line.matchAll(INDEX)) {
    pieces.push({ text: line.slice(from, found.index), below: false }, { text: found[1] ?? '', below: true });
    from = found.index + found[0].length;
  }
  return [...pieces, { text: line.slice(from), below: false }].filter((p) => p.text !== '');
}
