/**
 * Units a driver may type or read. Everything is kept in SI; a unit says how to
 * get there and how many decimals are worth showing.
 */
export type Kind =
  | 'pressure'
  | 'pressureRate'
  | 'length'
  | 'depth'
  | 'distance'
  | 'speed'
  | 'temperature'
  | 'duration'
  | 'voltage'
  | 'angle'
  | 'mass'
  | 'volume'
  | 'fraction'
  | 'count';

export type UnitName =
  | 'Pa'
  | 'psi'
  | 'bar'
  | 'kPa'
  | 'psi/min'
  | 'kPa/min'
  | 'm'
  | 'ft'
  | 'mm'
  | 'in'
  | '32nds'
  | 'km'
  | 'mi'
  | 'km/h'
  | 'mph'
  | '°C'
  | '°F'
  | 's'
  | 'min'
  | 'h'
  | 'V'
  | '°'
  | 'kg'
  | 'lb'
  | 'L'
  | 'gal'
  | '%'
  | 'pieces';

interface Unit {
  readonly kind: Kind;
  /** SI value = typed × scale + shift. */
  readonly scale: number;
  readonly shift?: number;
  readonly decimals: number;
}

const PSI = 6894.757293168;

export const UNITS: Readonly<Record<UnitName, Unit>> = {
  Pa: { kind: 'pressure', scale: 1, decimals: 0 },
  psi: { kind: 'pressure', scale: PSI, decimals: 0 },
  bar: { kind: 'pressure', scale: 100_000, decimals: 1 },
  kPa: { kind: 'pressure', scale: 1000, decimals: 0 },
  'psi/min': { kind: 'pressureRate', scale: PSI / 60, decimals: 1 },
  'kPa/min': { kind: 'pressureRate', scale: 1000 / 60, decimals: 0 },
  m: { kind: 'length', scale: 1, decimals: 2 },
  ft: { kind: 'length', scale: 0.3048, decimals: 1 },
  mm: { kind: 'depth', scale: 0.001, decimals: 1 },
  in: { kind: 'depth', scale: 0.0254, decimals: 2 },
  '32nds': { kind: 'depth', scale: 0.0254 / 32, decimals: 0 },
  km: { kind: 'distance', scale: 1000, decimals: 0 },
  mi: { kind: 'distance', scale: 1609.344, decimals: 0 },
  'km/h': { kind: 'speed', scale: 1 / 3.6, decimals: 0 },
  mph: { kind: 'speed', scale: 0.44704, decimals: 0 },
  '°C': { kind: 'temperature', scale: 1, shift: 273.15, decimals: 0 },
  '°F': {
    kind: 'temperature',
    scale: 5 / 9,
    shift: 459.67 * (5 / 9),
    decimals: 0,
  },
  s: { kind: 'duration', scale: 1, decimals: 0 },
  min: { kind: 'duration', scale: 60, decimals: 1 },
  h: { kind: 'duration', scale: 3600, decimals: 1 },
  V: { kind: 'voltage', scale: 1, decimals: 1 },
  '°': { kind: 'angle', scale: Math.PI / 180, decimals: 0 },
  kg: { kind: 'mass', scale: 1, decimals: 0 },
  lb: { kind: 'mass', scale: 0.45359237, decimals: 0 },
  L: { kind: 'volume', scale: 0.001, decimals: 1 },
  gal: { kind: 'volume', scale: 0.003785411784, decimals: 1 },
  '%': { kind: 'fraction', scale: 0.01, decimals: 0 },
  pieces: { kind: 'count', scale: 1, decimals: 0 },
};

export type UnitHabit = 'metric' | 'customary';

const HABIT: Readonly<Record<Kind, Readonly<Record<UnitHabit, UnitName>>>> = {
  pressure: { metric: 'kPa', customary: 'psi' },
  pressureRate: { metric: 'kPa/min', customary: 'psi/min' },
  length: { metric: 'm', customary: 'ft' },
  depth: { metric: 'mm', customary: '32nds' },
  distance: { metric: 'km', customary: 'mi' },
  speed: { metric: 'km/h', customary: 'mph' },
  temperature: { metric: '°C', customary: '°F' },
  duration: { metric: 's', customary: 's' },
  voltage: { metric: 'V', customary: 'V' },
  angle: { metric: '°', customary: '°' },
  mass: { metric: 'kg', customary: 'lb' },
  volume: { metric: 'L', customary: 'gal' },
  fraction: { metric: '%', customary: '%' },
  count: { metric: 'pieces', customary: 'pieces' },
};

/** The unit a depot with this habit reads for a kind of quantity. */
export function unitFor(kind: Kind, habit: UnitHabit): UnitName {
  return HABIT[kind][habit];
}
