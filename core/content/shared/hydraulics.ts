import type { Capability, Need, PowerSource, Check } from '../../catalogue';
import { caution, check, faultsOf, leak, moved } from '../write';

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
  /** How the equipment lies while hands are at its hoses and rods. */
  readonly lies?: readonly Need[];
}

/** Hoses, fittings and cylinders of one piece of equipment. */
export function hydraulicChecks({ prefix, zone, takes, of, lies = [] }: HydraulicParts): Check[] {
  const { stops, repairs, watches } = faultsOf('hydraulics', takes);
  return [
    check({
      id: `${prefix}.hydraulics.hoses`,
      title: `Follow the hoses ${of} with the lamp`,
      partName: `Hydraulic hoses ${of}`,
      zone,
      method: 'look',
      phases: ['pre-trip', 'monthly'],
      needs: ['lamp', 'secured', ...lies],
      seconds: 14,
      criterion: 'No braid showing, no blister, no rub mark, clamped clear of edges and heat.',
      symptoms: [
        stops('hose-blister', 'Blister, or braid showing'),
        repairs('hose-rubs', 'Rubs or hangs loose', {
          condition: 'Tie it clear before leaving and look again at the first stop.',
          bars: 'before-leaving',
        }),
        leak(
          'hose-leak',
          'Oil at hose or fitting',
          'hydraulics',
          ['watch', 'repair', 'stop'],
          takes,
        ),
      ],
      fixes: { 'hose-rubs': ['Tie it clear'] },
      cautions: [neverFeel],
      why: 'A hose that shows its braid bursts under the next load.',
    }),
    check({
      id: `${prefix}.hydraulics.cylinders`,
      title: `Wipe the rods ${of} and look for oil`,
      partName: `Cylinder rods ${of}`,
      zone,
      method: 'look',
      phases: ['pre-trip', 'post-trip'],
      needs: ['rag', 'secured', ...lies],
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

export interface ControlParts extends HydraulicParts {
  /** What the levers move, and by what. A lever on a dead machine moves nothing and proves nothing. */
  readonly part: string;
  readonly by: PowerSource;
  readonly needs: readonly Need[];
  readonly phases?: Check['phases'];
}

/** Decals and controls that every piece of moving equipment has. */
export function controlChecks(parts: ControlParts): Check[] {
  const { prefix, zone, takes, of, part, by, needs, phases = ['pre-trip'] } = parts;
  const { stops, repairs, watches } = faultsOf('hydraulics', takes);
  return [
    check({
      id: `${prefix}.controls.neutral`,
      title: `Let go of every control ${of}`,
      partName: `Return to neutral ${of}`,
      zone,
      method: 'operate',
      moves: moved(part, by, takes),
      phases,
      needs: [...needs, 'parking-brake-set', 'area-clear'],
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
      partName: `Control labels ${of}`,
      zone,
      method: 'look',
      partOf: [],
      seconds: 8,
      criterion: 'Directions, rated load and warnings can be read.',
      symptoms: [
        repairs('label-gone', 'A label is missing or worn off'),
        watches('label-dirty', 'A label is too dirty to be read'),
        stops('rating-gone', 'Rated load cannot be read'),
      ],
      fixes: { 'label-dirty': ['Wipe it'] },
      why: 'Somebody who does not know the lever will guess.',
    }),
  ];
}
