import { describe, expect, it } from 'vitest';
import { T100, SURVEY, siteOf } from '../../testing/examples';
import type { MountingDesign } from '../part';
import { airAtUnits } from './unitAir';
import { lossW, roomAirflow, roomRiseK } from './roomHeat';

const EFFICIENT = { ...T100, body: { ...T100.body, efficiencyPercent: 98 } };
/** Three units of 110 kVA, two of them in a room. */
function site(
  over: { room?: object; efficiencyPercent?: number | null; third?: null; rooms?: never[] } = {},
): MountingDesign {
  const body = { ...T100.body, efficiencyPercent: over.efficiencyPercent === undefined ? 98 : over.efficiencyPercent };
  const d = siteOf(3, [], { ...EFFICIENT, body });
  const room = { id: 'r', label: 'Cellar', xM: 0, yM: 0, zM: 0, widthM: 10, depthM: 10, heightM: 3 };
  return {
    ...d,
    survey: { ...SURVEY, hottestC: 36, altitudeM: 0 },
    inverters: d.inverters.map((u, i) => ({
      ...u,
      position: i === 2 ? (over.third === null ? null : { xM: 50, yM: 5, zM: 1 }) : { xM: 3 + i, yM: 10, zM: 3 },
    })),
    plan: { ...d.plan, rooms: over.rooms ?? [{ ...room, airM3h: 2000, inletC: 30, ...over.room }] },
  };
}
const airOf = (d: MountingDesign, i: number) => airAtUnits(d)(d.inverters[i]!);

describe('the air at a unit', () => {
  // Two units of 110 kW at 98 %: 4489.8 W, carried by 2000 m³/h of 1.1644 kg/m³ (ISO 2533, 30 °C at sea level), 1005 J/(kg·K).
  it('in a room is what comes in, warmed by all that units give off there', () => {
    const air = airOf(site(), 0);
    expect(air.value?.airC).toBeCloseTo(30 + (3600 * 4489.796) / (1.1644 * 1005 * 2000), 2);
    expect(air.value?.words).toBe(
      'Cellar: 2 units give off 4.49 kW; 2000 m³/h that come in at 30 °C, warm it by 6.9 K',
    );
    expect(airOf(site(), 1)).toEqual(air);
  });

  it('is unknown for one that may stand above a room of unknown height, and for all in it', () => {
    // At 3 m over the floor; a room is 1.5 m high at least.
    expect(airOf(site({ room: { heightM: null } }), 0).missing).toEqual(['clear height of Cellar']);
    expect(airOf(site({ room: { heightM: null, zM: 1.5 } }), 0).value?.airC).toBeGreaterThan(30);
    expect(airOf(site({ room: { heightM: null, zM: 1.4 } }), 0).missing).toEqual(['clear height of Cellar']);
  });

  it('outside is the hot design temperature, in rooms drawn or not', () => {
    expect(airOf(site(), 2).value?.airC).toBe(36);
    expect(airOf(site({ rooms: [] }), 0).value?.airC).toBe(36);
    expect(airOf({ ...site(), survey: { ...SURVEY, hottestC: null } }, 2).missing).toEqual(['hot design temperature']);
  });

  it('is unbounded where no air is moved', () => {
    expect(airOf(site({ room: { airM3h: 0 } }), 0).value).toMatchObject({ airC: Infinity });
  });

  it('is unknown without any of what it rests on', () => {
    const lacks = (over: Parameters<typeof site>[0], i = 0) => airOf(site(over), i).missing;
    expect(lacks({ room: { airM3h: null } })).toEqual(['air moved through Cellar']);
    expect(lacks({ room: { inletC: null } })).toEqual(['warmest air that comes into Cellar']);
    expect(lacks({ efficiencyPercent: null })).toEqual(['efficiency of T100']);
    expect(airOf({ ...site(), survey: { ...SURVEY, altitudeM: null } }, 0).missing).toEqual(['altitude']);
    // Whoever stands nowhere may stand in the room, and heat it.
    expect(lacks({ third: null })).toEqual(['where INV-03 stands']);
    expect(lacks({ third: null }, 2)).toEqual(['where INV-03 stands']);
    expect(lacks({ third: null, rooms: [] }, 2)).toEqual([]);
  });
});

describe('the rise of air through a room', () => {
  it('is the way back from the air that a rise wants', () => {
    for (const [units, acW, efficiency, riseK, inletC, altitudeM] of [
      [8, 110_000, 0.983, 10, 30, 0],
      [1, 60_000, 0.9, 4, -5, 2000],
    ] as const) {
      const { heatW, airM3h } = roomAirflow({ units, acW, efficiency, riseK, inletC, altitudeM });
      expect(roomRiseK({ heatW, airM3h, inletC, altitudeM })).toBeCloseTo(riseK, 9);
      expect(heatW).toBeCloseTo(units * lossW(acW, efficiency), 9);
    }
  });
  it('is none without heat, and refused out of range', () => {
    expect(roomRiseK({ heatW: 0, airM3h: 0, inletC: 20, altitudeM: 0 })).toBe(0);
    expect(() => lossW(1000, 98)).toThrow(RangeError);
    expect(() => roomRiseK({ heatW: -1, airM3h: 1, inletC: 20, altitudeM: 0 })).toThrow(RangeError);
  });
});
