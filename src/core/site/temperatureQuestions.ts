import type { QUESTIONS, Survey } from './survey';

/** Something about the survey that looks like a slip, and the values it is about. */
export interface Question {
  readonly question: (typeof QUESTIONS)[number];
  /** The values asked about: an answer holds for these and no others. */
  readonly of: string;
  readonly text: string;
}

type Asked = Pick<Survey, 'coldestC' | 'hottestC' | 'latitudeDeg' | 'altitudeM' | 'confirmed'>;

/**
 * Lowest temperatures that surprise nobody, by latitude north or south, °C: `least` at low altitude, `most` on a mild coast. Wide on purpose:
 * a figure outside is asked about, never refused. General knowledge of climates, no published source.
 */
const COLDEST = [
  { toDeg: 15, least: 0, most: 26 },
  { toDeg: 25, least: -8, most: 18 },
  { toDeg: 35, least: -22, most: 12 },
  { toDeg: 45, least: -38, most: 6 },
  { toDeg: 55, least: -48, most: 1 },
  { toDeg: 66, least: -56, most: -2 },
  { toDeg: 90, least: -60, most: -5 },
] as const;
/** Hot design ambients likewise, °C. */
const HOTTEST = [
  { toDeg: 25, least: 26, most: 52 },
  { toDeg: 40, least: 26, most: 52 },
  { toDeg: 55, least: 20, most: 46 },
  { toDeg: 66, least: 15, most: 39 },
  { toDeg: 90, least: 5, most: 34 },
] as const;
/** Air cools with height, K/km (ICAO standard atmosphere, recalled): what is cold for the latitude may be right on a mountain. */
const LAPSE_K_PER_KM = 6.5;

const bandAt = <B extends { readonly toDeg: number }>(bands: readonly B[], deg: number): B | undefined =>
  bands.find((b) => Math.abs(deg) <= b.toDeg);

function coldQuestions({ coldestC, hottestC, latitudeDeg, altitudeM }: Asked): Question[] {
  if (coldestC === null) return [];
  const found: Question[] = [];
  if (hottestC !== null && coldestC >= hottestC)
    found.push({
      question: 'cold-not-below-hot',
      of: `${coldestC}/${hottestC}`,
      text: `The lowest ambient of ${coldestC} °C is not below the hot one of ${hottestC} °C. Were the two swapped?`,
    });
  const band = latitudeDeg === null ? undefined : bandAt(COLDEST, latitudeDeg);
  if (!band) return found;
  const of = `${coldestC}/${latitudeDeg}/${altitudeM}`;
  const cooler = (LAPSE_K_PER_KM * Math.max(0, altitudeM ?? 0)) / 1000;
  if (coldestC > band.most)
    found.push({
      question: 'warm-for-the-latitude',
      of,
      text: `${coldestC} °C as the coldest morning is warm for latitude ${latitudeDeg}°. ${coldestC > 0 ? `Was the sign lost: −${coldestC} °C?` : 'Look again.'}`,
    });
  if (coldestC < band.least - cooler)
    found.push({
      question: 'cold-for-the-latitude',
      of,
      text: `${coldestC} °C as the coldest morning is cold for latitude ${latitudeDeg}°. Look again.`,
    });
  return found;
}

function hotQuestions({ hottestC, latitudeDeg, altitudeM }: Asked): Question[] {
  const band = latitudeDeg === null ? undefined : bandAt(HOTTEST, latitudeDeg);
  if (hottestC === null || !band) return [];
  const of = `${hottestC}/${latitudeDeg}/${altitudeM}`;
  const cooler = (LAPSE_K_PER_KM * Math.max(0, altitudeM ?? 0)) / 1000;
  const words = (what: string) =>
    `${hottestC} °C as the hot design ambient is ${what} for latitude ${latitudeDeg}°. Look again.`;
  if (hottestC < band.least - cooler) return [{ question: 'cool-summer', of, text: words('cool') }];
  return hottestC > band.most ? [{ question: 'hot-summer', of, text: words('hot') }] : [];
}

/** What looks like a slip in the design temperatures and nobody has confirmed for these very values. */
export function openTemperatureQuestions(survey: Asked): Question[] {
  const answered = new Set(survey.confirmed.map((c) => `${c.question}|${c.of}`));
  return [...coldQuestions(survey), ...hotQuestions(survey)].filter((q) => !answered.has(`${q.question}|${q.of}`));
}
