import { strokeReading } from '../shared/foundation-brakes';
import type { Check, Phase } from '../../catalogue';
import { caution, check, faultsOf, moved } from '../write';

const P = 'truck';
const WEEKLY: readonly Phase[] = ['weekly'];
const MONTHLY: readonly Phase[] = ['monthly'];
const ON_THE_WAY: readonly Phase[] = ['under-way'];
const engine = faultsOf('engine');
const wheels = faultsOf('wheels');
const tyres = faultsOf('tyres');
const brakes = faultsOf('brakes');
const electrical = faultsOf('electrical');
const lamps = faultsOf('lamps');
const body = faultsOf('body');
const traffic = caution('WARNING', 'Stay off the traffic side. Vest on, beacon on.');

/** On the way: what warms, settles and comes loose. */
const underWay: Check[] = [
  check({
    id: `${P}.stop.hubs`,
    title: 'Feel hubs and drums with the back of the hand',
    partName: 'Heat of hubs and drums',
    zone: 'driver-front-wheel',
    each: 'wheel-end',
    method: 'feel',
    phases: ON_THE_WAY,
    seconds: 5,
    criterion: 'All about equally warm, none too hot to hold.',
    symptoms: [
      wheels.stops('hub-hot', 'One much hotter than the others'),
      wheels.repairs('hub-warm', 'One a little warmer', {
        condition: 'Feel it again at the next stop.',
      }),
    ],
    cautions: [caution('CAUTION', 'Near it first, then on it.')],
    why: 'A brake that drags or a bearing that dries is felt before it smokes.',
  }),
  check({
    id: `${P}.stop.tyres`,
    title: 'Thump and look at every tyre',
    partName: 'Tyres',
    zone: 'driver-front-wheel',
    each: 'tyre',
    method: 'thump',
    phases: ON_THE_WAY,
    needs: ['thumper'],
    seconds: 5,
    criterion: 'Rings, no bulge, nothing driven in.',
    source: '49 CFR 392.9, 396.13',
    symptoms: [
      tyres.stops('soft', 'Soft or bulged'),
      tyres.repairs('object', 'Something driven in', {
        condition: 'Gauge it now and at the next stop.',
      }),
    ],
    why: 'What went in at the gate is flat by noon.',
  }),
  check({
    id: `${P}.stop.lamps`,
    title: 'Wipe and look at lamps and reflectors',
    partName: 'Lamps and reflectors',
    zone: 'rear',
    method: 'clean',
    phases: ON_THE_WAY,
    needs: ['rag', 'lamps-on'],
    seconds: 20,
    criterion: 'All lit and clean.',
    symptoms: [
      lamps.repairs('lamp-out', 'One out', {
        condition: 'Daylight only until it is lit again.',
        bars: 'dark',
        worse: [{ in: 'dark', harm: 'stop', because: 'followers cannot see it in the dark' }],
      }),
      lamps.repairs('covered', 'Covered in dirt or snow', {
        condition: 'Clear it before leaving.',
        bars: 'before-leaving',
        worse: [{ in: 'dark', harm: 'stop', because: 'followers cannot see it in the dark' }],
      }),
    ],
    fixes: { covered: ['Wipe it'] },
    cautions: [traffic],
    why: 'Spray covers them in an hour.',
  }),
  check({
    id: `${P}.stop.leaks`,
    title: 'Look beneath for a fresh drop',
    partName: 'Ground beneath',
    zone: 'driver-side',
    method: 'look',
    phases: ON_THE_WAY,
    seconds: 8,
    criterion: 'Nothing that was not there in the yard.',
    symptoms: [
      engine.repairs('fresh-drop', 'Fresh drops', { condition: 'Look again at the next stop.' }),
      engine.stops('fresh-stream', 'Runs'),
    ],
    why: 'Warm seals leak what cold ones hold.',
  }),
  check({
    id: `${P}.stop.gauges`,
    title: 'Read every gauge against this morning',
    partName: 'Gauges',
    zone: 'seat',
    method: 'look',
    phases: ON_THE_WAY,
    seconds: 10,
    criterion: 'As in the yard, none creeping.',
    symptoms: [
      engine.stops('gauge-red', 'One in the red'),
      engine.repairs('gauge-creeps', 'One creeps', {
        condition: 'Watch it; stop when it leaves its band.',
      }),
    ],
    why: 'A gauge that creeps says when it will stop you.',
  }),
  check({
    id: `${P}.stop.handling`,
    title: 'How did it drive: pull, shimmy, noise under load, slip?',
    partName: 'Handling on the road',
    zone: 'seat',
    method: 'listen',
    phases: ON_THE_WAY,
    seconds: 12,
    criterion: 'Straight with a light hand, no shake, no new noise, pulls as it should.',
    symptoms: [
      faultsOf('steering').stops('drives-pull', 'Pulls hard, or shakes in the hands'),
      faultsOf('steering').repairs('drives-wander', 'Pulls or shakes a little', {
        condition: 'Slower, and looked at tonight.',
      }),
      engine.repairs('drives-noise', 'A new noise under load'),
      engine.repairs('drives-slip', 'Slips: the engine races and it does not', {
        condition: 'No hill and no trailer until it was looked at.',
      }),
      brakes.stops('drives-brakes', 'Pulls to one side or grinds when it brakes'),
    ],
    why: 'What you felt on the road nobody can see in the yard.',
  }),
  check({
    id: `${P}.stop.oil-pressure`,
    title: 'Read the oil pressure at warm idle',
    partName: 'Oil pressure at warm idle',
    zone: 'seat',
    method: 'look',
    phases: ON_THE_WAY,
    needs: ['engine-warm', 'engine-idling', 'parking-brake-set'],
    seconds: 8,
    criterion: 'Not under what the card allows at idle.',
    reading: {
      kind: 'pressure',
      ask: 'Oil pressure on the gauge',
      required: false,
      byCard: true,
      plausible: [0, 150, 'psi'],
      uncertainty: [2, 'psi'],
      bands: [
        {
          side: 'below',
          limit: { from: 'specification', field: 'oilPressureIdleLow' },
          symptom: 'oil-pressure-low',
        },
      ],
    },
    symptoms: [
      engine.stops('oil-pressure-low', 'Under what the card allows'),
      engine.stops('oil-pressure-lamp', 'The lamp lights at idle'),
      engine.repairs('oil-pressure-falls', 'Lower than yesterday, still in its band'),
    ],
    why: 'Cold it always looks well.',
  }),
  temperatureUnderWay({
    of: 'coolant',
    partName: 'Coolant temperature',
    field: 'coolantHigh',
    most: 140,
    symptoms: [
      engine.stops('coolant-hot', 'Above what the card allows, or in the red'),
      engine.repairs('coolant-cold', 'Does not come to its temperature'),
    ],
    cautions: [
      caution('DANGER', 'Never open a hot cooling system. Steam and coolant burn at once.'),
    ],
    why: 'It boils on the hill where nobody can stop.',
  }),
  temperatureUnderWay({
    of: 'transmission',
    partName: 'Transmission temperature',
    field: 'transmissionHigh',
    most: 200,
    symptoms: [
      engine.stops('transmission-hot', 'Above what the card allows, or its lamp lights'),
      engine.repairs('transmission-rises', 'Higher than on other days, still in its band'),
    ],
    why: 'Oil that was burnt once slips on every hill after it.',
  }),
  check({
    id: `${P}.stop.ice`,
    title: 'Knock ice and snow off steps, lamps and wheels',
    partName: 'Ice on steps, lamps and wheels',
    zone: 'rear',
    method: 'clean',
    phases: ON_THE_WAY,
    when: ['freezing'],
    seconds: 30,
    criterion: 'No lump that can fall off or lock a wheel.',
    symptoms: [
      body.repairs('ice-lumps', 'Cannot be removed', {
        condition: 'Slow until it has thawed.',
        mostKmh: 60,
      }),
    ],

    why: 'A lump from a mud flap breaks a windscreen.',
  }),
];

