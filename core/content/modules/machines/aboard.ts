import { check, faultsOf } from '../../write';
import type { Check } from '../../../catalogue';

const aboard = faultsOf('load', ['road']);
const { stops, repairs } = faultsOf('boom', ['dig']);

/** The chains that hold a machine on its trailer, corner by corner. */
export const tiedCheck = (P: string, why: string): Check =>
  check({
    id: `${P}.tied`,
    title: 'Pull at every chain that holds the machine',
    partName: 'Chains of the machine',
    zone: 'machine',
    each: 'corner',
    method: 'shake',
    phases: ['pre-trip', 'under-way'],
    needs: ['gloves', 'secured'],
    seconds: 8,
    criterion: 'Tight, binder locked, four corners and the boom.',
    source: '49 CFR 393.130',
    symptoms: [aboard.stops('chain-loose', 'Loose or missing', { fixLeaves: 'watch' })],
    fixes: { 'chain-loose': ['Tighten it', 'Add a chain'] },
    why,
  });

/** Tracks of steel or rubber. */
export const tracksCheck = (P: string): Check =>
  check({
    id: `${P}.tracks`,
    title: 'Look at tracks, shoes and tension',
    partName: 'Tracks, shoes and tension',
    zone: 'machine',
    each: 'track',
    method: 'look',
    phases: ['pre-trip', 'before-use', 'post-trip'],
    seconds: 12,
    criterion: 'Sag as the manual says, no broken shoe, no cord showing, no missing bolt.',
    symptoms: [
      stops('track-broken', 'Link, shoe or cord broken'),
      repairs('track-slack', 'Slack or tight'),
      repairs('shoe-bolt', 'Bolt missing'),
    ],
    why: 'A slack track comes off on the ramp.',
  });
