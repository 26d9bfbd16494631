import { z } from 'zod';
import { verdictSchema } from '../../kernel/check';
import { calculation } from '../../kernel/discipline';
import { known } from '../../kernel/answer';
import { figure, quantity } from '../../kernel/schema';
import { RESISTANCE } from '../rules/readings/resistance';
import { pictureAt, restThatSurvives, shareUntilTrip } from './picture';
import { resistanceByTwoReadings } from './twoReadings';

const volts = (description: string) => quantity(200, 1200, 'V', description);
const milliohm = (description: string) => quantity(0, 1000, 'mΩ', description);

const unitSchema = z.object({
  tag: z.string().trim().min(1).max(20).meta({ description: 'Unit' }),
  apparentKva: quantity(1, 1000, 'kVA', 'Most apparent power'),
  runMilliohm: milliohm('R of its run, one conductor'),
  runReactanceMilliohm: milliohm('X of its run'),
});

/** The voltage from the grid to every unit, and whose it is. */
export const voltageCalculations = {
  'voltage-picture': calculation({
    summary: 'Voltage at every unit while all feed over one trunk, exact',
    input: z.object({
      restV: volts('Grid at rest, line to line'),
      nominalV: volts('Nominal line voltage'),
      tripV: volts('Trip level'),
      trunkMilliohm: milliohm('R from the grid to the board'),
      trunkReactanceMilliohm: milliohm('X from the grid to the board'),
      sharePercent: quantity(0, 100, '%', 'Share of full power'),
      powerFactor: quantity(0.8, 1, '', 'Power factor'),
      reactive: z.enum(['absorbs', 'supplies']).meta({ description: 'Reactive power' }),
      units: z.array(unitSchema).min(1).max(200),
    }),
    output: z.object({
      boardV: figure('V', 'At the board'),
      units: z
        .array(z.object({ tag: z.string(), terminalV: z.number(), marginPercent: z.number() }))
        .meta({ description: 'Unit / at its terminals, V / left to the trip level, %' }),
      /** Null: passed at rest. */
      powerUntilTripPercent: figure('%', 'Of full power, until the first trips').nullable(),
      restThatSurvivesV: figure('V', 'Grid at rest that full power survives').nullable(),
    }),
    run: (i) => {
      const path = {
        ...i,
        networkAssumed: false,
        minV: 0,
        trunk: [{ ohm: i.trunkMilliohm / 1000, reactanceOhm: i.trunkReactanceMilliohm / 1000 }],
        units: i.units.map((u) => ({
          id: u.tag,
          tag: u.tag,
          apparentVa: 1000 * u.apparentKva,
          z: { ohm: u.runMilliohm / 1000, reactanceOhm: u.runReactanceMilliohm / 1000 },
        })),
      };
      const picture = pictureAt(path, { ...i, share: i.sharePercent / 100 });
      if (!picture) throw new RangeError('The network cannot carry this power: less power, or less impedance');
      const share = shareUntilTrip(path);
      return {
        boardV: picture.boardV,
        units: picture.units.map(({ tag, terminalV, marginPercent }) => ({ tag, terminalV, marginPercent })),
        powerUntilTripPercent: share === null ? null : 100 * share,
        restThatSurvivesV: restThatSurvives(path),
      };
    },
  }),
  'two-readings': calculation({
    summary: 'Resistance of a run, or of the source, by readings at two powers',
    input: z.object({
      part: z.enum(['run', 'source']).meta({ description: 'Between unit and board, or behind the board' }),
      nearFirstV: volts('First: voltage nearer the unit'),
      farFirstV: volts('First: voltage nearer the grid'),
      powerFirstKw: quantity(0, 100_000, 'kW', 'First: power'),
      nearSecondV: volts('Second: voltage nearer the unit'),
      farSecondV: volts('Second: voltage nearer the grid'),
      powerSecondKw: quantity(0, 100_000, 'kW', 'Second: power'),
      calculatedMilliohm: quantity(0.001, 1000, 'mΩ', 'Calculated resistance'),
    }),
    output: z.object({
      milliohm: figure('mΩ', 'Read'),
      ratio: figure('', 'Times the calculated'),
      says: z.array(z.string()).readonly().meta({ description: 'Says' }),
      verdict: verdictSchema,
    }),
    run: (i) => {
      const readOhm = resistanceByTwoReadings(
        { nearV: i.nearFirstV, farV: i.farFirstV, powerW: 1000 * i.powerFirstKw },
        { nearV: i.nearSecondV, farV: i.farSecondV, powerW: 1000 * i.powerSecondKw },
      );
      const about = {
        part: i.part,
        readOhm: known(readOhm),
        calculatedOhm: known(i.calculatedMilliohm / 1000),
      } as const;
      const { verdict, working } = RESISTANCE.check(about, { element: 'run', path: i.part });
      return { milliohm: 1000 * readOhm, ratio: (1000 * readOhm) / i.calculatedMilliohm, says: working, verdict };
    },
  }),
};
