import { strokeReading } from '../shared/foundation-brakes';
import type { Check } from '../../catalogue';
import { BY_HAND, caution, check, faultsOf } from '../write';

const P = 'tag-trailer';
const coupling = faultsOf('coupling');
const wheels = faultsOf('wheels');
const brakes = faultsOf('brakes');

/** On the way, weekly, monthly, into storage. */
export const trailerCalendarChecks: Check[] = [
  check({
    id: `${P}.stop.coupling`,
    title: 'Look at coupling, chains and lines again',
    partName: 'Coupling, chains and lines',
    zone: 'drawbar',
    method: 'look',
    phases: ['under-way'],
    seconds: 15,
    criterion: 'Locked, pinned, nothing dragging.',
    symptoms: [
      coupling.stops('came-loose', 'Something has come loose', {
        fixLeaves: 'watch',
      }),
    ],
    fixes: { 'came-loose': ['Pin it', 'Hang it up'] },
    cautions: [caution('DANGER', 'Nobody between while the engine runs and it may roll.')],
    why: 'It settles in the first kilometres.',
  }),
  check({
    id: `${P}.stop.hubs`,
    title: 'Feel the hubs of the trailer',
    partName: 'Heat of the trailer hubs',
    zone: 'driver-wheels',
    each: 'wheel-end',
    method: 'feel',
    phases: ['under-way'],
    seconds: 4,
    criterion: 'All about equally warm.',
    symptoms: [
      wheels.stops('hub-hot', 'One much hotter'),
      wheels.repairs('hub-warm', 'One a little warmer', {
        condition: 'Feel it again at the next stop.',
      }),
    ],
    why: 'Nobody in the cab smells it back there.',
  }),
  check({
    id: `${P}.stop.lamps`,
    title: 'Wipe and look at the lamps of the trailer',
    partName: 'Trailer lamps',
    zone: 'rear',
    method: 'clean',
    phases: ['under-way'],
    needs: ['rag', 'lamps-on'],
    seconds: 15,
    criterion: 'All lit and clean.',
    symptoms: [
      faultsOf('lamps').repairs('lamp-out', 'One out', {
        condition: 'Daylight only until it is lit again.',
        bars: 'dark',
        worse: [{ in: 'dark', harm: 'stop', because: 'followers cannot see it in the dark' }],
      }),
      faultsOf('lamps').repairs('covered', 'Covered in dirt or snow', {
        condition: 'Clear it before leaving.',
        bars: 'before-leaving',
        worse: [{ in: 'dark', harm: 'stop', because: 'followers cannot see it in the dark' }],
      }),
    ],
    fixes: { covered: ['Wipe it'] },
    why: 'It rides in the spray of the truck.',
  }),
  check({
    id: `${P}.week.nut-marks`,
    title: 'Look at the torque marks of the trailer’s wheels',
    partName: 'Torque marks of the trailer wheels',
    zone: 'driver-wheels',
    each: 'wheel-end',
    method: 'look',
    phases: ['weekly'],
    seconds: 5,
    criterion: 'Every mark in line.',
    symptoms: [wheels.stops('mark-turned', 'A mark has turned')],
    why: 'Wheels come off trailers more than trucks.',
  }),
  check({
    id: `${P}.week.drain`,
    title: 'Drain the trailer’s air tank',
    partName: 'Trailer air tank drain',
    zone: 'curb-wheels',
    method: 'drain',
    phases: ['weekly', 'post-trip'],
    needs: ['glasses'],
    seconds: 20,
    criterion: 'A little water, no oil; drain shut.',
    symptoms: [
      brakes.repairs('drain-water', 'Much water', {
        worse: [{ in: 'freezing', harm: 'stop', because: 'water in the lines freezes a valve' }],
      }),
    ],
    why: 'It stands for weeks and sweats.',
  }),
  check({
    id: `${P}.month.stroke`,
    title: 'Measure the push-rod stroke of the trailer’s brakes',
    partName: 'Push-rod stroke of the trailer',
    zone: 'driver-wheels',
    each: 'brake',
    method: 'measure',
    phases: ['monthly'],
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
    criterion: 'Within the limit of its chamber.',
    source: '49 CFR 393.47(e)',
    reading: strokeReading(false),
    symptoms: [
      brakes.stops('stroke-long', 'Beyond its limit'),
      brakes.repairs('stroke-near', 'Close to its limit'),
    ],
    cautions: [caution('DANGER', 'Chocks in before the brakes are released.')],
    why: 'A trailer that does not brake pushes.',
  }),
  check({
    id: `${P}.month.frame`,
    title: 'Look along rails and cross-members from beneath',
    partName: 'Rails and cross-members from beneath',
    zone: 'driver-wheels',
    method: 'look',
    phases: ['monthly'],
    needs: ['lamp', 'chocked'],
    seconds: 40,
    criterion: 'No crack, no rust that swells.',
    symptoms: [
      faultsOf('frame').stops('crack', 'Crack'),
      faultsOf('frame').repairs('rust-swells', 'Rust swells'),
    ],
    why: 'It is never washed beneath.',
  }),
  check({
    id: `${P}.store`,
    title: 'Park it for the season: chocks, jack on a plank, tarped',
    partName: 'Storage for the season',
    zone: 'drawbar',
    method: 'operate',
    needs: ['secured'],
    moves: BY_HAND,
    phases: ['storage'],
    seconds: 300,
    criterion: 'Level, chocked both ways, tyres off wet ground, drain open.',
    symptoms: [wheels.watches('soft-ground', 'Stands on soft ground')],
    why: 'In spring it is the first thing that is needed.',
  }),
];
