import fc from 'fast-check';
import {
  begunOf,
  driver,
  faultOf,
  instanceOf,
  makeId,
  makeLog,
  makeRig,
  measuredOf,
  mechanic,
  signature,
  startsAt,
  walkId,
} from '../testing/halvern';
import { fold, type AnyEvent, type Inspection } from '.';

const rig = makeRig();
const nuts = instanceOf(rig, 'wheel.nuts/steer-left');
const tread = instanceOf(rig, 'tyre.tread-steer/steer-left');
const otherPhone = '01900000-0000-7000-8000-0000000000e2';

/** Maps as lists, so that two states can be compared. */
function plain(inspection: Inspection) {
  return {
    ...inspection,
    answers: [...inspection.answers].sort(([a], [b]) => (a < b ? -1 : 1)),
    replaced: [...inspection.replaced].sort(([a], [b]) => (a < b ? -1 : 1)),
    acknowledged: [...inspection.acknowledged],
  };
}

describe('answers', () => {
  it('lets the later one win and keeps the former', () => {
    const log = makeLog();
    log.add('begun', begunOf(rig));
    log.add('answered', { key: nuts.key, outcome: 'sound' });
    log.add('faulted', faultOf(nuts, 'nut-one'));
    const state = fold(walkId, log.events);
    expect(state.answers.get(nuts.key)).toMatchObject({ outcome: 'fault' });
    expect(state.replaced.get(nuts.key)).toMatchObject([{ outcome: 'sound' }]);
  });

  it('can be taken back, and stays visible', () => {
    const log = makeLog();
    log.add('faulted', faultOf(nuts, 'nut-one'));
    log.add('answered', { key: nuts.key, outcome: 'cleared' });
    const state = fold(walkId, log.events);
    expect(state.answers.has(nuts.key)).toBe(false);
    expect(state.replaced.get(nuts.key)).toHaveLength(1);
  });

  it('gathers readings until the answer is taken back', () => {
    const log = makeLog();
    log.add('measured', measuredOf(tread.key, 4, '32nds'));
    log.add('measured', measuredOf(tread.key, 5, '32nds'));
    const both = fold(walkId, log.events).answers.get(tread.key);
    expect(both?.outcome === 'measured' && both.readings.map(({ typed }) => typed)).toEqual([
      '4',
      '5',
    ]);
    log.add('answered', { key: tread.key, outcome: 'cleared' });
    log.add('measured', measuredOf(tread.key, 12, '32nds'));
    const one = fold(walkId, log.events).answers.get(tread.key);
    expect(one?.outcome === 'measured' && one.readings.map(({ typed }) => typed)).toEqual(['12']);
  });

  it('keeps the reading beside the fault that it stands for', () => {
    const log = makeLog();
    log.add('measured', measuredOf(tread.key, 2, '32nds'));
    log.add('faulted', faultOf(tread, 'tread-worn-out'));
    const answer = fold(walkId, log.events).answers.get(tread.key);
    expect(answer?.outcome === 'fault' && answer.readings).toHaveLength(1);
  });
});

describe('the course of a walk', () => {
  it('begins, is signed and sealed once; the first of each counts', () => {
    const log = makeLog();
    log.add('begun', begunOf(rig));
    log.add('begun', { ...begunOf(rig), phase: 'post-trip' });
    log.add('signed', { signature, headline: 'rolls' });
    log.add('signed', { signature, headline: 'stays' });
    log.add('sealed', { reportId: walkId, hash: 'a' });
    const state = fold(walkId, log.events);
    expect(state.begun?.phase).toBe('pre-trip');
    expect(state.signed?.headline).toBe('rolls');
    expect(state.sealed?.hash).toBe('a');
  });

  it('keeps who acknowledged first, every certification and every note', () => {
    const log = makeLog();
    log.add('acknowledged', { defectId: makeId(1) });
    log.add('acknowledged', { defectId: makeId(1) }, mechanic);
    log.add('certified', {
      defectId: makeId(2),
      outcome: 'deferred',
      until: '2027-01-01',
      words: 'Part ordered',
      signature,
    });
    log.add('certified', {
      defectId: makeId(2),
      outcome: 'repaired',
      words: 'Part fitted',
      signature,
    });
    log.add('annotated', { words: 'Washed' });
    const state = fold(walkId, log.events);
    expect(state.acknowledged.get(makeId(1))?.actorId).toBe(driver);
    expect(state.certifications.map(({ outcome }) => outcome)).toEqual(['deferred', 'repaired']);
    expect(state.annotations).toHaveLength(1);
  });

  it('counts what it cannot read and goes on', () => {
    const log = makeLog();
    log.add('begun', begunOf(rig));
    const newer = { ...log.events[0], id: makeId(99), sequence: 99, type: 'levitated' };
    const state = fold(walkId, [...log.events, newer]);
    expect(state.unread).toBe(1);
    expect(state.begun).toBeDefined();
  });

  it('is empty for an empty log', () => {
    expect(fold(walkId, [])).toMatchObject({ id: walkId, unread: 0, lastAt: 0 });
  });
});

