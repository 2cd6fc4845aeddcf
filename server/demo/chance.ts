import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** Seeded chance, so that the demo is the same each time. */
export interface Chance {
  /** A whole number from `least` to `most`, both included. */
  readonly whole: (least: number, most: number) => number;
  /** 0 to 1. */
  readonly share: () => number;
  /** About `middle`, within three times `spread`. */
  readonly about: (middle: number, spread: number) => number;
  readonly pick: <T>(list: readonly T[]) => T;
  readonly bytes: (count: number) => Uint8Array;
}

export function seededChance(seed: number): Chance {
  const generator = xoroshiro128plus(seed);
  const whole = (least: number, most: number) => uniformInt(generator, least, most);
  const share = () => whole(0, 1_000_000) / 1_000_000;
  return {
    whole,
    share,
    about: (middle, spread) => middle + spread * (share() + share() + share() - 1.5) * 2,
    pick: (list) => list[whole(0, list.length - 1)],
    bytes: (count) => Uint8Array.from({ length: count }, () => whole(0, 255)),
  };
}
