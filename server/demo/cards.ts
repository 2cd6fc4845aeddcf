import type { Axle, Card, Chart } from '@nazar/core/catalogue';
import { toSi } from '@nazar/core/quantity';

/** Masses in kg, heights in m, as they stand on the card of a unit. */
interface Masses {
  readonly massEmpty: number;
  readonly massGross?: number;
  readonly towRating?: number;
  readonly kingpinLoad?: number;
  readonly hookHeight?: number;
  readonly eyeHeight?: number;
}

const CARDS: Readonly<Record<string, Masses>> = {
  'straight-truck-air': { massEmpty: 7400, massGross: 15_000, towRating: 12_000, hookHeight: 0.82 },
  'straight-truck-hydraulic': {
    massEmpty: 4300,
    massGross: 8800,
    towRating: 4500,
    hookHeight: 0.6,
  },
  'road-tractor': {
    massEmpty: 8200,
    massGross: 20_000,
    towRating: 60_000,
    kingpinLoad: 16_000,
    hookHeight: 1.22,
  },
  'terminal-tractor': {
    massEmpty: 6900,
    massGross: 18_000,
    towRating: 45_000,
    kingpinLoad: 14_000,
    hookHeight: 1.22,
  },
  'off-road-cargo-truck': {
    massEmpty: 9800,
    massGross: 16_500,
    towRating: 9000,
    hookHeight: 0.85,
  },
  'off-road-tractor': {
    massEmpty: 14_500,
    massGross: 32_000,
    towRating: 70_000,
    kingpinLoad: 18_000,
    hookHeight: 1.22,
  },
  'light-four-wheel-drive': { massEmpty: 2400, massGross: 3700, towRating: 2000, hookHeight: 0.6 },
  'passenger-van': { massEmpty: 2700, massGross: 4100 },
  'outrigger-digger': { massEmpty: 2600 },
  'light-utility': { massEmpty: 640, massGross: 1200 },
  'school-bus': { massEmpty: 8300, massGross: 13_600 },
  'transit-bus': { massEmpty: 11_800, massGross: 18_500 },
  'fire-pumper': { massEmpty: 13_500, massGross: 19_500 },
  'mobile-crane': { massEmpty: 36_000, massGross: 36_000 },
  'tag-trailer-air': { massEmpty: 2300, massGross: 9000, eyeHeight: 0.8 },
  'tilt-trailer': { massEmpty: 3900, massGross: 11_500, eyeHeight: 0.8 },
  'semi-trailer': { massEmpty: 6600, massGross: 31_000, kingpinLoad: 11_500, eyeHeight: 1.2 },
  'lowboy-transporter': {
    massEmpty: 15_500,
    massGross: 48_000,
    kingpinLoad: 15_500,
    eyeHeight: 1.2,
  },
  'converter-dolly': { massEmpty: 1400, massGross: 9800, eyeHeight: 0.8 },
  'front-plow': { massEmpty: 960 },
  'wing-plow': { massEmpty: 820 },
  'slide-in-spreader': { massEmpty: 1250, massGross: 5200 },
  'tracked-digger': { massEmpty: 23_500 },
};

const WITH_SOCKET = new Set(['hookHeight', 'eyeHeight']);

/** The figures of a demo unit by its module; small trucks and their trailers have fewer pins and half the voltage. */
export function figuresOfModule(moduleId: string): Readonly<Record<string, number>> {
  const card = CARDS[moduleId];
  if (!card) return {};
  const small = moduleId === 'straight-truck-hydraulic' || moduleId === 'light-four-wheel-drive';
  const { massEmpty, massGross, towRating, kingpinLoad, hookHeight, eyeHeight } = card;
  const figures: Record<string, number | undefined> = {
    massEmpty: toSi(massEmpty, 'kg'),
    massGross: massGross === undefined ? undefined : toSi(massGross, 'kg'),
    towRating: towRating === undefined ? undefined : toSi(towRating, 'kg'),
    kingpinLoad: kingpinLoad === undefined ? undefined : toSi(kingpinLoad, 'kg'),
    hookHeight,
    eyeHeight,
    ...(Object.keys(card).some((field) => WITH_SOCKET.has(field)) && {
      socketVolts: small ? 12 : 24,
      socketPins: small ? 7 : 15,
    }),
  };
  return Object.fromEntries(
    Object.entries(figures).filter((entry): entry is [string, number] => entry[1] !== undefined),
  );
}

const psi = (value: number) => toSi(value, 'psi');
const steered = (at: number, cold: number): Axle => ({
  at,
  tyres: 1,
  steered: true,
  coldPressure: psi(cold),
});
const duals = (at: number, cold: number, more: Partial<Axle> = {}): Axle => ({
  at,
  tyres: 2,
  coldPressure: psi(cold),
  ...more,
});

/** Loads on four outriggers; where there is null the boom would be too long or too flat. Made up, as everything here. */
const ON_OUTRIGGERS: Chart = {
  id: 'on-outriggers',
  title: 'Four outriggers fully out, 4 t of counterweight',
  lengths: [9.5, 15, 21, 27],
  rows: [
    { radius: 3, loads: [30_000, 24_000, 17_000, null] },
    { radius: 4, loads: [24_000, 20_500, 15_500, 11_000] },
    { radius: 6, loads: [15_200, 14_400, 12_300, 9400] },
    { radius: 8, loads: [null, 9800, 9100, 7700] },
    { radius: 10, loads: [null, 7000, 6800, 6100] },
    { radius: 14, loads: [null, null, 4100, 3900] },
    { radius: 18, loads: [null, null, 2600, 2500] },
    { radius: 22, loads: [null, null, null, 1600] },
  ],
};

/** Cards of units that differ from what is usual for their module, by number. */
export const CARDS_OF_UNITS: Readonly<Record<string, Card>> = {
  341: {
    axles: [
      steered(1.5, 125),
      steered(3.1, 125),
      duals(8, 105, { driven: true }),
      duals(9.4, 105, { driven: true }),
    ],
    charts: [ON_OUTRIGGERS],
    dated: [
      { id: 'yearly-crane', title: 'Yearly inspection of the crane', until: '2027-05-14' },
      { id: 'extinguisher', title: 'Extinguisher', until: '2026-10-31' },
    ],
  },
  // Six lines with duals, all steered; its power pack is aboard.
  962: {
    axles: [9.4, 10.6, 11.8, 13, 14.2, 15.4].map((at) => duals(at, 115, { steered: true })),
    tanks: [
      {
        id: 'pack-fuel',
        title: 'fuel of the power pack',
        holds: 'fuel',
        volume: 0.12,
        at: 2,
        side: 'driver',
      },
      {
        id: 'pack-oil',
        title: 'hydraulic oil of the power pack',
        holds: 'hydraulic-oil',
        volume: 0.3,
        at: 2.6,
        side: 'curb',
      },
    ],
  },
  934: { axles: [duals(4.7, 80), duals(5.9, 80)] },
  952: { axles: [duals(11.6, 100), duals(12.9, 100, { lifts: true })] },
};
