import { catalogue } from '@nazar/core/content';
import { toSi } from '@nazar/core/quantity';
import { garage, north, quay, station } from './depots';
import type { Card } from '@nazar/core/catalogue';
import { figuresOfModule, CARDS_OF_UNITS } from './cards';
import { demoId } from './demo-id';

export interface DemoUnit {
  readonly id: string;
  readonly number: string;
  readonly title: string;
  readonly plate: string;
  readonly moduleId: string;
  readonly fitted: readonly string[];
  readonly depotId: string;
  readonly specification: Readonly<Record<string, number>>;
  readonly card?: Card;
}

const psi = (value: number) => toSi(value, 'psi');
const groove = (value: number) => toSi(value, '32nds');

/** Figures of the cards; each unit has those that its equipment asks for. */
const FIGURES: Readonly<Record<string, number>> = {
  coldPressureSteer: psi(110),
  coldPressureDrive: psi(95),
  coldPressureTrailer: psi(90),
  treadNewSteer: groove(18),
  treadNewDrive: groove(26),
  treadNewTrailer: groove(16),
  oilPressureIdleLow: psi(12),
  coolantHigh: toSi(105, '°C'),
  transmissionHigh: toSi(120, '°C'),
  crankMost: 10,
  crankRest: 120,
  crankTries: 3,
  cabinLow: toSi(15, '°C'),
  cabinHigh: toSi(30, '°C'),
  clearDistance: 3,
  windMost: toSi(45, 'km/h'),
  ropeDiameterLeast: toSi(17.5, 'mm'),
  tieDownAngleLow: toSi(30, '°'),
  tieDownAngleHigh: toSi(60, '°'),
  chargeVoltageLow: 13.4,
  chargeVoltageHigh: 14.8,
  steeringFreePlay: toSi(14, '°'),
  steeringWheelDiameter: toSi(18, 'in'),
  powerSteering: 1,
  chamberSteer: 20,
  chamber: 30,
  longStrokeChambers: 0,
  discBrakes: 0,
  rotationResistant: 1,
  passengerSeats: 48,
  slopeMostWide: toSi(20, '°'),
  slopeMostNarrow: toSi(8, '°'),
  greasePoints: 18,
  dumpGreasePoints: 14,
  combiGreasePoints: 20,
  craneGreasePoints: 22,
  diggerGreasePoints: 16,
  aerialGreasePoints: 30,
  governorCutOutHigh: psi(145),
  governorCutOutLow: psi(115),
  governorCutInLow: psi(100),
  lowPressureWarning: psi(60),
  breakawayVoltageLow: 12.4,
  edgeDepthNew: toSi(150, 'mm'),
};

type Row = readonly [number: string, title: string, moduleId: string, fitted?: readonly string[]];

const LETTER: Readonly<Record<string, string>> = {
  [north.id]: 'N',
  [quay.id]: 'Q',
  [station.id]: 'S',
  [garage.id]: 'F',
};

function ofDepot(depotId: string, rows: readonly Row[]): DemoUnit[] {
  return rows.map(([number, title, moduleId, fitted = []]) => {
    const modules = [moduleId, ...fitted].flatMap(
      (id) => catalogue.modules.find((each) => each.id === id) ?? [],
    );
    const kind = modules[0]?.powered ? 'HD' : 'HT';
    return {
      id: demoId(`unit ${number}`),
      number,
      title,
      plate: modules[0]?.build === 'attachment' ? '' : `${kind} ${number} ${LETTER[depotId]}`,
      moduleId,
      fitted,
      depotId,
      specification: {
        ...Object.fromEntries(
          modules
            .flatMap(({ specification }) => specification)
            .flatMap(({ id }) => (FIGURES[id] === undefined ? [] : [[id, FIGURES[id]]])),
        ),
        ...figuresOfModule(moduleId),
        // Soft tyres for soft ground.
        ...(moduleId === 'light-utility' && { coldPressureSteer: psi(18) }),
      },
      ...(CARDS_OF_UNITS[number] && { card: CARDS_OF_UNITS[number] }),
    };
  });
}

