import type { Check } from '../../catalogue';
import { BY_HAND, check, symptom } from '../write';

const BOTH = ['pre-trip', 'post-trip'] as const;

/** The bed and what lies on it. */
export const bedChecks: Check[] = [
  check({
    id: 'tag-trailer.load.deck',
    title: 'Look over the deck boards',
    partName: 'Deck boards',
    zone: 'curb-front',
    method: 'look',
    phases: BOTH,
    seconds: 8,
    criterion: 'No board broken, nails down, swept.',
    source: '49 CFR 393.84',
    symptoms: [
      symptom('board-broken', 'Board broken', 'load', 'repair', {
        condition: 'No wheel load on that board.',
        many: { from: 2, harm: 'stop', because: 'the deck does not carry' },
      }),
      symptom('deck-loose', 'Stones, mud or ice on it', 'load', 'repair', {
        condition: 'Sweep it before leaving.',
        bars: 'before-leaving',
      }),
    ],
    fixes: { 'deck-loose': ['Sweep it'] },
    why: 'Ice from a deck goes through a windscreen.',
  }),
  check({
    id: 'tag-trailer.load.anchors',
    title: 'Pull at the anchor rings',
    partName: 'Anchor rings',
    zone: 'curb-front',
    method: 'shake',
    needs: ['gloves'],
    seconds: 9,
    criterion: 'Welds whole, rings not worn thin.',
    source: '49 CFR 393.102, 393.104',
    symptoms: [
      symptom('ring-cracked', 'Ring or weld cracked', 'load', 'repair', {
        condition: 'Do not tie to that ring.',
        many: { from: 2, harm: 'stop', because: 'the load cannot be held' },
      }),
    ],
    why: 'A chain holds no more than its ring.',
  }),
  check({
    id: 'tag-trailer.load.secured',
    title: 'Pull every strap and chain of the load',
    partName: 'Straps and chains of the load',
    zone: 'curb-front',
    method: 'feel',
    phases: BOTH,
    needs: ['gloves'],
    seconds: 20,
    criterion: 'Tight, binders locked and tied, edges guarded; or the deck is empty.',
    source: '49 CFR 393.100 to 393.136',
    symptoms: [
      symptom('load-moves', 'Load can move', 'load', 'stop'),
      symptom('strap-cut', 'Strap cut, chain link worn', 'load', 'stop'),
      symptom('binder-free', 'Binder handle not tied', 'load', 'repair', {
        condition: 'Tie it before leaving.',
        bars: 'before-leaving',
      }),
    ],
    fixes: {
      'load-moves': ['Tighten it'],
      'strap-cut': ['Swap the strap'],
      'binder-free': ['Tie the handle'],
    },
    why: 'Loads settle and go slack in the first 80 km.',
  }),
  check({
    id: 'tag-trailer.records.decals',
    title: 'Read unit number and rating plate',
    partName: 'Unit number and rating plate',
    zone: 'curb-front',
    method: 'look',
    seconds: 5,
    criterion: 'Number and rating legible, plate riveted on.',
    source: '49 CFR 390.21',
    symptoms: [symptom('decal-unreadable', 'Cannot be read', 'records', 'watch')],
    why: 'The rating decides what you may load.',
  }),
  check({
    id: 'tag-trailer.body.box',
    title: 'Try the latch of the chain box',
    partName: 'Chain box latch',
    zone: 'curb-front',
    method: 'operate',
    moves: BY_HAND,
    phases: BOTH,
    seconds: 5,
    criterion: 'Latched, chains inside.',
    symptoms: [
      symptom('box-open', 'Does not latch', 'body', 'repair', {
        condition: 'Tie it shut before leaving.',
        bars: 'before-leaving',
      }),
    ],
    fixes: { 'box-open': ['Tie it shut'] },
    why: 'A chain on the road wrecks the next car.',
  }),
  check({
    id: 'tag-trailer.body.damage',
    title: 'Look for fresh damage and drops below the bed',
    partName: 'Ground and damage below the bed',
    zone: 'curb-front',
    method: 'look',
    phases: BOTH,
    needs: ['lamp'],
    seconds: 7,
    criterion: 'Nothing new since the last report.',
    symptoms: [
      symptom('damage-new', 'New damage, nothing loose', 'body', 'watch'),
      symptom('damage-sharp', 'Sharp or hanging part', 'body', 'repair', {
        condition: 'Tie it back before leaving.',
        bars: 'before-leaving',
      }),
    ],
    why: 'Trailers are hit while they stand alone.',
  }),
];
