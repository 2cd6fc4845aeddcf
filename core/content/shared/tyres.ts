import type { LegalFigure, Check, Reading } from '../../catalogue';
import { check, symptom } from '../write';

/** Pressure is judged cold against the placard of the axle (unit specification). */
function pressureReading(field: string, required: boolean): Reading {
  return {
    kind: 'pressure',
    ask: 'Gauge the cold tyre',
    required,
    plausible: [0, 170, 'psi'],
    uncertainty: [2, 'psi'],
    bands: [
      {
        side: 'below',
        limit: { from: 'specification', field, share: 0.5 },
        symptom: 'pressure-half',
      },
      {
        side: 'below',
        limit: { from: 'specification', field, share: 0.8 },
        symptom: 'pressure-run-flat',
      },
      {
        side: 'below',
        limit: { from: 'specification', field, share: 0.92 },
        symptom: 'pressure-low',
      },
      {
        side: 'above',
        limit: { from: 'specification', field, share: 1.15 },
        symptom: 'pressure-high',
      },
    ],
  };
}

const pressureSymptoms = [
  symptom('pressure-half', 'Half the cold pressure or less', 'tyres', 'stop'),
  symptom('pressure-run-flat', 'Under four fifths of the cold pressure', 'tyres', 'stop'),
  symptom('pressure-low', 'Below the placard', 'tyres', 'repair', {
    condition: 'Fill it to the placard before loading and gauge it again.',
  }),
  symptom('pressure-high', 'Well above the placard when cold', 'tyres', 'watch'),
];

const softTyre = {
  signal: 'WARNING',
  words: 'Do not fill a tyre that has run soft. A tyre service looks inside first.',
} as const;

export function pressureCheck(
  prefix: string,
  zone: string,
  each: string,
  field: string,
  required: boolean,
): Check {
  return check({
    id: `${prefix}.tyre.pressure-${each}`,
    title: 'Gauge the pressure',
    partName: 'Tyre pressure',
    zone,
    each,
    method: 'measure',
    // After a run a tyre is warm: the placard speaks of a cold one. Each morning the thump may be followed by the gauge at every tyre.
    phases: required ? ['pre-trip'] : ['weekly'],
    needs: ['pressure-gauge'],
    seconds: 22,
    criterion: 'Cold, before the run: at the placard of this axle, not more than 8 % under it.',
    source: '49 CFR 393.75(i)',
    reading: pressureReading(field, required),
    symptoms: pressureSymptoms,
    fixes: {
      'pressure-low': ['Fill to the placard when it is less than a fifth low and the tyre is cold'],
    },
    cautions: [softTyre],
    why: 'A tyre loses its shape long before it looks flat.',
  });
}

export function thumpCheck(prefix: string, zone: string, each: string, field: string): Check {
  return check({
    id: `${prefix}.tyre.thump-${each}`,
    title: each === 'dual' ? 'Thump each tyre by itself' : 'Thump the tyre',
    partName: each === 'dual' ? 'Sound of each tyre' : 'Sound of the tyre',
    zone,
    each,
    method: 'thump',
    needs: ['thumper'],
    seconds: 7,
    criterion: 'A sharp bounce and a ring. A dull thud asks for the gauge.',
    source: '49 CFR 393.75(a)(3)',
    reading: {
      ...pressureReading(field, false),
      ask: 'Sounded dull? Gauge it',
    },
    symptoms: [
      symptom('dull-thud', 'Dull thud, no gauge at hand', 'tyres', 'stop', {
        condition: 'Gauge it before it moves.',
        bars: 'before-leaving',
      }),
      ...pressureSymptoms,
    ],
    cautions: [softTyre],
    why: 'The soft tyre of a pair leans on its neighbour and looks well.',
  });
}

