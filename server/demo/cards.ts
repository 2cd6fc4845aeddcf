import { toSi } from '@nazar/core/quantity';

/** Masses in kg, heights in m, as they stand on the card of a unit. */
interface Card {
  readonly massEmpty: number;
  readonly massGross?: number;
  readonly towRating?: number;
  readonly kingpinLoad?: number;
  readonly hookHeight?: number;
  readonly eyeHeight?: number;
}

const CARDS: Readonly<Record<string, Card>> = {
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
export function cardOf(moduleId: string): Readonly<Record<string, number>> {
  const card = CARDS[moduleId];
  if (!card) return {};
  const small = moduleId === 'straight-truck-hydraulic';
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