/** Weekly and monthly, beside the daily walk. */
const byCalendar: Check[] = [
  check({
    id: `${P}.week.nut-marks`,
    title: 'Look at the torque marks of every wheel',
    partName: 'Torque marks of the wheels',
    zone: 'driver-front-wheel',
    each: 'wheel-end',
    method: 'look',
    phases: WEEKLY,
    seconds: 6,
    criterion: 'Every mark in line.',
    symptoms: [
      wheels.stops('mark-turned', 'A mark has turned'),
      wheels.watches('mark-gone', 'Marks cannot be read'),
    ],
    why: 'A nut turns long before it is loose to the hand.',
  }),
  check({
    id: `${P}.week.battery`,
    title: 'Clean and tighten the battery terminals',
    partName: 'Battery terminals',
    zone: 'driver-side',
    method: 'clean',
    phases: WEEKLY,
    needs: ['gloves', 'glasses', 'engine-off'],
    seconds: 60,
    criterion: 'Bright, tight, greased; eye green.',
    symptoms: [
      electrical.repairs('battery-weak', 'Eye dark or case swollen'),
      electrical.repairs('cable-eaten', 'Cable eaten by acid'),
      electrical.watches('terminals-green', 'Terminals green'),
    ],
    fixes: { 'terminals-green': ['Clean and grease it'] },
    cautions: [
      caution('WARNING', 'No rings, no sparks. Battery gas explodes and the acid blinds.'),
    ],
    why: 'The first cold morning finds the green one.',
  }),
  check({
    id: `${P}.week.grease`,
    title: 'Grease the chassis by its list',
    partName: 'Chassis grease points',
    zone: 'driver-side',
    method: 'grease',
    phases: WEEKLY,
    needs: ['grease-gun', 'chocked', 'engine-off'],
    seconds: 600,
    criterion: 'Fresh grease at each point of the list.',
    symptoms: [body.repairs('fitting-blocked', 'A fitting takes no grease')],
    why: 'King pins and shackles wear dry.',
  }),
  check({
    id: `${P}.week.belts`,
    title: 'Press each belt in its longest span',
    partName: 'Belt tension',
    zone: 'engine-bay',
    method: 'feel',
    phases: WEEKLY,
    needs: ['engine-off', 'engine-cold'],
    seconds: 15,
    criterion: 'Gives a thumb’s breadth, no crack, no glaze.',
    symptoms: [
      engine.repairs('belt-slack', 'Slack or glazed'),
      engine.stops('belt-torn', 'Torn or cracked through'),
    ],
    why: 'A slipping belt boils and drains.',
  }),
  check({
    id: `${P}.week.separator`,
    title: 'Drain the water separator',
    partName: 'Water separator drain',
    zone: 'driver-side',
    method: 'drain',
    phases: WEEKLY,
    needs: ['gloves', 'engine-off'],
    seconds: 45,
    criterion: 'Runs clear fuel, drain shut and dry.',
    symptoms: [
      faultsOf('fuel').repairs('much-water', 'More than a cup of water'),
      faultsOf('fuel').stops('drain-leaks', 'Drain does not shut'),
    ],
    cautions: [caution('WARNING', 'No flame, no ignition near fuel.')],
    why: 'It gathers what the tank sweats.',
  }),
  check({
    id: `${P}.week.transmission`,
    title: 'Read the oil of an automatic transmission, hot and idling',
    partName: 'Transmission oil, hot',
    zone: 'engine-bay',
    method: 'look',
    phases: WEEKLY,
    needs: ['engine-warm', 'engine-idling', 'in-neutral', 'parking-brake-set', 'rag'],
    seconds: 25,
    criterion: 'Between the hot marks, clear, does not smell burnt. Sound where it has none.',
    symptoms: [
      engine.stops('transmission-empty', 'Not on the stick'),
      engine.repairs('transmission-low', 'Below the hot mark'),
      engine.repairs('transmission-burnt', 'Dark, smells burnt'),
    ],
    fixes: { 'transmission-low': ['Top up with the oil on the label, a little at a time'] },
    cautions: [
      caution(
        'WARNING',
        'It is read with the engine running: cuffs and straps away from belt and fan.',
      ),
    ],
    why: 'Cold or stopped it shows what is not there.',
  }),
  check({
    id: `${P}.week.washer`,
    title: 'Aim and try washers and wipers',
    partName: 'Aim of washers and wipers',
    zone: 'seat',
    method: 'operate',
    moves: moved('wipers', 'electric', [], { clear: 'hand', held: 'no-matter' }),
    needs: ['key-on'],
    phases: WEEKLY,
    seconds: 15,
    criterion: 'Hit the glass, wipe clean.',
    symptoms: [faultsOf('wipers').repairs('washer-off', 'Clogged or off the glass')],
    fixes: { 'washer-off': ['Clear the jet with a pin'] },
    why: 'Salt spray is white paint.',
  }),
  check({
    id: `${P}.month.stroke`,
    title: 'Measure the push-rod stroke of each brake',
    partName: 'Push-rod stroke',
    zone: 'driver-front-wheel',
    each: 'brake',
    method: 'measure',
    phases: MONTHLY,
    needs: [
      'engine-off',
      'key-in-pocket',
      'chocked',
      'parking-brake-released',
      'air-charged',
      'pedal-held-by-helper',
      'rule',
    ],
    helper: 'needed',
    seconds: 45,
    criterion: 'Within the limit of its chamber at full application.',
    source: '49 CFR 393.47(e)',
    reading: strokeReading(true),
    symptoms: [
      brakes.stops('stroke-long', 'Beyond its limit'),
      brakes.repairs('stroke-near', 'Close to its limit'),
    ],
    cautions: [caution('DANGER', 'It may roll when the parking brake is released. Chocks in.')],
    why: 'The longest stroke pulls the truck aside.',
  }),
  check({
    id: `${P}.month.coolant`,
    title: 'Test the strength of the coolant',
    partName: 'Coolant strength',
    zone: 'engine-bay',
    method: 'measure',
    phases: MONTHLY,
    needs: ['engine-cold'],
    seconds: 40,
    criterion: 'Good to ten degrees below the coldest night.',
    symptoms: [
      engine.repairs('coolant-weak', 'Too weak', {
        worse: [{ in: 'freezing', harm: 'stop', because: 'it freezes and cracks the block' }],
      }),
    ],
    cautions: [caution('DANGER', 'Never open a hot cooling system.')],
    why: 'It is thinned by every top-up.',
  }),
  check({
    id: `${P}.month.air-dryer`,
    title: 'Open the air dryer’s purge and look for oil',
    partName: 'Air dryer purge',
    zone: 'curb-side',
    method: 'look',
    phases: MONTHLY,
    needs: ['glasses', 'air-charged'],
    seconds: 20,
    criterion: 'Purges, no oil, heater warm in frost.',
    symptoms: [
      brakes.repairs('dryer-oil', 'Oil or much water'),
      brakes.repairs('heater-dead', 'Heater cold in frost', {
        worse: [
          { in: 'freezing', harm: 'stop', because: 'it freezes shut and the brakes with it' },
        ],
      }),
    ],
    why: 'It keeps water out of every valve.',
  }),
  check({
    id: `${P}.month.frame`,
    title: 'Look along the frame with the lamp, inside too',
    partName: 'Frame, inside and outside',
    zone: 'driver-side',
    method: 'look',
    phases: MONTHLY,
    needs: ['lamp', 'chocked'],
    seconds: 60,
    criterion: 'No crack at a hole or bracket, no rust that swells.',
    symptoms: [
      faultsOf('frame').stops('crack', 'Crack'),
      faultsOf('frame').repairs('rust-swells', 'Rust swells between plates'),
    ],
    why: 'It begins at a hole somebody drilled.',
  }),
  check({
    id: `${P}.month.exhaust`,
    title: 'Follow the exhaust from engine to end',
    partName: 'Exhaust, engine to end',
    zone: 'curb-side',
    method: 'look',
    phases: MONTHLY,
    needs: ['lamp', 'chocked', 'engine-cold'],
    seconds: 45,
    criterion: 'No soot at a joint, hangers whole.',
    symptoms: [
      faultsOf('exhaust').stops('leak-at-cab', 'Leaks below or ahead of the cab'),
      faultsOf('exhaust').repairs('soot', 'Soot at a joint'),
    ],
    why: 'One does not smell it in the end.',
  }),
  check({
    id: `${P}.month.kit`,
    title: 'Read the dates of extinguisher and first-aid kit',
    partName: 'Dates of extinguisher and first-aid kit',
    zone: 'cab',
    method: 'look',
    phases: MONTHLY,
    seconds: 15,
    criterion: 'In date, tagged this month.',
    source: '29 CFR 1910.157(e)(2)',
    symptoms: [faultsOf('emergency').repairs('date-passed', 'A date has passed')],
    fixes: { 'date-passed': ['Fetch another'] },
    why: 'It is looked at when it is needed.',
  }),
  check({
    id: `${P}.month.tow-eyes`,
    title: 'Look at front tow eyes or hooks',
    partName: 'Front tow eyes or hooks',
    zone: 'front',
    method: 'look',
    phases: MONTHLY,
    seconds: 8,
    criterion: 'Straight, bolts in.',
    symptoms: [body.repairs('tow-eye', 'Bent or loose')],
    why: 'Recovery pulls there in the ditch.',
  }),
];

