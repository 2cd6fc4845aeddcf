import { catalogue } from '@nazar/core/catalogue';
import { composeRig, type Unit } from '@nazar/core/rig';
import { heading, median, percentile, print } from './figures';

const ROUNDS = 300;

function unit(number: string, moduleId: string): Unit {
  return { id: number, number, title: moduleId, plate: '', moduleId, specification: {} };
}

/** Composing the largest rig: a tractor, a transporter with steered lines, a digger aboard. */
export function benchRigs(): void {
  heading('Rigs');
  const units = [
    unit('1', 'road-tractor'),
    unit('2', 'lowboy-transporter'),
    unit('3', 'tracked-digger'),
  ];
  const times: number[] = [];
  let checks = 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    const began = performance.now();
    const rig = composeRig({ units, phase: 'pre-trip', circumstances: [], catalogue });
    if (round >= 20) times.push(performance.now() - began);
    checks = rig.instances.length;
  }
  print(
    `the largest rig, ${checks} checks, composed`,
    `${median(times).toFixed(2)} ms`,
    'under 30 ms',
  );
  print('p95', `${percentile(times, 0.95).toFixed(2)} ms`);
}