export const units: readonly DemoUnit[] = [
  ...ofDepot(north.id, [
    ['214', 'flatbed truck', 'straight-truck-air'],
    ['218', 'flatbed truck', 'straight-truck-air'],
    ['223', 'stake truck', 'straight-truck-air'],
    ['226', 'plow truck', 'straight-truck-air', ['power-take-off', 'dump-body']],
    ['227', 'plow truck', 'straight-truck-air', ['power-take-off', 'dump-body', 'underbody-blade']],
    [
      '228',
      'combination truck',
      'straight-truck-air',
      ['power-take-off', 'dump-spreader-body', 'wetting-system'],
    ],
    ['232', 'heavy off-road tractor', 'off-road-tractor', ['front-winch']],
    ['233', 'light four-wheel drive', 'light-four-wheel-drive', ['front-winch']],
    ['231', 'off-road truck', 'off-road-cargo-truck', ['front-winch']],
    ['612', 'front plow', 'front-plow'],
    ['613', 'wing plow', 'wing-plow'],
    ['614', 'front plow', 'front-plow'],
    ['615', 'hopper spreader', 'slide-in-spreader', ['wetting-system']],
    ['616', 'hopper spreader', 'slide-in-spreader'],
    ['931', 'tag trailer', 'tag-trailer-air'],
    ['934', 'tag trailer', 'tag-trailer-air'],
    ['936', 'tilt trailer', 'tilt-trailer'],
    ['961', 'transporter', 'lowboy-transporter'],
    ['962', 'multi-line transporter', 'lowboy-transporter'],
    ['711', 'tracked digger', 'tracked-digger'],
    ['712', 'digger with outriggers', 'outrigger-digger'],
    ['241', 'road tractor', 'road-tractor'],
    ['901', 'utility vehicle', 'light-utility'],
  ]),
  ...ofDepot(quay.id, [
    ['305', 'goods truck', 'straight-truck-air'],
    ['307', 'goods truck', 'straight-truck-air'],
    [
      '311',
      'crane truck',
      'straight-truck-air',
      ['power-take-off', 'loader-crane', 'platform-body'],
    ],
    ['321', 'delivery truck', 'straight-truck-hydraulic', ['liftgate-column']],
    ['331', 'road tractor', 'road-tractor'],
    ['335', 'terminal tractor', 'terminal-tractor'],
    ['341', 'mobile crane', 'mobile-crane'],
    ['941', 'tag trailer', 'tag-trailer-air'],
    ['951', 'semi-trailer', 'semi-trailer', ['liftgate-rail']],
    ['952', 'semi-trailer', 'semi-trailer'],
    ['971', 'converter dolly', 'converter-dolly'],
  ]),
  ...ofDepot(station.id, [
    ['401', 'pumper', 'fire-pumper', ['front-winch']],
    ['402', 'ladder truck', 'fire-pumper', ['aerial-ladder']],
    ['403', 'brush truck', 'off-road-cargo-truck', ['front-winch']],
    ['902', 'utility vehicle', 'light-utility'],
  ]),
  ...ofDepot(garage.id, [
    ['801', 'school bus', 'school-bus'],
    ['802', 'school bus with lift', 'school-bus', ['passenger-lift']],
    ['803', 'school bus', 'school-bus'],
    ['821', 'city bus', 'transit-bus', ['passenger-lift']],
    ['822', 'coach', 'transit-bus'],
    ['841', 'passenger van with lift', 'passenger-van', ['passenger-lift']],
    ['903', 'utility vehicle', 'light-utility'],
  ]),
];

export function unitByNumber(number: string): DemoUnit {
  const found = units.find((unit) => unit.number === number);
  if (!found) throw new RangeError(`No demo unit ${number}.`);
  return found;
}

export interface DemoRig {
  readonly title: string;
  readonly numbers: readonly string[];
  readonly driver: string;
  /** How many of the last days it was walked on; from the beginning where nothing is said. */
  readonly lastDays?: number;
}

const lately = (title: string, numbers: readonly string[], driver: string): DemoRig => ({
  title,
  numbers,
  driver,
  lastDays: 9,
});

export const rigs: readonly DemoRig[] = [
  { title: '214 with trailer 931', numbers: ['214', '931'], driver: 'Imre Dahl' },
  { title: '218', numbers: ['218'], driver: 'Tove Brask' },
  { title: '223 with trailer 934', numbers: ['223', '934'], driver: 'Oskar Wendt' },
  { title: '305 with trailer 941', numbers: ['305', '941'], driver: 'Jonah Sterk' },
  { title: '307', numbers: ['307'], driver: 'Mirela Aune' },
  lately('226, plow, wing and spreader', ['226', '612', '613', '615'], 'Arvid Noll'),
  lately('227, plow and spreader', ['227', '614', '616'], 'Petra Lunde'),
  lately('228', ['228'], 'Arvid Noll'),
  lately('231', ['231'], 'Nela Korin'),
  lately('232 with transporter 962', ['232', '962'], 'Nela Korin'),
  lately('233 with winch', ['233'], 'Nela Korin'),
  {
    title: 'Digger 712 on trailer 934 behind 223',
    numbers: ['223', '934', '712'],
    driver: 'Oskar Wendt',
    lastDays: 0,
  },
  lately('241 with transporter 961 and digger 711', ['241', '961', '711'], 'Petra Lunde'),
  lately('901', ['901'], 'Nela Korin'),
  lately('311', ['311'], 'Ivo Stamm'),
  lately('321', ['321'], 'Lene Hauk'),
  lately('331 with semi-trailer 951', ['331', '951'], 'Tarik Brun'),
  lately('335 with semi-trailer 952', ['335', '952'], 'Ivo Stamm'),
  lately('341', ['341'], 'Lene Hauk'),
  lately('401', ['401'], 'Marit Sund'),
  lately('402', ['402'], 'Joren Falk'),
  lately('403', ['403'], 'Silje Orre'),
  lately('801', ['801'], 'Gustav Ree'),
  lately('802', ['802'], 'Nina Aasen'),
  lately('803', ['803'], 'Gustav Ree'),
  lately('821', ['821'], 'Paul Ekker'),
  lately('841', ['841'], 'Nina Aasen'),
  lately('822', ['822'], 'Paul Ekker'),
  lately('902', ['902'], 'Silje Orre'),
  lately('903', ['903'], 'Nina Aasen'),
];