interface TemperatureUnderWay {
  readonly of: string;
  readonly partName: string;
  /** Of the card: above it the first symptom shows. */
  readonly field: string;
  /** What the gauge can show at all, °C. */
  readonly most: number;
  readonly symptoms: Check['symptoms'];
  readonly cautions?: Check['cautions'];
  readonly why: string;
}

/** A temperature that is read at the wheel and held against the card. */
function temperatureUnderWay(draft: TemperatureUnderWay): Check {
  const { of, partName, field, most, symptoms, cautions = [], why } = draft;
  return check({
    id: `${P}.stop.${of}-temperature`,
    title: `Read the ${of} temperature under way`,
    partName,
    zone: 'seat',
    method: 'look',
    phases: ON_THE_WAY,
    needs: ['key-on'],
    seconds: 6,
    criterion: 'Not above what the card allows.',
    reading: {
      kind: 'temperature',
      ask: `${partName} on the gauge`,
      required: false,
      byCard: true,
      plausible: [-30, most, '°C'],
      uncertainty: [1, '°C'],
      bands: [{ side: 'above', limit: { from: 'specification', field }, symptom: symptoms[0].id }],
    },
    symptoms,
    cautions,
    why,
  });
}

export const upkeepChecks: Check[] = [...underWay, ...byCalendar];
