/**
 * The register map of the simulated units: holding registers, 0-based, big-endian words, the high word first, value = raw · 10^scale, two's
 * complement. It is the program's own, and free under its licence.
 */

export interface Register {
  readonly at: number;
  readonly words: number;
  readonly name: string;
  readonly type: 'u16' | 's16' | 'u32' | 's32' | 'text';
  /** Power of ten on the raw value. */
  readonly scale: number;
  readonly unit: string;
  readonly access: 'r' | 'rw' | 'w';
  readonly note: string;
  /** Whose register it is; absent: every unit's. */
  readonly of?: 'inverter' | 'meter';
}

type Row = readonly [at: number, name: string, type: Register['type'], scale: number, unit: string, note?: string];
const WORDS = { u16: 1, s16: 1, u32: 2, s32: 2 } as const;
const rows = (list: readonly Row[], over: Partial<Register> = {}): Register[] =>
  list.map(([at, name, type, scale, unit, note = '']) => ({
    at,
    words: type === 'text' ? 0 : WORDS[type],
    name,
    type,
    scale,
    unit,
    access: 'r',
    note,
    ...over,
  }));
const text = (at: number, words: number, name: string): Register => ({
  at,
  words,
  name,
  type: 'text',
  scale: 0,
  unit: '',
  access: 'r',
  note: 'ASCII, two characters a register, padded with 0',
});

const IDENTITY = [
  ...rows([
    [0, 'map_id', 'u16', 0, '', 'always 0x4259'],
    [1, 'map_version', 'u16', -2, '', '100 = 1.00'],
    [2, 'device_type', 'u16', 0, '', '1 inverter, 2 meter, 3 logger'],
    [3, 'model_code', 'u16', 0, '', 'kW class; 900 meter'],
    [4, 'rated_power', 'u32', 0, 'W'],
    [6, 'rated_voltage', 'u16', -1, 'V', 'line to line'],
    [7, 'conductors', 'u16', 0, '', '3, or 4 with neutral'],
    [8, 'tracker_count', 'u16', 0, '', '1 to 12'],
    [9, 'strings_per_tracker', 'u16', 0, ''],
  ]),
  text(10, 8, 'serial'),
  text(18, 4, 'firmware'),
  ...rows([
    [22, 'dc_start_voltage', 'u16', -1, 'V'],
    [23, 'dc_max_voltage', 'u16', -1, 'V'],
  ]),
];
const SET_UP = [
  ...rows(
    [
      [30, 'address', 'u16', 0, '', '1 to 247; takes effect after the answer'],
      [31, 'bit_rate', 'u16', 2, 'bit/s', '96, 192, 384, 576, 1152; after a restart'],
      [32, 'clock', 'u32', 0, 's', 'since 1970-01-01 UTC'],
      [34, 'grid_code', 'u16', 0, '', '0 not set; a set one cannot be taken away'],
    ],
    { access: 'rw' },
  ),
  ...rows([[35, 'reconnect_delay', 'u16', 0, 's', 'by the grid code']]),
  ...rows(
    [
      [36, 'power_limit', 'u16', -1, '%', '0 to 1000'],
      [37, 'power_factor_set', 's16', -3, '', '±800 to ±1000; negative absorbs'],
    ],
    { access: 'rw' },
  ),
  ...rows(
    [
      [38, 'command', 'u16', 0, '', '1 start, 2 stop, 3 clear events, 4 restart, 5 blink; needs unlock'],
      [39, 'unlock', 'u16', 0, '', '0x5A5A, for 60 s'],
    ],
    { access: 'w' },
  ),
];
const LIVE = rows(
  [
    [100, 'state', 'u16', 0, '', '0 not initialised, 1 standby, 2 starting, 3 running, 4 limited, 5 fault, 6 stopped'],
    [
      101,
      'event_code',
      'u16',
      0,
      '',
      '0 none, 101 DC low, 102 DC high, 201 grid high, 202 low, 203 frequency, 301 insulation',
    ],
    [102, 'warning_bits', 'u32', 0, '', 'bit 0 fan, 1 surge arrester, 2 string low, 3 clock, 4 comms, 5 temperature'],
    [104, 'countdown', 'u16', 0, 's', 'to connection; 65535 not counting'],
    [105, 'volt_L1N', 'u16', -1, 'V', '65535 on three wires'],
    [106, 'volt_L2N', 'u16', -1, 'V', '65535 on three wires'],
    [107, 'volt_L3N', 'u16', -1, 'V', '65535 on three wires'],
    [108, 'volt_L12', 'u16', -1, 'V'],
    [109, 'volt_L23', 'u16', -1, 'V'],
    [110, 'volt_L31', 'u16', -1, 'V'],
    [111, 'amp_L1', 'u16', -1, 'A'],
    [112, 'amp_L2', 'u16', -1, 'A'],
    [113, 'amp_L3', 'u16', -1, 'A'],
    [114, 'active_power', 's32', 0, 'W', 'positive feeds in'],
    [116, 'reactive_power', 's32', 0, 'var', 'positive supplies'],
    [118, 'apparent_power', 'u32', 0, 'VA'],
    [120, 'power_factor', 's16', -3, '', 'sign of reactive power'],
    [121, 'frequency', 'u16', -2, 'Hz'],
    [122, 'insulation', 'u16', 0, 'kΩ'],
    [123, 'temp_inside', 's16', -1, '°C'],
    [124, 'temp_heatsink', 's16', -1, '°C'],
    [125, 'fan_speed', 'u16', 0, '%'],
    [126, 'energy_today', 'u32', -1, 'kWh'],
    [128, 'energy_total', 'u32', -1, 'kWh'],
    [130, 'dc_power', 'u32', 0, 'W'],
  ],
  { of: 'inverter' },
);
/** Trackers that a map has room for. */
export const TRACKERS_MOST = 12;
const TRACKERS = Array.from({ length: TRACKERS_MOST }, (_, i) =>
  rows(
    [
      [200 + 4 * i, `mppt${i + 1}_volt`, 'u16', -1, 'V', '65535 where the model has fewer'],
      [201 + 4 * i, `mppt${i + 1}_amp`, 's16', -2, 'A', '−32768 where absent'],
      [202 + 4 * i, `mppt${i + 1}_power`, 'u16', 1, 'W'],
      [203 + 4 * i, `mppt${i + 1}_status`, 'u16', 0, '', 'bits 0 to 3: string input carries current'],
    ],
    { of: 'inverter' },
  ),
).flat();
const METER = [
  ...rows(
    [
      [300, 'meter_volt_L1', 'u16', -1, 'V'],
      [301, 'meter_volt_L2', 'u16', -1, 'V'],
      [302, 'meter_volt_L3', 'u16', -1, 'V'],
      [303, 'meter_amp_L1', 'u32', -2, 'A'],
      [305, 'meter_amp_L2', 'u32', -2, 'A'],
      [307, 'meter_amp_L3', 'u32', -2, 'A'],
      [309, 'meter_p_L1', 's32', 0, 'W', 'positive imports'],
      [311, 'meter_p_L2', 's32', 0, 'W', 'positive imports'],
      [313, 'meter_p_L3', 's32', 0, 'W', 'positive imports'],
      [315, 'meter_q_L1', 's32', 0, 'var'],
      [317, 'meter_q_L2', 's32', 0, 'var'],
      [319, 'meter_q_L3', 's32', 0, 'var'],
      [321, 'meter_p', 's32', 0, 'W', 'signed sum'],
      [323, 'meter_q', 's32', 0, 'var'],
      [325, 'energy_import', 'u32', -1, 'kWh'],
      [327, 'energy_export', 'u32', -1, 'kWh'],
    ],
    { of: 'meter' },
  ),
  ...rows(
    [
      [329, 'ct_primary', 'u16', 0, 'A'],
      [330, 'ct_secondary', 'u16', 0, 'A', '1 or 5'],
    ],
    { of: 'meter', access: 'rw' },
  ),
  ...rows([[331, 'meter_frequency', 'u16', -2, 'Hz']], { of: 'meter' }),
];

