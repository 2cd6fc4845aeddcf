import type { Capability, Check, SpecificationField, System } from '../../catalogue';
import { check, faultsOf } from '../write';

/** What the card of a machine says of wind. */
export const windField: SpecificationField = {
  id: 'windMost',
  title: 'Wind in which it may work, most',
  kind: 'speed',
};

interface Windy {
  readonly prefix: string;
  readonly zone: string;
  readonly system: System;
  readonly takes: readonly Capability[];
}

/** Wind at the height of the boom, before anything is raised into it. */
export function windCheck({ prefix, zone, system, takes }: Windy): Check {
  const { stops, repairs } = faultsOf(system, takes);
  return check({
    id: `${prefix}.wind`,
    inUse: 'survey',
    title: 'Read the wind at the place of work',
    partName: 'Wind at the place of work',
    zone,
    method: 'look',
    phases: ['before-use'],
    seconds: 10,
    criterion:
      'Below what the card allows, gusts included; what hangs or is carried catches it too.',
    reading: {
      kind: 'speed',
      ask: 'Wind, with its gusts',
      required: false,
      byCard: true,
      plausible: [0, 200, 'km/h'],
      uncertainty: [3, 'km/h'],
      bands: [
        {
          side: 'above',
          limit: { from: 'specification', field: 'windMost' },
          symptom: 'wind-over',
        },
      ],
    },
    symptoms: [
      stops('wind-over', 'Above what the card allows'),
      repairs('wind-gusts', 'Gusts come near it', {
        condition: 'Watch it while you work, and bring it down when it rises.',
      }),
    ],
    why: 'Up there it blows twice as hard as where you stand.',
  });
}
