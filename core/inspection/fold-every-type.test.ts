import fc from 'fast-check';
import { everyPayload, instanceOf, makeLog, makeRig, walkId } from '../testing';
import { EVENT_TYPES, fold, type AnyEvent, type Inspection } from '.';

const rig = makeRig();
const payloads = everyPayload(rig, instanceOf(rig, 'wheel.nuts/steer-left'));

/** One of each type, from two devices by turns, so that they are woven together by time. */
function oneOfEach(): AnyEvent[] {
  const mine = makeLog();
  const other = makeLog('01900000-0000-7000-8000-0000000000e2');
  return EVENT_TYPES.map((type, index) =>
    (index % 3 === 2 ? other : mine).add(type, payloads[type] as never),
  );
}

/** Maps as sorted lists, so that two states can be compared. */
function plain(value: unknown): unknown {
  if (value instanceof Map)
    return [...value]
      .sort(([a], [b]) => (String(a) < String(b) ? -1 : 1))
      .map(([key, each]) => [key, plain(each)]);
  if (Array.isArray(value)) return value.map(plain);
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, plain(each)]));
  return value;
}

const told = (inspection: Inspection) => JSON.stringify(plain(inspection));

it('any order of delivery and any repetition of all types of events gives the same state', () => {
  const events = oneOfEach();
  const expected = told(fold(walkId, events));
  fc.assert(
    fc.property(
      fc.shuffledSubarray(events, { minLength: events.length }),
      fc.subarray(events),
      (shuffled, again) => {
        expect(told(fold(walkId, [...again, ...shuffled]))).toBe(expected);
      },
    ),
    { numRuns: 60 },
  );
});

it.each(EVENT_TYPES)('“%s” leaves its mark in the state, and is kept as it was said', (type) => {
  const log = makeLog();
  // Somebody must help before they can be asked or leave.
  if (type === 'parted') log.add('joined', payloads.joined);
  const before = fold(walkId, log.events);
  const event = log.add(type, payloads[type] as never);
  const after = fold(walkId, log.events);
  const { lastAt: _, ...left } = before;
  const { lastAt: __, ...right } = after;
  expect(told(right as Inspection)).not.toBe(told(left as Inspection));
  expect(event.payload).toEqual(payloads[type]);
  expect(after.unread).toBe(0);
});

it('an entry of a type to come changes nothing but that it is counted', () => {
  const log = makeLog();
  log.add('begun', payloads.begun);
  const before = fold(walkId, log.events);
  const newer = { ...(log.events[0] as AnyEvent), id: walkId, sequence: 9, type: 'levitated' };
  const after = fold(walkId, [...log.events, newer]);
  expect(after).toEqual({ ...before, unread: 1 });
});

it('what is said of one walk is not touched by folding it again', () => {
  const events = oneOfEach();
  const frozen = JSON.stringify(events);
  const first = told(fold(walkId, events));
  expect(told(fold(walkId, events))).toBe(first);
  expect(JSON.stringify(events)).toBe(frozen);
});
