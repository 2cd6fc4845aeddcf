import { catalogue } from '@nazar/core/content';
import { composeRig, type Rig, type Unit } from '@nazar/core/rig';

function unit(number: string, moduleId: string): Unit {
  return { id: number, number, title: moduleId, plate: '', moduleId, specification: {} };
}

const units = [
  unit('1', 'road-tractor'),
  unit('2', 'lowboy-transporter'),
  unit('3', 'tracked-digger'),
];

/** The largest rig of the demo world: a tractor, a transporter with steered lines, a digger aboard. */
export function composeLargest(): Rig {
  return composeRig({ units, phase: 'pre-trip', circumstances: [], catalogue });
}

/** Milliseconds of each round after the first ones, in which the machine is still learning it. */
export function timeComposing(rounds: number): {
  readonly checks: number;
  readonly times: number[];
} {
  const times: number[] = [];
  let checks = 0;
  for (let round = 0; round < rounds; round += 1) {
    const began = performance.now();
    checks = composeLargest().instances.length;
    times.push(performance.now() - began);
  }
  return { checks, times };
}

// The same file is measured in a browser, where a page has no modules to import from.
Object.assign(globalThis, { timeComposing });
