import { BY_HAND, caution, check, faultsOf, moved } from '../../write';
import type { Check } from '../../../catalogue';

const aerial = faultsOf('boom', ['aerial']);
const legs = faultsOf('outriggers', ['aerial']);
const crew = faultsOf('emergency', ['aerial']);
const leg = caution('DANGER', 'Feet out from under a leg or a pad, also while it only rests.');

const jackBox = (P: string, side: 'driver' | 'curb'): Check =>
  check({
    id: `${P}.jack-box.${side}`,
    title: `Look at fittings and valves in the jack boxes of the ${side} side`,
    partName: `Jack boxes, ${side} side`,
    zone: `jacks-${side}`,
    method: 'look',
    phases: ['pre-trip', 'weekly'],
    seconds: 12,
    criterion: 'Fittings dry, valve handles home, control doors latch.',
    symptoms: [
      legs.stops('jack-box-leaks', 'Drops fall'),
      legs.repairs('jack-box-wet', 'Wet, no drop'),
      legs.repairs('jack-box-door', 'Control door does not latch'),
    ],
    why: 'A leg that creeps tilts a ladder with people on it.',
  });

/** What is looked at from the ground around the truck before a ladder is raised, station by station. */
export function aerialStationChecks(P: string): Check[] {
  return [
    jackBox(P, 'driver'),
    jackBox(P, 'curb'),
    check({
      id: `${P}.ground-pads`,
      title: 'Look at the ground pads and their handles',
      partName: 'Ground pads',
      zone: 'jacks-curb',
      method: 'look',
      seconds: 8,
      criterion: 'One for each leg, whole, handle on, pinned in the holder.',
      symptoms: [
        legs.stops('pad-missing', 'A pad is missing or cracked'),
        legs.repairs('pad-handle', 'Handle off'),
      ],
      cautions: [leg],
      why: 'Without it a leg goes through a pavement.',
    }),
    check({
      id: `${P}.boots`,
      title: 'Look at boots and fasteners of the levers',
      partName: 'Lever boots and fasteners',
      zone: 'aerial-controls',
      method: 'look',
      phases: ['weekly', 'pre-trip'],
      needs: ['machinery-still'],
      seconds: 8,
      criterion: 'Boots whole, no fastener missing, levers back to the middle.',
      symptoms: [
        aerial.stops('lever-sticks', 'A lever does not come back'),
        aerial.repairs('boot-torn', 'Boot torn'),
      ],
      why: 'Water freezes in it and the lever stays where it was pushed.',
    }),
    check({
      id: `${P}.inside-beam`,
      title: 'Look into the beams with the lamp',
      partName: 'Inside of the beams',
      zone: 'ladder-rear',
      method: 'look',
      phases: ['weekly', 'monthly'],
      needs: ['boom-cradled', 'lamp'],
      seconds: 20,
      criterion: 'Hoses and cables lie in their guides, nothing wet, no rust that flakes.',
      symptoms: [
        aerial.stops('beam-hose', 'A hose or cable chafes'),
        aerial.stops('beam-leak', 'Drops fall inside'),
        aerial.repairs('beam-rust', 'Rust at a weld'),
      ],
      why: 'What leaks inside is seen only from the end.',
    }),
    check({
      id: `${P}.gate`,
      title: 'Work the gate of the turntable',
      partName: 'Turntable gate',
      zone: 'turntable',
      method: 'operate',
      moves: BY_HAND,
      seconds: 5,
      criterion: 'Shuts by itself and latches.',
      symptoms: [
        crew.stops('gate-open', 'Does not stay shut'),
        crew.repairs('gate-stiff', 'Stiff'),
      ],
      fixes: { 'gate-stiff': ['Oil the hinge'] },
      why: 'Whoever runs the ladder steps back without looking.',
    }),
    check({
      id: `${P}.nozzle-patterns`,
      title: 'Turn the nozzle by hand through both patterns',
      partName: 'Nozzle patterns',
      zone: 'ladder-rear',
      method: 'operate',
      moves: BY_HAND,
      phases: ['weekly'],
      seconds: 10,
      criterion: 'Straight and fog, turns freely, no stone in it.',
      symptoms: [aerial.repairs('nozzle-stuck', 'Stuck or chipped')],
      why: 'At the tip nobody can free it.',
    }),
    check({
      id: `${P}.level`,
      title: 'Read the level at the turntable, both ways, on its legs',
      partName: 'Level on the legs',
      zone: 'aerial-controls',
      method: 'look',
      phases: ['before-use'],
      needs: ['outriggers-set', 'parking-brake-set', 'chocked'],
      seconds: 15,
      criterion: 'Within the green along and across, every pad carries.',
      symptoms: [aerial.stops('level-out', 'Outside the green')],
      cautions: [leg],
      why: 'A degree at the turntable is a metre at the tip.',
    }),
    check({
      id: `${P}.survey`,
      inUse: 'survey',
      title: 'Look at the ground where each leg comes down, and look up for lines',
      partName: 'Ground and lines at the set-up',
      zone: 'aerial-controls',
      method: 'look',
      phases: ['before-use'],
      seconds: 25,
      criterion:
        'Firm, no cover, drain or cellar under a pad; slope within the card; lines and branches clear of the whole sweep.',
      symptoms: [
        aerial.stops('ground-soft', 'Soft, hollow or too steep'),
        aerial.stops('lines-near', 'A line within reach of the ladder'),
        aerial.repairs('branches', 'Branches in the sweep', { condition: 'Set it up elsewhere.' }),
      ],
      fixes: { branches: ['Set up where it is clear'] },
      cautions: [
        caution('DANGER', 'Keep the distance from power lines that the law and their owner name.'),
      ],
      why: 'Once it is up, the ground is what it stands on and the line is what it falls into.',
    }),
    check({
      id: `${P}.lamps.first`,
      title: 'Switch on the lamps of ladder and legs before anything moves',
      partName: 'Lamps of ladder and legs',
      zone: 'aerial-controls',
      method: 'operate',
      moves: moved('aerial-lamps', 'electric', [], { clear: 'hand' }),
      phases: ['before-use'],
      when: ['dark'],
      needs: ['key-on', 'parking-brake-set'],
      seconds: 8,
      criterion: 'Legs, turntable, tip: all lit.',
      symptoms: [
        aerial.repairs('aerial-lamp', 'One is out', {
          condition: 'A hand lamp at that station, and somebody who holds it.',
        }),
      ],
      why: 'A leg comes down on the foot that nobody saw.',
    }),
  ];
}
