/** A line to draw: time and voltage after one another, µs and V. */
export type Trace = readonly (readonly [us: number, volt: number])[];

/**
 * The swing from space to mark of a step response, v = 2s − s(∞), over so many microseconds in so many columns: of every column its lowest and
 * its highest, so that no peak is lost.
 */
export function traceOf(volts: Float64Array, stepNs: number, spanUs: number, columns: number): Trace {
  const rest = volts.at(-1) ?? 0;
  const swing = (i: number) => 2 * (volts[Math.min(i, volts.length - 1)] ?? 0) - rest;
  const steps = Math.max(1, Math.round((1000 * spanUs) / stepNs));
  const width = Math.max(1, Math.ceil(steps / columns));
  const points: (readonly [number, number])[] = [];
  for (let from = 0; from <= steps; from += width) {
    let [low, high] = [from, from];
    for (let i = from; i < from + width && i <= steps; i++) {
      if (swing(i) < swing(low)) low = i;
      if (swing(i) > swing(high)) high = i;
    }
    for (const i of low < high ? [low, high] : low > high ? [high, low] : [low])
      points.push([(i * stepNs) / 1000, swing(i)]);
  }
  return points;
}
