/**
 * What four loaded conductors leave of a current that the tables give for three, referred to the line: the third harmonics of three lines add
 * up in the neutral. To 15 % nothing; to 33 % 0.86; from there the neutral rules, with 0.86 to 45 % and alone above.
 * h third harmonic, % of the line current, 0 to 100 · the neutral as thick as the lines. Source: IEC 60364-5-52, Annex E (recalled).
 */
export function fourLoadedFactor(h: number): { readonly factor: number; readonly words: string } {
  const share = (3 * h) / 100;
  if (h <= 15) return { factor: 1, words: `third harmonic ${h} %: the neutral counts for nothing` };
  if (h <= 33) return { factor: FOUR_LOADED, words: `third harmonic ${h} %: four loaded conductors, × ${FOUR_LOADED}` };
  const neutral = `third harmonic ${h} %: the neutral carries ${Math.round(100 * share)} % of the line current and rules`;
  return h <= 45
    ? { factor: FOUR_LOADED / share, words: `${neutral}, × ${FOUR_LOADED} / ${share.toFixed(2)}` }
    : { factor: 1 / share, words: `${neutral}, × 1 / ${share.toFixed(2)}` };
}

const FOUR_LOADED = 0.86;
