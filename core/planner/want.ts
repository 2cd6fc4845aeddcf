import type { Requirement } from '../planning';

/** A requirement as bits, for orders that are tried by the thousand. */
export const WANT = {
  engineOn: 1,
  engineOff: 2,
  cold: 4,
  key: 8,
  lamps: 16,
  set: 32,
  released: 64,
  chocksIn: 128,
  chocksOut: 256,
  powerTakeOff: 512,
  propped: 1024,
  platform: 2048,
  outriggers: 4096,
  air: 8192,
  oilWarm: 16_384,
  settled: 32_768,
  engineWarm: 65_536,
} as const;

export function wantOf(requirement: Requirement): number {
  const { engine, brake, chocks } = requirement;
  return (
    (engine === 'on' ? WANT.engineOn : 0) |
    (engine === 'off' ? WANT.engineOff : 0) |
    (engine === 'cold' ? WANT.cold | WANT.engineOff : 0) |
    (requirement.key ? WANT.key : 0) |
    (requirement.lamps ? WANT.lamps : 0) |
    (brake === 'set' ? WANT.set : 0) |
    (brake === 'released' ? WANT.released : 0) |
    (chocks === 'in' ? WANT.chocksIn : 0) |
    (chocks === 'out' ? WANT.chocksOut : 0) |
    (requirement.powerTakeOff ? WANT.powerTakeOff : 0) |
    (requirement.propped ? WANT.propped : 0) |
    (requirement.platform ? WANT.platform : 0) |
    (requirement.outriggers ? WANT.outriggers : 0) |
    (requirement.air ? WANT.air : 0) |
    (requirement.oilWarm ? WANT.oilWarm : 0) |
    (requirement.settled ? WANT.settled : 0) |
    (requirement.engineWarm ? WANT.engineWarm : 0)
  );
}
