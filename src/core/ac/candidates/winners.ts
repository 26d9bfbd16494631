import type { Candidate } from './candidates';

/** The accepted candidates that are best at one thing each: the least of it. */
export function winners(
  accepted: readonly Candidate[],
): Readonly<Record<'cost' | 'mass' | 'loss' | 'ease', Candidate | null>> {
  const least = (of: (c: Candidate) => number | null): Candidate | null =>
    accepted.reduce<Candidate | null>((best, c) => {
      const value = of(c);
      return value !== null && value < ((best && of(best)) ?? Infinity) ? c : best;
    }, null);
  return {
    cost: least((c) => c.cost?.amount ?? null),
    mass: least((c) => c.massKg),
    loss: least((c) => c.lossW),
    // Fewest cables first, then the thinnest: it bends, and its lug lands, the easiest.
    ease: least((c) => (c.diameterMm === null ? null : 1000 * (c.run.parallel ?? 1) + c.diameterMm)),
  };
}

/** The next heavier accepted candidate of the same metal, form, count and breaker: what one section more buys. */
export const oneSectionUp = (of: Pick<Candidate, 'run'>, accepted: readonly Candidate[]): Candidate | null =>
  accepted
    .filter(
      ({ run }) =>
        run.metal === of.run.metal &&
        run.breakerA === of.run.breakerA &&
        run.cores === of.run.cores &&
        run.parallel === of.run.parallel &&
        (run.sectionMm2 ?? 0) > (of.run.sectionMm2 ?? 0),
    )
    .reduce<Candidate | null>((a, b) => (a && (a.run.sectionMm2 ?? 0) <= (b.run.sectionMm2 ?? 0) ? a : b), null);
