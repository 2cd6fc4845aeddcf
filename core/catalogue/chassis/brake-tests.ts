import type { Band, Check, Reading } from '../types';
import { caution, check, symptom } from '../write';

const LEAK_SOURCE = '49 CFR 570.57(a)';

function leakBands(alone: number, towing: number): Band[] {
  return [
    {
      side: 'above',
      only: 'single',
      limit: {
        from: 'law',
        value: alone,
        unit: 'psi/min',
        source: LEAK_SOURCE,
      },
      symptom: 'leak-over',
    },
    {
      side: 'above',
      only: 'combination',
      limit: {
        from: 'law',
        value: towing,
        unit: 'psi/min',
        source: LEAK_SOURCE,
      },
      symptom: 'leak-over',
    },
  ];
}

function leakReading(ask: string, alone: number, towing: number): Reading {
  return {
    kind: 'pressureRate',
    ask,
    required: true,
    plausible: [0, 60, 'psi/min'],
    uncertainty: [0.3, 'psi/min'],
    bands: leakBands(alone, towing),
  };
}

const rolls = caution(
  'DANGER',
  'It can roll now. Chocks in, nobody near, a foot ready at the brake.',
);

export const brakeTestChecks: Check[] = [
  check({
    id: 'truck.air.full-charge',
    title: 'Let the air build up and read where the governor cuts out',
    zone: 'brake-tests',
    method: 'measure',
    needs: ['engine-idling', 'parking-brake-set'],
    helper: 'driver-only',
    seconds: 40,
    criterion: 'Cuts out in the band of the unit, usually 120 to 145 psi.',
    source: '49 CFR 393.50, 571.121 S5.1.1',
    reading: {
      kind: 'pressure',
      ask: 'Pressure at cut-out',
      required: true,
      plausible: [0, 200, 'psi'],
      uncertainty: [2, 'psi'],
      bands: [
        {
          side: 'above',
          limit: { from: 'specification', field: 'governorCutOutHigh' },
          symptom: 'cut-out-high',
        },
        {
          side: 'below',
          limit: { from: 'specification', field: 'governorCutOutLow' },
          symptom: 'cut-out-low',
        },
      ],
    },
    symptoms: [
      symptom('cut-out-high', 'Cuts out too high or never', 'brakes', 'stop'),
      symptom('cut-out-low', 'Cuts out too low', 'brakes', 'repair'),
    ],
    why: 'Every later test starts from full tanks.',
  }),
  check({
    id: 'truck.air.leak-released',
    title: 'Released leakage: one minute, brakes off',
    zone: 'brake-tests',
    method: 'measure',
    needs: ['engine-off', 'key-on', 'chocked', 'parking-brake-released', 'air-charged'],
    helper: 'driver-only',
    seconds: 75,
    criterion: 'At most 2 psi in a minute alone, 3 with a trailer, after settling.',
    source: LEAK_SOURCE,
    reading: leakReading('Pressure lost in one minute, brakes released', 2, 3),
    symptoms: [symptom('leak-over', 'Loses more than the limit', 'brakes', 'stop')],
    cautions: [rolls],
    why: 'A slow leak empties the tanks while you wait at the lights.',
  }),
  check({
    id: 'truck.air.leak-applied',
    title: 'Applied leakage: one minute, pedal held',
    zone: 'brake-tests',
    method: 'measure',
    needs: ['engine-off', 'key-on', 'chocked', 'parking-brake-released', 'air-charged'],
    helper: 'driver-only',
    seconds: 75,
    criterion: 'At most 3 psi in a minute alone, 4 with a trailer, after the first drop.',
    source: LEAK_SOURCE,
    reading: leakReading('Pressure lost in one minute, pedal held', 3, 4),
    symptoms: [symptom('leak-over', 'Loses more than the limit', 'brakes', 'stop')],
    cautions: [rolls],
    why: 'Chambers leak only when they work.',
  }),
  check({
    id: 'truck.air.warning',
    title: 'Fan the pedal until lamp and buzzer come on',
    zone: 'brake-tests',
    method: 'measure',
    needs: ['engine-off', 'key-on', 'chocked'],
    helper: 'driver-only',
    seconds: 20,
    criterion: 'Both at or above the pressure in the unit’s specification.',
    source: '49 CFR 393.51(c), 571.121 S5.1.5',
    reading: {
      kind: 'pressure',
      ask: 'Pressure when the warning came on',
      required: true,
      plausible: [0, 150, 'psi'],
      uncertainty: [1, 'psi'],
      bands: [
        {
          side: 'below',
          limit: { from: 'specification', field: 'lowPressureWarning' },
          symptom: 'warning-late',
        },
      ],
    },
    symptoms: [
      symptom('warning-late', 'Warns too late', 'brakes', 'stop'),
      symptom('warning-dead', 'Lamp or buzzer dead', 'brakes', 'stop'),
    ],
    why: 'It is your notice before the spring brakes lock.',
  }),
  check({
    id: 'truck.air.automatic',
    title: 'Keep fanning until the valves pop out',
    zone: 'brake-tests',
    method: 'measure',
    needs: ['engine-off', 'key-on', 'chocked'],
    helper: 'driver-only',
    seconds: 20,
    criterion: 'Parking and trailer valves close between 20 and 45 psi.',
    source: '49 CFR 393.43(b), 393.40',
    reading: {
      kind: 'pressure',
      ask: 'Pressure when the valves popped out',
      required: true,
      plausible: [0, 120, 'psi'],
      uncertainty: [1, 'psi'],
      bands: [
        {
          side: 'below',
          limit: {
            from: 'law',
            value: 20,
            unit: 'psi',
            source: '49 CFR 393.43(b)',
          },
          symptom: 'automatic-late',
        },
        {
          side: 'above',
          limit: {
            from: 'law',
            value: 45,
            unit: 'psi',
            source: '49 CFR 393.43(b)',
          },
          symptom: 'automatic-early',
        },
      ],
    },
    symptoms: [
      symptom('automatic-late', 'Close too late or not at all', 'brakes', 'stop'),
      symptom('automatic-early', 'Close too early', 'brakes', 'repair'),
    ],
    why: 'If the air is lost the springs must stop you.',
  }),
  check({
    id: 'truck.air.build-up',
    title: 'Time the build-up from 85 to 100 psi',
    zone: 'brake-tests',
    method: 'measure',
    needs: ['engine-idling', 'parking-brake-set'],
    helper: 'driver-only',
    seconds: 50,
    criterion: 'At most 45 s at operating speed.',
    source: '49 CFR 571.121 S5.1.1.1',
    reading: {
      kind: 'duration',
      ask: 'Seconds from 85 to 100 psi',
      required: true,
      plausible: [1, 900, 's'],
      uncertainty: [1, 's'],
      bands: [
        {
          side: 'above',
          limit: {
            from: 'law',
            value: 45,
            unit: 's',
            source: '49 CFR 571.121 S5.1.1.1',
          },
          symptom: 'build-up-slow',
        },
      ],
    },
    symptoms: [symptom('build-up-slow', 'Builds up too slowly', 'brakes', 'stop')],
    why: 'Down a hill you use air faster than a weak compressor gives.',
  }),
  check({
    id: 'truck.air.cut-in',
    title: 'Pump down in small steps, read where the governor cuts in',
    zone: 'brake-tests',
    method: 'measure',
    needs: ['engine-idling', 'parking-brake-set'],
    helper: 'driver-only',
    seconds: 30,
    criterion: 'Cuts in at 100 psi or more.',
    source: '49 CFR 570.57(b); unit specification',
    reading: {
      kind: 'pressure',
      ask: 'Pressure at cut-in',
      required: true,
      plausible: [0, 160, 'psi'],
      uncertainty: [2, 'psi'],
      bands: [
        {
          side: 'below',
          limit: { from: 'specification', field: 'governorCutInLow' },
          symptom: 'cut-in-low',
        },
      ],
    },
    symptoms: [symptom('cut-in-low', 'Cuts in too low', 'brakes', 'stop')],
    why: 'Too late a cut-in leaves half a tank on the hill.',
  }),
  check({
    id: 'truck.brake.parking',
    title: 'Tug gently against the parking brake',
    zone: 'brake-tests',
    method: 'operate',
    needs: ['engine-idling', 'parking-brake-set', 'air-charged'],
    helper: 'driver-only',
    seconds: 15,
    criterion: 'Holds in low gear.',
    source: '49 CFR 393.41',
    symptoms: [symptom('parking-slips', 'Creeps or rolls', 'brakes', 'stop')],
    cautions: [caution('DANGER', 'Take the chocks away only when everybody stands clear.')],
    why: 'It holds the truck while you stand in front of it.',
  }),
  check({
    id: 'truck.brake.trailer',
    title: 'Tug gently against the trailer brake',
    zone: 'brake-tests',
    method: 'operate',
    when: ['towing'],
    needs: ['engine-idling', 'parking-brake-released', 'air-charged'],
    helper: 'driver-only',
    seconds: 15,
    criterion: 'Trailer holds the truck.',
    source: '49 CFR 393.43',
    symptoms: [
      symptom('trailer-brake-none', 'Does not hold', 'brakes', 'stop', {
        takes: ['tow'],
      }),
    ],
    why: 'A trailer without brakes pushes you through the crossing.',
  }),
  check({
    id: 'truck.brake.service',
    title: 'Roll at walking pace and brake firmly',
    zone: 'brake-tests',
    method: 'operate',
    needs: ['engine-idling', 'parking-brake-released', 'air-charged'],
    helper: 'driver-only',
    seconds: 20,
    criterion: 'Stops straight, at once, without a pull.',
    source: '49 CFR 393.40, 393.52',
    symptoms: [
      symptom('pulls', 'Pulls to one side', 'brakes', 'stop'),
      symptom('late', 'Late or weak', 'brakes', 'stop'),
      symptom('squeals', 'Squeals, stops straight', 'brakes', 'watch'),
    ],
    cautions: [caution('WARNING', 'Yard clear ahead. Belt on.')],
    why: 'The last proof before the road.',
  }),
];