describe('clocks', () => {
  it('keeps the order of a device even when its clock was set back', () => {
    const log = makeLog();
    log.add('answered', { key: nuts.key, outcome: 'sound' }, driver, startsAt + 60_000);
    log.add('faulted', faultOf(nuts, 'nut-one'), driver, startsAt);
    expect(fold(walkId, log.events).answers.get(nuts.key)?.outcome).toBe('fault');
  });

  it('weaves two devices by time', () => {
    const mine = makeLog();
    const theirs = makeLog(otherPhone);
    mine.add('answered', { key: nuts.key, outcome: 'sound' }, driver, startsAt + 2000);
    theirs.add('faulted', faultOf(nuts, 'nut-one'), mechanic, startsAt + 1000);
    // Nobody's fault is taken away by another's word, whichever came later.
    const both = fold(walkId, [...mine.events, ...theirs.events]);
    expect(both.answers.get(nuts.key)?.outcome).toBe('fault');
    expect(both.replaced.get(nuts.key)).toMatchObject([{ outcome: 'sound' }]);
    theirs.add('faulted', faultOf(nuts, 'nut-streak'), mechanic, startsAt + 3000);
    expect(fold(walkId, [...mine.events, ...theirs.events]).answers.get(nuts.key)?.outcome).toBe(
      'fault',
    );
  });
});

it('keeps in sight a number that its own reader has taken back, while another one stands', () => {
  const mine = makeLog();
  const theirs = makeLog(otherPhone);
  mine.add('measured', measuredOf(tread.key, 9, '32nds'), driver, startsAt + 1000);
  theirs.add('measured', measuredOf(tread.key, 4, '32nds'), mechanic, startsAt + 2000);
  theirs.add('answered', { key: tread.key, outcome: 'sound' }, mechanic, startsAt + 3000);
  const { answers, replaced } = fold(walkId, [...mine.events, ...theirs.events]);
  expect(answers.get(tread.key)).toMatchObject({ readings: [{ typed: '9' }] });
  const seen = (replaced.get(tread.key) ?? []).flatMap((each) =>
    'readings' in each ? each.readings.map(({ typed }) => typed) : [],
  );
  expect(seen).toContain('4');
});

describe('properties', () => {
  const keys = rig.instances.slice(0, 6).map(({ key }) => key);
  const arbitraryLog = fc
    .array(
      fc.record({
        device: fc.boolean(),
        key: fc.constantFrom(...keys),
        kind: fc.constantFrom('sound', 'fault', 'reading', 'cleared', 'acknowledged', 'newer'),
        at: fc.integer({ min: 0, max: 100_000 }),
      }),
      { maxLength: 24 },
    )
    .map((steps) => {
      const logs = { mine: makeLog(), theirs: makeLog(otherPhone) };
      for (const { device, key, kind, at } of steps) {
        const log = device ? logs.mine : logs.theirs;
        const time = startsAt + at;
        if (kind === 'sound' || kind === 'cleared')
          log.add('answered', { key, outcome: kind }, driver, time);
        else if (kind === 'reading') log.add('measured', measuredOf(key, 9, 'psi'), driver, time);
        else if (kind === 'fault')
          log.add(
            'faulted',
            { key, defectId: makeId(at), symptomId: 'x', photos: [] },
            driver,
            time,
          );
        else if (kind === 'acknowledged')
          log.add('acknowledged', { defectId: makeId(7) }, driver, time);
        else {
          log.add('annotated', { words: 'from the future' }, driver, time);
          log.events[log.events.length - 1] = {
            ...log.events[log.events.length - 1],
            type: 'of a newer kind',
          };
        }
      }
      return [...logs.mine.events, ...logs.theirs.events];
    });

  it('any order of delivery, and any repetition, gives the same state', () => {
    fc.assert(
      fc.property(
        arbitraryLog.chain((events) =>
          fc.record({
            events: fc.constant(events),
            order: fc.shuffledSubarray(events, { minLength: events.length }),
            twice: fc.subarray(events),
          }),
        ),
        ({ events, order, twice }) => {
          const straight = plain(fold(walkId, events));
          expect(plain(fold(walkId, [...order, ...twice]))).toEqual(straight);
        },
      ),
    );
  });

  it('loses no answer: each is present, replaced, or taken back', () => {
    fc.assert(
      fc.property(arbitraryLog, (events: AnyEvent[]) => {
        const state = fold(walkId, events);
        const kept = [
          ...[...state.answers.values()],
          ...[...state.replaced.values()].flat(),
        ].flatMap((answer) => [
          answer.eventId,
          ...('readings' in answer ? answer.readings : []).map(({ eventId }) => eventId),
          ...('others' in answer ? (answer.others ?? []) : []).map(({ eventId }) => eventId),
        ]);
        for (const { id, type, payload } of events) {
          const cleared = (payload as { outcome?: string }).outcome === 'cleared';
          if (['answered', 'measured', 'faulted'].includes(type) && !cleared)
            expect(kept).toContain(id);
        }
      }),
    );
  });

  it('does not change what it was given', () => {
    fc.assert(
      fc.property(arbitraryLog, (events) => {
        const before = JSON.stringify(events);
        fold(walkId, events);
        expect(JSON.stringify(events)).toBe(before);
      }),
    );
  });
});
