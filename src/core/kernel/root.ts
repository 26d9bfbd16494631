/**
 * Root of a continuous function inside a bracket whose ends differ in sign: false position with the Illinois rule, which halves the
 * weight of an end that stays, and so keeps closing in from both sides. Stops when the bracket is narrower than the tolerance or after
 * 100 steps; the midpoint of the last bracket errs by half of it. Undefined where the ends agree in sign or are no numbers.
 */
export function bracketedRoot(
  f: (x: number) => number,
  low: number,
  high: number,
  tolerance: number,
): number | undefined {
  let [lo, hi] = [low, high];
  let [fLo, fHi] = [f(lo), f(hi)];
  if (!(Number.isFinite(fLo) && Number.isFinite(fHi))) return undefined;
  if (fLo === 0) return lo;
  if (fHi === 0) return hi;
  if (Math.sign(fLo) === Math.sign(fHi)) return undefined;
  let stayed = 0;
  for (let i = 0; i < 100 && Math.abs(hi - lo) > tolerance; i++) {
    const between = lo + ((hi - lo) * fLo) / (fLo - fHi);
    // Close to an end the step may round onto it: half the tolerance inside keeps the bracket shrinking.
    const x = Math.min(Math.max(between, Math.min(lo, hi) + tolerance / 2), Math.max(lo, hi) - tolerance / 2);
    const fx = f(x);
    if (fx === 0) return x;
    if (Math.sign(fx) === Math.sign(fLo)) {
      [lo, fLo] = [x, fx];
      if (stayed === 1) fHi /= 2;
      stayed = 1;
    } else {
      [hi, fHi] = [x, fx];
      if (stayed === -1) fLo /= 2;
      stayed = -1;
    }
  }
  return (lo + hi) / 2;
}
