import {
  driver,
  everyPayload,
  instanceOf,
  makeLog,
  makeRig,
  mechanic,
  startsAt,
  walkId,
} from '../testing';
import {
  EVENT_TYPES,
  fold,
  permitEvent,
  permitPerson,
  type EventType,
  type InspectionEvent,
  type Payloads,
} from '.';

/*
 * Written by hand from what each kind of entry means, before it was held against the code: a walk is its driver's, a helper answers
 * beside them, the workshop mends what a signed walk has found (or one that nobody touched for half a day), a supervisor decides, and
 * nothing of a walk changes once it is signed.
 */
const STATES = ['nothing', 'walking', 'abandoned', 'signed', 'out', 'back'] as const;
type State = (typeof STATES)[number];
const ALL = ['Driver', 'Helper', 'Other driver', 'Mechanic', 'Supervisor'] as const;
type Who = (typeof ALL)[number];

const ON_THE_WALK: State[] = ['walking', 'abandoned'];
const ONCE_BEGUN: State[] = ['walking', 'abandoned', 'signed', 'out', 'back'];
const ONCE_SIGNED: State[] = ['signed', 'out', 'back'];
const FOR_THE_WORKSHOP: State[] = ['abandoned', 'signed', 'out', 'back'];

const ALLOWED: Record<EventType, [states: readonly State[], people: readonly Who[]]> = {
  begun: [['nothing'], ALL],
  answered: [ON_THE_WALK, ['Driver', 'Helper']],
  measured: [ON_THE_WALK, ['Driver', 'Helper']],
  faulted: [ON_THE_WALK, ['Driver', 'Helper']],
  counted: [ON_THE_WALK, ['Driver', 'Helper']],
  present: [ON_THE_WALK, ['Driver', 'Helper']],
  parted: [ON_THE_WALK, ['Driver', 'Helper']],
  changed: [ON_THE_WALK, ['Driver']],
  affirmed: [ON_THE_WALK, ['Driver']],
  turned: [ON_THE_WALK, ['Driver']],
  dropped: [ON_THE_WALK, ['Driver']],
  asked: [ON_THE_WALK, ['Driver']],
  'clock-moved': [ON_THE_WALK, ['Driver']],
  signed: [ON_THE_WALK, ['Driver']],
  // By their own phone: everybody but the driver, while nobody else helps.
  joined: [ON_THE_WALK, ['Other driver', 'Mechanic', 'Supervisor']],
  acknowledged: [ONCE_BEGUN, ['Driver']],
  annotated: [ONCE_BEGUN, ['Driver', 'Helper', 'Mechanic', 'Supervisor']],
  sealed: [[], []],
  overridden: [ONCE_SIGNED, ['Supervisor']],
  released: [ONCE_SIGNED, ['Supervisor']],
  'looked-again': [['signed'], ['Driver']],
  'signed-out': [['signed'], ['Driver']],
  found: [['out'], ['Driver']],
  returned: [['out'], ['Driver', 'Mechanic', 'Supervisor']],
  assigned: [FOR_THE_WORKSHOP, ['Mechanic', 'Supervisor']],
  worked: [FOR_THE_WORKSHOP, ['Mechanic']],
  certified: [FOR_THE_WORKSHOP, ['Mechanic']],
  countersigned: [FOR_THE_WORKSHOP, ['Supervisor']],
};

const id = (number: number) => `01900000-0000-7000-8000-0000000001${String(number)}0`;
const PEOPLE: Record<Who, { id: string; role: 'driver' | 'mechanic' | 'supervisor' }> = {
  Driver: { id: driver, role: 'driver' },
  Helper: { id: id(1), role: 'driver' },
  'Other driver': { id: id(2), role: 'driver' },
  Mechanic: { id: mechanic, role: 'mechanic' },
  Supervisor: { id: id(4), role: 'supervisor' },
};

const rig = makeRig();
const nuts = instanceOf(rig, 'wheel.nuts/steer-left');
const payloads = everyPayload(rig, nuts);

/** A walk on which a fault was found, as far as this. */
function logUpTo(state: State, withHelper: boolean) {
  const log = makeLog();
  const add = <T extends EventType>(type: T, more?: Partial<Payloads[T]>, by = driver) =>
    log.add(type, { ...(payloads[type] as object), ...more } as Payloads[T], by);
  if (state === 'nothing') return log;
  add('begun', { phase: 'pre-trip' });
  if (withHelper) add('joined', {}, PEOPLE.Helper.id);
  add('faulted');
  if (state === 'walking' || state === 'abandoned') return log;
  add('signed');
  if (state === 'signed') return log;
  add('signed-out');
  if (state === 'back') add('returned');
  return log;
}

function mayEnter(type: EventType, state: State, who: Who): boolean {
  const log = logUpTo(state, type !== 'joined');
  const inspection = fold(walkId, log.events);
  const at = startsAt + (state === 'abandoned' ? 13 * 3_600_000 : 60_000);
  const person = PEOPLE[who];
  const event = log.add(type, payloads[type] as never, person.id, at) as InspectionEvent;
  return !permitEvent(inspection, event) && !permitPerson(inspection, type, person);
}

it.each(EVENT_TYPES)('who may enter “%s”, and when', (type) => {
  const [states, people] = ALLOWED[type];
  const found = STATES.flatMap((state) =>
    ALL.filter((who) => mayEnter(type, state, who)).map((who) => `${state}: ${who}`),
  );
  // Where nobody helps yet, whoever would be the helper is another driver.
  const isHelper = type !== 'joined';
  const isAllowed = (who: Who) =>
    people.includes(who === 'Helper' && !isHelper ? 'Other driver' : who);
  const expected = STATES.filter((state) => states.includes(state)).flatMap((state) =>
    ALL.filter(isAllowed).map((who) => `${state}: ${who}`),
  );
  expect(found).toEqual(expected);
});

it('a helper who is there keeps a second one out', () => {
  const log = logUpTo('walking', true);
  const inspection = fold(walkId, log.events);
  const event = log.add('joined', payloads.joined, PEOPLE.Mechanic.id) as InspectionEvent;
  expect(permitEvent(inspection, event)).toBe('helper-there');
});

it('a helper who has left answers nothing more', () => {
  const log = logUpTo('walking', true);
  log.add('parted', {}, PEOPLE.Helper.id);
  const inspection = fold(walkId, log.events);
  expect(permitPerson(inspection, 'answered', PEOPLE.Helper)).toBe('other-walk');
});

it('a person whom the driver names has no phone, and enters nothing', () => {
  const log = makeLog();
  log.add('begun', payloads.begun);
  log.add('joined', { name: 'Nela Korin', phone: false });
  const inspection = fold(walkId, log.events);
  expect(permitPerson(inspection, 'answered', PEOPLE.Helper)).toBe('other-walk');
});

it.each<[EventType, Who, string]>([
  ['worked', 'Driver', 'mechanics-only'],
  ['worked', 'Supervisor', 'mechanics-only'],
  ['assigned', 'Driver', 'workshop-only'],
  ['overridden', 'Mechanic', 'supervisors-only'],
  ['signed', 'Supervisor', 'other-walk'],
  ['returned', 'Other driver', 'driver-or-workshop-only'],
  ['annotated', 'Other driver', 'driver-or-workshop-only'],
  ['sealed', 'Supervisor', 'server-only'],
])('“%s” by “%s” is refused as %s', (type, who, code) => {
  const inspection = fold(walkId, logUpTo('out', true).events);
  expect(permitPerson(inspection, type, PEOPLE[who])).toBe(code);
});
