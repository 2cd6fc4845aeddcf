import fc from 'fast-check';
import { GRADES, gradeSymptom, policiesFor, type Grade } from '../../grading';
import {
  begunOf,
  driver,
  faultOf,
  makeLog,
  measuredOf,
  mechanic,
  phone,
  startsAt,
  walkId,
} from '../../testing';
import { otherPhone, rank, rigKnown } from '../../testing/walked';
import { assess, fold } from '..';

describe('4. readings and faults add up', () => {
  const rig = rigKnown('truck');
  const tread = rig.instances.find(({ check }) => check.id === 'truck.tyre.tread-steer');
  if (!tread) throw new Error('no tread');
  const gradeOf = (events: Parameters<typeof fold>[1]) => {
    const begun = makeLog(phone);
    begun.add('begun', begunOf(rig), driver, startsAt - 1000);
    const { byKey } = assess({
      inspection: fold(walkId, [...begun.events, ...events]),
      rig,
      policiesOf: () => policiesFor(['two-step'], []),
      known: [],
      unread: [],
    });
    const { state } = byKey.get(tread.key) ?? {};
    return GRADES.includes(state as Grade) ? (state as Grade) : 'major';
  };

  it('on every device and in every order of arrival: the worse of all that was said counts', () => {
    const anySaying = fc.record({
      mine: fc.boolean(),
      at: fc.nat(1000),
      what: fc.oneof(
        fc.constantFrom(...tread.check.symptoms.map(({ id }) => ({ symptom: id }))),
        fc.integer({ min: 1, max: 20 }).map((depth) => ({ depth })),
      ),
    });
    fc.assert(
      fc.property(fc.array(anySaying, { minLength: 1, maxLength: 6 }), (sayings) => {
        const mine = makeLog(phone);
        const theirs = makeLog(otherPhone);
        // Beyond correcting oneself: the last fault of each, and every number.
        const last = new Map<boolean, string>();
        const numbers: number[] = [];
        const each = sayings.map(({ mine: isMine, at, what }) => {
          const log = isMine ? mine : theirs;
          const who = isMine ? driver : mechanic;
          if ('symptom' in what) {
            last.set(isMine, what.symptom);
            return log.add('faulted', faultOf(tread, what.symptom), who, startsAt + at);
          }
          numbers.push(what.depth);
          return log.add(
            'measured',
            measuredOf(tread.key, what.depth, '32nds'),
            who,
            startsAt + at,
          );
        });
        const all = gradeOf(each);
        const alone = (say: (log: ReturnType<typeof makeLog>) => void) => {
          const log = makeLog(phone);
          say(log);
          return gradeOf(log.events);
        };
        for (const symptom of last.values()) {
          const named = gradeSymptom({
            symptom:
              tread.check.symptoms.find(({ id }) => id === symptom) ?? tread.check.symptoms[0],
            alike: 1,
            circumstances: new Set(),
            policies: policiesFor(['two-step'], []),
          });
          expect(rank(all)).toBeGreaterThanOrEqual(rank(named.grade));
        }
        if (numbers.length > 0) {
          // Twice, so that it is not too close to tell.
          const lowest = Math.min(...numbers);
          const read = alone((log) => {
            for (let count = 0; count < 2; count += 1)
              log.add('measured', measuredOf(tread.key, lowest, '32nds'), driver, startsAt + count);
          });
          expect(rank(all)).toBeGreaterThanOrEqual(rank(read));
        }
        expect(gradeOf([...each].reverse())).toBe(all);
      }),
      { numRuns: 300 },
    );
  });

  it('nobody takes away what another has said, and oneself only with a word', () => {
    const mine = makeLog(phone);
    const theirs = makeLog(otherPhone);
    const stop = tread.check.symptoms.find(({ harm }) => harm === 'stop')?.id ?? '';
    mine.add('faulted', faultOf(tread, stop), driver, startsAt);
    theirs.add('measured', measuredOf(tread.key, 12, '32nds'), mechanic, startsAt + 1);
    theirs.add('answered', { key: tread.key, outcome: 'cleared' }, mechanic, startsAt + 2);
    expect(gradeOf([...mine.events, ...theirs.events])).toBe('major');
    mine.add('measured', measuredOf(tread.key, 12, '32nds'), driver, startsAt + 3);
    expect(gradeOf(mine.events)).toBe('major');
    mine.add('answered', { key: tread.key, outcome: 'cleared' }, driver, startsAt + 4);
    mine.add('measured', measuredOf(tread.key, 12, '32nds'), driver, startsAt + 5);
    expect(gradeOf(mine.events)).toBe('sound');
  });
});
