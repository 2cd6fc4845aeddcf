import type { Check } from '../../catalogue';
import { check, symptom } from '../write';

export function suspensionChecks(prefix: string, zone: string, each: string): Check[] {
  return [
    check({
      id: `${prefix}.suspension.spring`,
      title: 'Look along the spring',
      partName: 'Spring',
      zone,
      each,
      method: 'look',
      needs: ['lamp', 'chocked'],
      seconds: 9,
      criterion: 'No leaf cracked, broken, shifted or missing; U-bolts tight.',
      source: '49 CFR 393.207(a) to (d)',
      symptoms: [
        symptom('main-leaf-broken', 'Main leaf broken or cracked', 'suspension', 'stop'),
        symptom('leaf-broken', 'One other leaf broken', 'suspension', 'repair', {
          condition: 'Empty, and straight to the workshop.',
          bars: 'job',
          mostKmh: 60,
          many: {
            from: 2,
            harm: 'stop',
            because: 'a quarter of the leaves may be gone',
          },
        }),
        symptom('u-bolt-loose', 'U-bolt loose or axle shifted', 'suspension', 'stop'),
      ],
      why: 'A shifted axle steers by itself.',
    }),
    check({
      id: `${prefix}.suspension.hanger`,
      title: 'Shake hanger, shackle and pin',
      partName: 'Hanger, shackle and pin',
      zone,
      each,
      method: 'shake',
      needs: ['gloves', 'lamp', 'chocked'],
      seconds: 8,
      criterion: 'Nothing cracked or walking out, bushings in place, pins locked.',
      source: '49 CFR 393.207(a)',
      symptoms: [
        symptom('hanger-cracked', 'Hanger or shackle cracked', 'suspension', 'stop'),
        symptom('pin-walking', 'Pin working out of its place', 'suspension', 'stop'),
        symptom('bushing-worn', 'Bushing worn, metal still apart', 'suspension', 'repair'),
      ],
      why: 'Hangers crack at the frame before they let go.',
    }),
  ];
}
