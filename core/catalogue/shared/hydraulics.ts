import type { Capability } from '../terms';
import type { Check } from '../types';
import { caution, check, faultsOf, leak } from '../write';

export const neverFeel = caution(
  'DANGER',
  'Oil under pressure goes through skin. Never feel for a leak; hold card or wood to it.',
);
export const pinch = caution('WARNING', 'Hands and feet clear of everything that moves.');

export interface HydraulicParts {
  readonly prefix: string;
  readonly zone: string;
  /** What is lost with the pressure. */
  readonly takes: readonly Capability[];
  /** How the part is called in the sentence: "of the hoist". */
  readonly of: string;
}

/** Hoses, fittings and cylinders of one piece of equipment. */
export function hydraulicChecks({ prefix, zone, takes, of }: HydraulicParts): Check[] {
  const { stops, repairs, watches } = faultsOf('hydraulics', takes);
  return [
    check({
      id: `${prefix}.hydraulics.hoses`,
      title: `Follow the hoses ${of} with the lamp`,
      zone,
      method: 'look',
      phases: ['pre-trip', 'monthly'],
      needs: ['lamp', 'engine-off'],
      seconds: 14,
      criterion: 'No braid showing, no blister, no rub mark, clamped clear of edges and heat.',
      symptoms: [
        stops('hose-blister', 'Blister, or braid showing'),
        repairs('hose-rubs', 'Rubs or hangs loose', {
          condition: 'Tie it clear before leaving and look again at the first stop.',
        }),
        leak(
          'hose-leak',
          'Oil at hose or fitting',
          'hydraulics',
          ['watch', 'repair', 'stop'],
          takes,
        ),
      ],
      fixes: ['Tie it clear'],
      cautions: [neverFeel],
      why: 'A hose that shows its braid bursts under the next load.',
    }),
    check({
      id: `${prefix}.hydraulics.cylinders`,
      title: `Wipe the rods ${of} and look for oil`,
      zone,
      method: 'look',
      phases: ['pre-trip', 'post-trip'],
      needs: ['rag', 'engine-off'],
      seconds: 12,
      criterion: 'Rods bright and straight, seals dry, pins and keepers in.',
      symptoms: [
        stops('rod-bent', 'Rod bent or deeply scored'),
        stops('pin-out', 'Pin or keeper missing'),
        watches('rod-scratched', 'Light scratch on the rod'),
        leak('rod-leak', 'Oil at the rod seal', 'hydraulics', ['watch', 'repair', 'stop'], takes),
      ],
      cautions: [neverFeel],
      why: 'A scored rod eats its seal and lets the load down.',
    }),
  ];
}

/** Decals and controls that every piece of moving equipment has. */
export function controlChecks({ prefix, zone, takes, of }: HydraulicParts): Check[] {
  const { stops, repairs } = faultsOf('hydraulics', takes);
  return [
    check({
      id: `${prefix}.controls.neutral`,
      title: `Let go of every control ${of}`,
      zone,
      method: 'operate',
      needs: ['area-clear'],
      seconds: 15,
      criterion: 'Each returns to neutral by itself; nothing moves on.',
      symptoms: [
        stops('control-sticks', 'Sticks, or movement goes on'),
        repairs('control-loose', 'Loose or worn, returns by itself'),
      ],
      cautions: [pinch],
      why: 'A lever that stays where it was goes on when nobody looks.',
    }),
    check({
      id: `${prefix}.controls.labels`,
      title: `Read every label at the controls ${of}`,
      zone,
      method: 'look',
      seconds: 8,
      criterion: 'Directions, rated load and warnings can be read.',
      symptoms: [
        repairs('label-gone', 'A label is missing or cannot be read'),
        stops('rating-gone', 'Rated load cannot be read'),
      ],
      fixes: ['Wipe it'],
      why: 'Somebody who does not know the lever will guess.',
    }),
  ];
}
