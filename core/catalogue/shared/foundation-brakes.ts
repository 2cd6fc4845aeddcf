import type { Check } from '../types';
import { caution, check, symptom } from '../write';

const licensed = caution('WARNING', 'Look and feel only. A brake is adjusted by licensed people.');

/** What can be seen of an air brake at the wheel. */
export function airBrakeChecks(prefix: string, zone: string, each: string): Check[] {
  return [
    check({
      id: `${prefix}.brake.chamber`,
      title: 'Look at brake chamber and pushrod',
      zone,
      each,
      method: 'look',
      needs: ['lamp', 'chocked'],
      seconds: 8,
      criterion:
        'Mounted firmly, clamp closed, no hiss, pushrod straight, plug in the spring part.',
      source: '49 CFR 393.47, 393.48',
      symptoms: [
        symptom('chamber-leak', 'Air leaks from chamber or clamp', 'brakes', 'stop'),
        symptom('chamber-loose', 'Chamber or bracket loose or cracked', 'brakes', 'stop'),
        symptom('chamber-plug-lost', 'Dust plug missing', 'brakes', 'repair'),
      ],
      cautions: [caution('DANGER', 'Never open a spring brake chamber. The spring inside kills.')],
      why: 'One brake that hangs back pulls the vehicle aside.',
    }),
    check({
      id: `${prefix}.brake.slack`,
      title: 'Pull the slack adjuster by hand',
      zone,
      each,
      method: 'feel',
      needs: ['gloves', 'chocked', 'parking-brake-released'],
      seconds: 9,
      criterion: 'Free play under 25 mm, pin and clip in place, both sides alike.',
      source: '49 CFR 393.47(e)',
      symptoms: [
        symptom('slack-long', 'Moves more than 25 mm', 'brakes', 'stop'),
        symptom('slack-pin-clip', 'Clip missing, pin in place', 'brakes', 'stop'),
        symptom('slack-uneven', 'More play than the other side', 'brakes', 'repair', {
          many: { share: 0.5, harm: 'stop', because: 'half of the brakes pull unevenly' },
        }),
      ],
      cautions: [licensed],
      why: 'Stroke that is used up by play does not press the lining.',
    }),
    check({
      id: `${prefix}.brake.hose`,
      title: 'Feel along the brake hose',
      zone,
      each,
      method: 'feel',
      needs: ['gloves', 'lamp', 'chocked'],
      seconds: 7,
      criterion: 'No chafe to the fabric, no bulge, no hiss, clear of wheel and exhaust.',
      source: '49 CFR 393.45',
      symptoms: [
        symptom('hose-leak', 'Hose or fitting hisses', 'brakes', 'stop'),
        symptom('hose-fabric', 'Worn to the fabric or bulging', 'brakes', 'stop'),
        symptom('hose-rubs', 'Rubs, outer cover only', 'brakes', 'repair'),
      ],
      why: 'A hose bursts at the hardest braking.',
    }),
    check({
      id: `${prefix}.brake.lining`,
      title: 'Look at drum and lining edge',
      zone,
      each,
      method: 'look',
      needs: ['lamp', 'chocked'],
      seconds: 8,
      criterion: 'Lining at least 6 mm, dry; drum without cracks to its edge.',
      source: '49 CFR 393.47(d)',
      symptoms: [
        symptom('lining-thin', 'Lining under 6 mm or loose', 'brakes', 'stop'),
        symptom('lining-oily', 'Oil or grease on the lining', 'brakes', 'stop'),
        symptom('drum-cracked', 'Drum cracked to the edge', 'brakes', 'stop'),
        symptom('drum-heat', 'Fine heat marks only', 'brakes', 'watch'),
      ],
      why: 'Worn or oily lining stops nothing.',
    }),
  ];
}
