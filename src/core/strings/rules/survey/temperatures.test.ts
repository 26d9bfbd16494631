import { describe, expect, it } from 'vitest';
import type { Survey } from '../../../site/survey';
import { openTemperatureQuestions } from '../../../site/temperatureQuestions';
import { edges } from '../../../testing/edges';
import { SURVEY } from '../../../testing/examples';
import { TEMPERATURES } from './temperatures';

const place = (coldestC: number | null, latitudeDeg: number | null, over: Partial<Survey> = {}): Survey => ({
  ...SURVEY,
  hottestC: 38,
  ...over,
  coldestC,
  latitudeDeg,
});
/** The same, with everything that is asked about it answered. */
const confirmed = (s: Survey): Survey => ({
  ...s,
  confirmed: openTemperatureQuestions(s).map(({ question, of }) => ({ question, of })),
});

edges(TEMPERATURES, () => ({
  holds: [
    place(-12, 52),
    place(-35, 52),
    place(22, 1),
    place(-5, -33),
    place(-18, 62, { hottestC: 28 }),
    // On a mountain near the equator: 6.5 K colder for every kilometre.
    place(-12, -16, { altitudeM: 3800, hottestC: 20 }),
    confirmed(place(12, 52)),
    confirmed(place(30, 52, { hottestC: 25 })),
  ],
  without: {
    'lowest design temperature': place(null, 52),
    'hot design temperature': place(-12, 52, { hottestC: null }),
    latitude: place(-12, null),
    altitude: place(-12, 52, { altitudeM: null }),
    'a look at the design temperatures': place(12, 52),
  },
  says: [
    [place(12, 52), /^Missing: 12 °C as the coldest morning is warm for latitude 52°\. Was the sign lost: −12 °C\?$/],
    [place(-30, 5), /cold for latitude 5°/],
    [place(30, 2, { hottestC: 25 }), /not below the hot one of 25 °C\. Were the two swapped\?/],
    [place(-12, 52, { hottestC: 58 }), /58 °C as the hot design ambient is hot for latitude 52°/],
    [place(-12, 52, { hottestC: 3 }), /cool for latitude 52°/],
    [confirmed(place(12, 52)), /^12 °C to 38 °C at 52°$/, /confirmed for these values/],
  ],
}));

describe('an answer', () => {
  it('is kept for the values it was given for, and for no others', () => {
    const answered = confirmed(place(12, 52));
    expect(openTemperatureQuestions(answered)).toEqual([]);
    expect(openTemperatureQuestions({ ...answered, coldestC: 13 }).map((q) => q.question)).toEqual([
      'warm-for-the-latitude',
    ]);
    expect(openTemperatureQuestions({ ...answered, latitudeDeg: 60 })).toHaveLength(1);
  });
  it('to one question answers no other', () => {
    const s = place(30, 52, { hottestC: 25 });
    const [first, ...rest] = openTemperatureQuestions(s);
    const answered = { ...s, confirmed: [{ question: first!.question, of: first!.of }] };
    expect(openTemperatureQuestions(answered)).toEqual(rest);
    expect(rest.length).toBeGreaterThan(0);
  });
});
