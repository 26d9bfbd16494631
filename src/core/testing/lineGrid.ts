/**
 * A second opinion on travelling waves: the telegraph equations L·i_t = −v_x − R'·i, C·v_t = −i_x on a grid, leapfrog in time, half cells at
 * the ends. One line of one piece, a driver at its near end, a resistance at the far one. Stable for v·Δt/Δx ≤ 1; run at 0.9.
 */
export function gridFarV({
  impedanceOhm,
  delayNsPerM,
  lossOhmPerM,
  lengthM,
  openV,
  sourceOhm,
  riseNs,
  farOhm,
  cells,
  untilNs,
}: {
  readonly impedanceOhm: number;
  readonly delayNsPerM: number;
  readonly lossOhmPerM: number;
  readonly lengthM: number;
  readonly openV: number;
  readonly sourceOhm: number;
  readonly riseNs: number;
  readonly farOhm: number;
  readonly cells: number;
  readonly untilNs: number;
}): (ns: number) => number {
  const dx = lengthM / cells;
  const dt = 0.9 * dx * delayNsPerM;
  const henry = impedanceOhm * delayNsPerM;
  const farad = delayNsPerM / impedanceOhm;
  const v = new Float64Array(cells + 1);
  const i = new Float64Array(cells);
  const far = [0];
  const keep = (2 * henry) / dt - lossOhmPerM;
  const feed = (2 * henry) / dt + lossOhmPerM;
  for (let step = 1; step * dt <= untilNs + dt; step++) {
    for (let c = 0; c < cells; c++)
      i[c] = ((i[c] as number) * keep - (2 * ((v[c + 1] as number) - (v[c] as number))) / dx) / feed;
    const source = openV * Math.min(1, (step * dt) / riseNs);
    const before = openV * Math.min(1, ((step - 1) * dt) / riseNs);
    const half = (farad * dx) / (2 * dt);
    const end = (node: 0 | typeof cells, inflow: number, ohm: number, drive: number) => {
      const g = 1 / (2 * ohm);
      v[node] = ((v[node] as number) * (half - g) + inflow + drive * g) / (half + g);
    };
    end(0, -(i[0] as number), sourceOhm, source + before);
    end(cells, i[cells - 1] as number, farOhm, 0);
    for (let c = 1; c < cells; c++)
      v[c] = (v[c] as number) + ((dt / farad) * ((i[c - 1] as number) - (i[c] as number))) / dx;
    far.push(v[cells] as number);
  }
  return (ns) => {
    const at = ns / dt;
    const k = Math.floor(at);
    const [a = 0, b = 0] = [far[k], far[k + 1]];
    return a + (at - k) * (b - a);
  };
}
