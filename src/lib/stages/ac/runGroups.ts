import type { acRunSchema } from '$core/ac/part';
import type { School, SchoolName } from '$core/conductor/school';

type Path = keyof typeof acRunSchema.shape;
interface Group {
  readonly title: string;
  readonly paths: readonly Path[];
}

const METHOD_AND_SOIL: readonly Path[] = ['method', 'arrangement', 'soilKmPerW', 'depthM', 'ductDiameterMm'];
const RACEWAY: readonly Path[] = ['raceway', 'racewaySize', 'racewayPerSet', 'roofGapMm'];

/** Fields of a run by what they are about: a school asks its own. */
export function runGroups(school: SchoolName): Group[] {
  const nec = school === 'NEC';
  return [
    {
      title: 'Route',
      paths: [
        'lengthM',
        // The method is asked for everywhere: by it the cable goes into the schedule.
        ...(nec ? (['method', ...RACEWAY] as const) : METHOD_AND_SOIL),
        'otherCircuits',
        'ambientC',
        'sunOnCable',
        'segments',
      ],
    },
    {
      title: 'Breaker at the board',
      paths: [
        'breakerA',
        'breakerKind',
        ...(nec ? (['fullRated'] as const) : []),
        'breakerAmbientC',
        'breakerGroupFactor',
        'breakerUeV',
        'breakerIcuKa',
        'breakerTrip',
        'magneticA',
        'clearingS',
        'letThroughA2s',
        'residualFitted',
        'residualType',
        'residualMa',
      ],
    },
    {
      title: 'Conductors',
      paths: [
        'metal',
        'insulation',
        ...(nec ? (['insulationC', 'terminals75'] as const) : []),
        'cores',
        ...(nec ? [] : (['thirdHarmonicPercent'] as const)),
        'sectionMm2',
        'parallel',
        'peMm2',
        'peMetal',
        'peInCable',
        'externalEarthMm2',
        'externalEarthMetal',
      ],
    },
    {
      title: 'Measured or printed on the parts in hand',
      paths: [
        'cableDiameterMm',
        'palmWidthMm',
        'palmThicknessMm',
        'printMinNm',
        'printMaxNm',
        'lugMinNm',
        'lugMaxNm',
        'torqueBy',
      ],
    },
  ];
}

/** Sections by the names they are bought by, where the school has names for them. */
export function sectionChoices(school: School): Record<string, readonly { value: string; name: string }[]> {
  const sizes = school.name === 'NEC' ? school.sections(ANY_COPPER) : [];
  if (sizes.length === 0) return {};
  const named = sizes.map((mm2) => ({ value: String(mm2), name: `${school.sectionName(mm2)} (${mm2} mm²)` }));
  return { sectionMm2: named, peMm2: named, externalEarthMm2: named, mainSectionMm2: named, mainPeMm2: named };
}

const ANY_COPPER = { metal: 'Cu', insulation: 'XLPE', cores: '1-core', method: 'B1' } as const;
