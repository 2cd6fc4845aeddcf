import {
  begunOf,
  faultOf,
  instanceOf,
  makeId,
  makeLog,
  makeRig,
  measuredOf,
  signature,
  walkId,
} from '../testing/halvern';
import { fold, permitEvent, type EventType, type InspectionEvent, type Payloads } from '.';

const rig = makeRig();
const nuts = instanceOf(rig, 'wheel.nuts/steer-left');
const fault = faultOf(nuts, 'nut-one');
const certified: Payloads['certified'] = {
  defectId: fault.defectId,
  outcome: 'repaired',
  words: 'New studs',
  signature,
};

type Step = { [T in EventType]: readonly [T, Payloads[T]] }[EventType];

function may(before: readonly Step[], [type, payload]: Step) {
  const log = makeLog();
  for (const [each, of] of before) log.add(each, of as never);
  const state = fold(walkId, log.events);
  return permitEvent(state, log.add(type, payload as never) as InspectionEvent);
}

const begun: Step = ['begun', begunOf(rig)];
const signed: Step = ['signed', { signature, headline: 'rolls' }];
const faulted: Step = ['faulted', fault];
const sound: Step = ['answered', { key: nuts.key, outcome: 'sound' }];

describe('what may follow', () => {
  it.each<[string, Step[], Step, string | undefined]>([
    ['a beginning', [], begun, undefined],
    ['no second beginning', [begun], begun, 'already-begun'],
    ['no answer before the beginning', [], sound, 'not-begun'],
    ['an answer', [begun], sound, undefined],
    ['a reading', [begun], ['measured', measuredOf(nuts.key, 1, 'psi')], undefined],
    ['a signature', [begun, sound], signed, undefined],
    ['no second signature', [begun, signed], signed, 'already-signed'],
    ['no answer after the signature', [begun, signed], sound, 'already-signed'],
    ['no fault after the signature', [begun, signed], faulted, 'already-signed'],
    ['a note after the signature', [begun, signed], ['annotated', { words: 'Washed' }], undefined],
    ['an acknowledgement', [begun], ['acknowledged', { defectId: makeId(3) }], undefined],
    [
      'no seal from a device',
      [begun, signed],
      ['sealed', { reportId: walkId, hash: 'a' }],
      'server-only',
    ],
    [
      'no certificate before the signature',
      [begun, faulted],
      ['certified', certified],
      'not-sealed',
    ],
    ['a certificate', [begun, faulted, signed], ['certified', certified], undefined],
    [
      'no certificate for a defect of another walk',
      [begun, faulted, signed],
      ['certified', { ...certified, defectId: makeId(4) }],
      'no-such-defect',
    ],
    [
      // Whether it is certified already is asked of the defect, not of one walk (core/repair).
      'a second certificate, for what was found again since',
      [begun, faulted, signed, ['certified', certified]],
      ['certified', certified],
      undefined,
    ],
    [
      'a certificate after a deferral',
      [
        begun,
        faulted,
        signed,
        ['certified', { ...certified, outcome: 'deferred', until: '2027-01-01' }],
      ],
      ['certified', certified],
      undefined,
    ],
  ])('%s', (_, before, step, refusal) => {
    expect(may(before, step)).toBe(refusal);
  });
});
