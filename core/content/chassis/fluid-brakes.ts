import { LAW, type Check } from '../../catalogue';
import { liningReading } from '../shared/foundation-brakes';
import { BY_HAND, check, faultsOf, leak, moved } from '../write';
import { ofChassis } from './of-chassis';
import { truckSpecification } from './specification';

const { stops, repairs } = faultsOf('brakes', ['road']);

/** Fluid brakes have no tanks and no compressor. */
const AIR = [
  'air.tanks',
  'air.drain',
  'air.dryer',
  'air.compressor',
  'air.full-charge',
  'air.leak-released',
  'air.leak-applied',
  'air.warning',
  'air.automatic',
  'air.build-up',
  'air.cut-in',
  'coupling.gladhands',
  'brake.chamber',
  'brake.slack',
  'brake.trailer',
  'month.stroke',
  'month.air-dryer',
];
/** What an air brake says of hoses and linings is not so with fluid: it does not hiss, and its lining may be thinner. */
const OF_FLUID: Readonly<
  Record<string, Partial<Check> & { readonly words: Readonly<Record<string, string>> }>
> = {
  'brake.hose': {
    criterion: 'No chafe to the fabric, no bulge, dry, clear of wheel and exhaust.',
    words: { 'hose-leak': 'Hose or fitting wet with brake fluid' },
  },
  'brake.lining': {
    criterion: 'Lining at least 1.6 mm (1/16 in), dry; drum or disc without cracks to its edge.',
    source: LAW.liningHydraulic.source,
    reading: liningReading([
      { side: 'below', limit: { from: 'law', ...LAW.liningHydraulic }, symptom: 'lining-thin' },
    ]),
    words: { 'lining-thin': 'Lining under 1.6 mm (1/16 in) or loose' },
  },
};
/** What stops it is then on the ground. */
const BRAKE_FLUID = leak('brake-fluid-drops', 'Brake fluid at or under a wheel', 'brakes', [
  'stop',
  'stop',
  'stop',
]);

/** Everything that a chassis with fluid brakes is asked, but for what is its own. */
export function ofFluidBraked(prefix: string, without: readonly string[] = []) {
  const chassis = ofChassis(prefix, [...AIR, ...without], 'shaft-or-wheels');
  return {
    ...chassis,
    checks: chassis.checks.map((each): Check => {
      const { words, ...own } = OF_FLUID[each.id.slice(prefix.length + 1)] ?? {};
      return {
        ...each,
        ...own,
        symptoms: [
          ...each.symptoms.map((of) => ({ ...of, words: words?.[of.id] ?? of.words })),
          ...(each.id === `${prefix}.approach.ground` ? [BRAKE_FLUID] : []),
        ],
      };
    }),
  };
}

/** Figures of a chassis without compressed air. */
export const fluidBrakeSpecification = truckSpecification.filter(
  ({ kind, id }) => kind !== 'pressure' || id.startsWith('cold') || id.startsWith('oil'),
);

/** Fluid, pedal and what helps the foot: tried before the first roll. */
export function fluidBrakeChecks(prefix: string): Check[] {
  const P = prefix;
  return [
    check({
      id: `${P}.brake.fluid`,
      title: 'Read the brake fluid',
      partName: 'Brake fluid',
      zone: 'engine-bay',
      method: 'look',
      needs: ['engine-off'],
      seconds: 7,
      criterion: 'Between the marks, clear.',
      source: '49 CFR 393.51(b)',
      symptoms: [
        stops('fluid-low', 'Below the lower mark'),
        repairs('fluid-dark', 'Dark or cloudy'),
      ],

      why: 'Fluid that is gone has leaked out somewhere.',
    }),
    check({
      id: `${P}.brake.booster-level`,
      title: 'Press the pedal off, then read the booster',
      partName: 'Brake booster fluid',
      zone: 'engine-bay',
      method: 'look',
      needs: ['engine-off'],
      seconds: 20,
      criterion: 'Pedal pressed until it goes hard, then at the mark.',
      symptoms: [
        repairs('booster-low', 'Low'),
        leak('booster-leak', 'Oil at the booster', 'brakes', ['repair', 'stop', 'stop']),
      ],
      why: 'Read under pressure it shows too little.',
    }),
    check({
      id: `${P}.brake.pedal-hold`,
      title: 'Hold the pedal down hard',
      partName: 'Brake pedal hold',
      zone: 'brake-tests',
      method: 'operate',
      moves: BY_HAND,
      precedes: ['rolling'],
      needs: ['engine-off', 'chocked', 'pedal-held-by-driver'],
      seconds: 15,
      criterion: 'Stays where it is for ten seconds.',
      symptoms: [stops('pedal-sinks', 'Sinks'), repairs('pedal-low', 'Lower than usual')],
      why: 'A pedal that sinks is a leak inside.',
    }),
    check({
      id: `${P}.brake.back-up`,
      title: 'Engine off, press once: back-up pump',
      partName: 'Back-up brake pump',
      zone: 'brake-tests',
      method: 'listen',
      precedes: ['rolling'],
      needs: ['engine-off', 'key-on', 'chocked'],
      seconds: 8,
      criterion: 'It hums and the lamp comes on.',
      symptoms: [stops('back-up-dead', 'Silent')],
      why: 'It is the brake when the engine dies.',
    }),
    check({
      id: `${P}.brake.booster-start`,
      title: 'Hold the pedal and start the engine',
      partName: 'Brake booster at start',
      zone: 'brake-tests',
      method: 'operate',
      moves: moved('engine', 'electric', ['road'], {
        held: 'brake-and-chocks',
        clear: 'hand',
        ends: 'idling',
      }),
      does: ['start'],
      precedes: ['rolling'],
      needs: ['engine-off', 'key-on', 'chocked', 'parking-brake-set', 'pedal-held-by-driver'],
      seconds: 12,
      criterion: 'Drops a little as the booster comes.',
      symptoms: [stops('no-boost', 'Does not drop')],
      why: 'Without it one leg does not stop eight tonnes.',
    }),
  ];
}
