import { LAW } from '../../catalogue';
import type { Band, Check, Reading } from '../../catalogue';
import { caution, check, symptom } from '../write';

const licensed = caution('WARNING', 'Look and feel only. A brake is adjusted by licensed people.');

/** Lining at its thinnest, where a rule or a feeler gets at it. */
export function liningReading(bands: readonly Band[]): Reading {
  return {
    kind: 'depth',
    ask: 'Lining at its thinnest',
    typedIn: { metric: 'mm', customary: 'in' },
    required: false,
    plausible: [0, 40, 'mm'],
    uncertainty: [0.3, 'mm'],
    bands,
  };
}

const thinner = (field: string, at?: Band['at']): Band => ({
  side: 'below',
  limit: { from: 'specification', field },
  symptom: 'lining-thin',
  ...(at && { at }),
});

/** Limits of lining and push rod: of the steer axle of a vehicle that drives, and of all other wheels. */
function byAxle(band: (field: string, at?: Band['at']) => Band, field: string, steers: boolean) {
  return steers ? [band(`${field}Steer`, 'steered'), band(field, 'not-steered')] : [band(field)];
}

/** Stroke of the push rod at full application, against its chamber. */
export function strokeReading(steers: boolean): Reading {
  const longer = (field: string, at?: Band['at']): Band => ({
    side: 'above',
    limit: { from: 'specification', field },
    symptom: 'stroke-long',
    ...(at && { at }),
  });
  return {
    kind: 'depth',
    ask: 'Stroke at full application',
    typedIn: { metric: 'mm', customary: 'in' },
    required: true,
    plausible: [0, 130, 'mm'],
    uncertainty: [1, 'mm'],
    bands: byAxle(longer, 'strokeMost', steers),
  };
}

/**
 * What can be seen of an air brake at the wheel.
 * @param steers the unit has a steer axle; a trailer has none
 */
export function airBrakeChecks(
  prefix: string,
  zone: string,
  each: string,
  steers: boolean,
): Check[] {
  return [
    check({
      id: `${prefix}.brake.chamber`,
      title: 'Look at brake chamber and pushrod',
      partName: 'Brake chamber and pushrod',
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
      partName: 'Slack adjuster',
      zone,
      each,
      method: 'feel',
      needs: ['engine-off', 'key-in-pocket', 'chocked', 'parking-brake-released', 'gloves'],
      seconds: 9,
      criterion: 'Free play under 25 mm (1 in), pin and clip in place, both sides alike.',
      source: LAW.slackPlay.source,
      symptoms: [
        symptom('slack-long', 'Moves more than 25 mm (1 in)', 'brakes', 'stop'),
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
      partName: 'Brake hose',
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
      partName: 'Drum and lining',
      zone,
      each,
      method: 'look',
      needs: ['lamp', 'chocked'],
      seconds: 8,
      criterion: steers
        ? 'Lining at least 6.4 mm (1/4 in), on the steer axle 4.8 mm (3/16 in), dry; drum without cracks to its edge. Disc pads at least 3.2 mm (1/8 in).'
        : 'Lining at least 6.4 mm (1/4 in), dry; drum without cracks to its edge. Disc pads at least 3.2 mm (1/8 in).',
      source: LAW.liningAirDisc.source,
      reading: liningReading(byAxle(thinner, 'liningLeast', steers)),
      symptoms: [
        symptom('lining-thin', 'Lining thinner than that, or loose', 'brakes', 'stop'),
        symptom('lining-oily', 'Oil or grease on the lining', 'brakes', 'stop'),
        symptom('drum-cracked', 'Drum cracked to the edge', 'brakes', 'stop'),
        symptom('drum-heat', 'Fine heat marks only', 'brakes', 'watch'),
      ],
      why: 'Worn or oily lining stops nothing.',
    }),
  ];
}
