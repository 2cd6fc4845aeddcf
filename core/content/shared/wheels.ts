import type { Check } from '../../catalogue';
import { caution, check, leak, symptom } from '../write';

export function wheelChecks(prefix: string, zone: string, each: string): Check[] {
  return [
    check({
      id: `${prefix}.wheel.rim`,
      title: 'Look over rim and disc',
      partName: 'Rim and disc',
      zone,
      each,
      method: 'look',
      needs: ['lamp'],
      seconds: 8,
      criterion: 'No crack, no bend, no weld, rim seated all round.',
      source: '49 CFR 393.205(a)',
      symptoms: [
        symptom('rim-cracked', 'Crack in rim or disc', 'wheels', 'stop'),
        symptom('rim-bent', 'Bent rim edge, tyre holds', 'wheels', 'repair'),
        symptom('rim-welded', 'Welded or brazed', 'wheels', 'stop'),
      ],
      why: 'Cracks start at the hand holes and bolt holes and run.',
    }),
    check({
      id: `${prefix}.wheel.nuts`,
      title: 'Look at every nut, feel for a loose one',
      partName: 'Wheel nuts',
      zone,
      each,
      method: 'feel',
      phases: ['pre-trip', 'post-trip'],
      needs: ['gloves', 'lamp'],
      seconds: 12,
      criterion: 'All there and tight. No rust streak, no bright slip mark.',
      source: '49 CFR 393.205(c)',
      symptoms: [
        symptom('nut-one', 'One nut loose or missing', 'wheels', 'stop'),
        symptom('nut-several', 'Two or more loose or missing', 'wheels', 'stop'),
        symptom('nut-streak', 'Rust streak or shiny mark, nuts tight', 'wheels', 'repair', {
          condition: 'Look again at the first stop.',
        }),
      ],
      cautions: [
        caution('CAUTION', 'Hubs may be hot after a run. Feel with the back of the hand.'),
      ],
      why: 'A streak from a nut means that it has moved.',
    }),
    check({
      id: `${prefix}.wheel.hub`,
      title: 'Look for oil at hub and inner wheel',
      partName: 'Hub and inner wheel',
      zone,
      each,
      method: 'look',
      needs: ['lamp'],
      seconds: 9,
      criterion: 'Hub dry, oil at the mark where there is a sight glass, no grease on the lining.',
      source: '49 CFR 393.207, 396.5(b)',
      symptoms: [
        leak('hub-leak', 'Oil at hub or wheel seal', 'wheels', ['repair', 'stop', 'stop']),
        symptom('hub-level-low', 'Sight glass below the mark', 'wheels', 'repair', {
          condition: 'Top up before leaving and read it again within 50 km.',
          bars: 'before-leaving',
        }),
      ],
      why: 'A dry bearing locks a wheel or sheds it.',
    }),
  ];
}
