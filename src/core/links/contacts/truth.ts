/** Dry contacts as test sheets: every row is a test to make and tick. What a fault does is worked from how the contact is wired, not looked up. */

export type Judged = 'safe' | 'nuisance stop' | 'DANGEROUS: stop lost';

export interface StopRow {
  readonly contact: 'NC' | 'NO';
  readonly wire: 'intact' | 'broken' | 'shorted';
  readonly button: 'released' | 'pressed';
  readonly seen: 'closed' | 'open';
  readonly unit: 'run' | 'stop';
  readonly judged: Judged;
}

const WIRES = ['intact', 'broken', 'shorted'] as const;
const BUTTONS = ['released', 'pressed'] as const;

/**
 * An emergency stop by contact and fault of its wire. A normally closed one stops where its wire breaks; a shorted one is the dangerous fault, and
 * only pressing finds it. A normally open one is refused unless its wire is supervised. (ISO 13850, principle of the closed circuit; recalled.)
 */
export function stopRows(contact: 'NC' | 'NO'): StopRow[] {
  return WIRES.flatMap((wire) =>
    BUTTONS.map((button): StopRow => {
      const made = (contact === 'NC') === (button === 'released');
      const closed = wire === 'shorted' || (wire === 'intact' && made);
      const unit = closed === (contact === 'NC') ? 'run' : 'stop';
      const wanted = button === 'pressed' ? 'stop' : 'run';
      const judged = unit === wanted ? 'safe' : unit === 'stop' ? 'nuisance stop' : 'DANGEROUS: stop lost';
      return { contact, wire, button, seen: closed ? 'closed' : 'open', unit, judged };
    }),
  );
}

/** Steps of a ripple control by four relays, % of the rating. */
export const RIPPLE_PERCENT = [100, 60, 30, 0] as const;

export interface RippleRow {
  /** Relays K1 to K4 as they stand: 1 closed. */
  readonly relays: string;
  readonly percent: number;
  readonly says: string;
}

/** All sixteen positions of four relays: several closed, the lowest wins; none, all of it with caution (common practice). */
export function rippleRows(): RippleRow[] {
  return Array.from({ length: 16 }, (_, n) => {
    const relays = n.toString(2).padStart(4, '0');
    const closed = RIPPLE_PERCENT.filter((__, i) => relays[i] === '1');
    const percent = closed.length ? Math.min(...closed) : RIPPLE_PERCENT[0];
    const says =
      closed.length === 1
        ? 'one relay: valid'
        : closed.length
          ? 'several relays: lowest wins, caution'
          : `no relay: ${percent} %, caution no signal`;
    return { relays, percent, says };
  });
}

export interface GeneratorRow {
  readonly grid: 'present' | 'lost';
  readonly charge: 'low' | 'mid' | 'high';
  readonly mode: 'auto' | 'off';
  readonly before: 'run' | 'rest';
  readonly contact: 'close' | 'open';
}

/** Start contact of a generator: closed where the grid is lost, the mode auto and the charge low; held between the two charges; open above. */
export function generatorRows(): GeneratorRow[] {
  return (['present', 'lost'] as const).flatMap((grid) =>
    (['low', 'mid', 'high'] as const).flatMap((charge) =>
      (['auto', 'off'] as const).flatMap((mode) =>
        (['run', 'rest'] as const).map((before): GeneratorRow => {
          const wants = charge === 'low' || (charge === 'mid' && before === 'run');
          return {
            grid,
            charge,
            mode,
            before,
            contact: grid === 'lost' && mode === 'auto' && wants ? 'close' : 'open',
          };
        }),
      ),
    ),
  );
}

/** Demand modes that a unit has to obey (AS/NZS 4777.2; recalled): mode, and what it may feed in at most, % of its rating. */
export const DEMAND_MODES = [
  { mode: 'DRM 0', most: 0, says: 'disconnect' },
  { mode: 'DRM 5', most: 0, says: 'no generation' },
  { mode: 'DRM 6', most: 50, says: 'at most 50 %' },
  { mode: 'DRM 7', most: 75, says: 'at most 75 %' },
] as const;