/** Least groove depth; the smallest of several counts. */
export function treadCheck(
  prefix: string,
  zone: string,
  each: string,
  limit: LegalFigure,
  newField: string,
  required: boolean,
): Check {
  return check({
    id: `${prefix}.tyre.tread-${each}`,
    title: required ? 'Measure the tread' : 'Look at the tread across its breadth',
    partName: 'Tread',
    zone,
    each,
    method: required ? 'measure' : 'look',
    phases: ['pre-trip'],
    needs: required ? ['tread-gauge', 'lamp'] : ['lamp'],
    seconds: required ? 25 : 9,
    criterion: `Smallest of several grooves at least ${limit.value}/32 in, worn evenly.`,
    source: limit.source,
    reading: {
      kind: 'depth',
      ask: 'Smallest groove you find',
      required,
      plausible: [0, 40, '32nds'],
      neverAbove: newField,
      uncertainty: [0.4, '32nds'],
      bands: [
        {
          side: 'below',
          limit: { from: 'law', ...limit },
          symptom: 'tread-worn-out',
        },
        {
          side: 'below',
          limit: {
            from: 'house',
            value: limit.value + 1,
            unit: '32nds',
            source: 'one step above the legal limit',
          },
          symptom: 'tread-near-limit',
        },
      ],
    },
    symptoms: [
      symptom('tread-worn-out', 'Tread below the limit', 'tyres', 'stop'),
      symptom('tread-near-limit', 'Tread close to the limit', 'tyres', 'watch'),
      symptom('tread-one-edge', 'Worn on one edge', 'tyres', 'repair'),
      symptom('tread-patches', 'Worn in patches', 'tyres', 'repair'),
    ],
    why: 'Tread is grip in the wet, and its wear tells what is wrong above it.',
  });
}

export function tyreBodyChecks(prefix: string, zone: string, each: string): Check[] {
  return [
    check({
      id: `${prefix}.tyre.walls`,
      title: 'Look over both walls of the tyre',
      partName: 'Tyre walls',
      zone,
      each,
      method: 'look',
      phases: ['pre-trip', 'post-trip'],
      needs: ['lamp'],
      seconds: 9,
      criterion: 'No bulge, no cut to the cord, no lifting tread, nothing driven in.',
      source: '49 CFR 393.75(a)',
      symptoms: [
        symptom('cord-showing', 'Cord or belt shows', 'tyres', 'stop'),
        symptom('bulge', 'Bulge or lifting tread', 'tyres', 'stop'),
        symptom('cut-shallow', 'Cut in the rubber, cord covered', 'tyres', 'watch'),
        symptom('object-in', 'Nail, bolt or stone driven in', 'tyres', 'repair', {
          condition: 'Leave it in. Gauge the tyre before leaving and again within 30 km.',
          bars: 'before-leaving',
        }),
      ],
      why: 'A wall that is cut to the cord can burst at any speed.',
    }),
    check({
      id: `${prefix}.tyre.valve`,
      title: 'Feel the valve stem and its cap',
      partName: 'Valve stem and cap',
      zone,
      each,
      method: 'feel',
      needs: ['gloves'],
      seconds: 5,
      criterion: 'Stem straight and clear of the wheel, cap on, no hiss.',
      symptoms: [
        symptom('valve-hiss', 'It hisses', 'tyres', 'stop'),
        symptom('valve-rubs', 'Stem bent or rubbing', 'tyres', 'repair'),
        symptom('valve-cap-lost', 'Cap missing', 'tyres', 'watch'),
      ],
      fixes: { 'valve-cap-lost': ['Put a cap on'] },
      why: 'A rubbing stem lets a tyre down at the far end of the route.',
    }),
  ];
}

/** Between two tyres of a pair: only where the axles of the unit have two. */
export function betweenDualsCheck(prefix: string, zone: string): Check {
  return check({
    id: `${prefix}.tyre.between-duals`,
    title: 'Look between the two tyres',
    partName: 'Gap between the duals',
    zone,
    each: 'pair',
    method: 'look',
    phases: ['pre-trip', 'post-trip'],
    needs: ['lamp'],
    seconds: 7,
    criterion: 'Daylight between them, nothing stuck, same height.',
    source: '49 CFR 393.75(a)(3)',
    symptoms: [
      symptom('duals-touch', 'They touch', 'tyres', 'stop'),
      symptom('duals-object', 'Stone or timber stuck', 'tyres', 'stop'),
      symptom('duals-uneven', 'One clearly lower', 'tyres', 'repair'),
    ],
    fixes: { 'duals-object': ['Take the stone out with the bar'] },
    why: 'A stone from between duals goes through a windscreen.',
  });
}