export const REGISTERS: readonly Register[] = [...IDENTITY, ...SET_UP, ...LIVE, ...TRACKERS, ...METER];

/** Known to every unit of this map. */
export const MAP_ID = 0x4259;
export const UNLOCK_KEY = 0x5a5a;
export const UNLOCKED_S = 60;

const BY_NAME = new Map(REGISTERS.map((r) => [r.name, r]));
/** A register by its name. Throws RangeError where there is none. */
export function registerOf(name: string): Register {
  const register = BY_NAME.get(name);
  if (!register) throw new RangeError(`name must be a register of the map (got ${name})`);
  return register;
}

const NOT_AVAILABLE = { u16: 0xffff, s16: 0x8000, u32: 0xffffffff, s32: 0x80000000 } as const;

/** The words of a value; null: not available. Values past what the words hold are held at their ends. */
export function wordsOf(name: string, value: number | string | null): number[] {
  const { type, words, scale } = registerOf(name);
  if (type === 'text') {
    const codes = Array.from({ length: 2 * words }, (_, i) => String(value ?? '').charCodeAt(i) || 0);
    return Array.from({ length: words }, (_, i) => ((codes[2 * i] as number) << 8) | (codes[2 * i + 1] as number));
  }
  const bits = 16 * words;
  const signed = type.startsWith('s');
  const most = signed ? 2 ** (bits - 1) - 1 : 2 ** bits - 2;
  const least = signed ? -(2 ** (bits - 1)) + 1 : 0;
  const raw =
    value === null ? NOT_AVAILABLE[type] : Math.min(most, Math.max(least, Math.round(Number(value) / 10 ** scale)));
  const unsigned = raw < 0 ? raw + 2 ** bits : raw;
  return words === 1 ? [unsigned] : [Math.floor(unsigned / 65_536), unsigned % 65_536];
}

/** The value of the words of a register; null where the unit has none. */
export function valueOf(name: string, read: readonly number[]): number | string | null {
  const { type, words, scale } = registerOf(name);
  if (type === 'text')
    return String.fromCharCode(...read.slice(0, words).flatMap((w) => [w >> 8, w & 0xff])).replace(/\0+$/, '');
  const unsigned = words === 1 ? (read[0] as number) : (read[0] as number) * 65_536 + (read[1] as number);
  if (unsigned === NOT_AVAILABLE[type]) return null;
  const raw = type.startsWith('s') && unsigned >= 2 ** (16 * words - 1) ? unsigned - 2 ** (16 * words) : unsigned;
  return Number((raw * 10 ** scale).toFixed(Math.max(0, -scale)));
}
