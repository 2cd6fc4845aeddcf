import type { Reading, SpecificationField, Symptom, System } from '../../catalogue';
import { symptom } from '../write';

/**
 * Grease points are counted on the card of the unit: whoever greases says how many took grease, and fewer than the card counts is a
 * fault. Without a count on the card the list of the manual stands.
 * @param field of the card, as `dumpGreasePoints`
 */
export function greasePoints(
  field: string,
  system: System,
  takes: Symptom['takes'],
): { readonly reading: Reading; readonly missed: Symptom; readonly field: SpecificationField } {
  return {
    reading: {
      kind: 'count',
      ask: 'Points that took grease',
      required: false,
      byCard: true,
      plausible: [0, 300, 'pieces'],
      uncertainty: [0, 'pieces'],
      bands: [{ side: 'below', limit: { from: 'specification', field }, symptom: 'points-missed' }],
    },
    missed: symptom('points-missed', 'Fewer points than the card counts', system, 'repair', {
      takes,
      condition: 'The missing ones are greased before the week is over.',
    }),
    field: { id: field, title: 'Grease points', kind: 'count' },
  };
}
