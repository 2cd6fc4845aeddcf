import { policiesFor } from '../grading';
import {
  driver,
  faultOf,
  instanceOf,
  makeLog,
  makeRig,
  mechanic,
  signature,
  startsAt,
  truck,
  walkId,
  walkSound,
} from '../testing';
import { assess, fold, type InspectionEvent } from '.';

const rig = makeRig([truck]);
const signal = instanceOf(rig, 'truck.lamp.rear-signal/rear-lamps-left');
const fault = faultOf(signal, 'lamp-out');
const bench = '01900000-0000-7000-8000-0000000000e9';
const hour = 3_600_000;

/** A walk that stays for a dead signal, then what happens after it: by the workshop and by the driver. */
function after(
  say: (shop: ReturnType<typeof makeLog>, own: ReturnType<typeof makeLog>) => void,
  policy = 'two-step',
) {
  const own = walkSound(rig);
  own.add('faulted', fault, driver, startsAt + hour);
  own.add('signed', { signature, headline: 'stays' }, driver, startsAt + hour + 1);
  const shop = makeLog(bench);
  say(shop, own);
  const events = [...own.events, ...shop.events] as InspectionEvent[];
  return assess({
    inspection: fold(walkId, events),
    rig,
    policiesOf: () => policiesFor([policy], []),
    known: [],
    unread: [],
  }).verdict.headline;
}

const { defectId } = fault;
const certify = (shop: ReturnType<typeof makeLog>, outcome: 'repaired' | 'deferred' = 'repaired') =>
  shop.add(
    'certified',
    { defectId, outcome, words: 'Bulb and socket renewed', signature },
    mechanic,
    startsAt + 2 * hour,
  );
const read = (own: ReturnType<typeof makeLog>, at = 3) =>
  own.add('acknowledged', { defectId }, driver, startsAt + at * hour);
const look = (own: ReturnType<typeof makeLog>, at = 3) =>
  own.add('looked-again', { about: signal.key }, driver, startsAt + at * hour + 1);

describe('a fault that was mended after the walk was signed', () => {
  it('lets it go once it is certified, read and looked at', () => {
    expect(
      after((shop, own) => {
        certify(shop);
        read(own);
        look(own);
      }),
    ).toBe('rolls');
  });

  it.each<[string, Parameters<typeof after>[0]]>([
    ['nobody has certified it', (_, own) => void [read(own), look(own)]],
    ['it was only put off', (shop, own) => void [certify(shop, 'deferred'), read(own), look(own)]],
    ['the driver has not read it', (shop, own) => void [certify(shop), look(own)]],
    ['the driver has not looked at it', (shop, own) => void [certify(shop), read(own)]],
    [
      'the driver looked before it was mended',
      (shop, own) => void [certify(shop), look(own, 1.5), read(own)],
    ],
  ])('keeps it in while %s', (_, say) => {
    expect(after(say)).toBe('stays');
  });

  it('waits for the carrier’s agent where the policy wants one', () => {
    const all: Parameters<typeof after>[0] = (shop, own) =>
      void [certify(shop), read(own), look(own)];
    expect(after(all, 'affects-safety')).toBe('stays');
    expect(
      after((shop, own) => {
        certify(shop);
        shop.add('countersigned', { defectId, signature }, mechanic, startsAt + 2.5 * hour);
        read(own);
        look(own);
      }, 'affects-safety'),
    ).toBe('rolls');
  });

  it('is walked anew where a number is wanted', () => {
    const tread = instanceOf(rig, 'truck.tyre.tread-steer/steer-left');
    const worn = faultOf(tread, 'tread-worn-out');
    const own = walkSound(rig);
    own.add('faulted', worn, driver, startsAt + hour);
    own.add('signed', { signature, headline: 'stays' }, driver, startsAt + hour + 1);
    const shop = makeLog(bench);
    shop.add(
      'certified',
      { defectId: worn.defectId, outcome: 'repaired', words: 'New tyre', signature },
      mechanic,
      startsAt + 2 * hour,
    );
    own.add('acknowledged', { defectId: worn.defectId }, driver, startsAt + 3 * hour);
    own.add('looked-again', { about: tread.key }, driver, startsAt + 3 * hour + 1);
    const { verdict } = assess({
      inspection: fold(walkId, [...own.events, ...shop.events]),
      rig,
      policiesOf: () => policiesFor(['two-step'], []),
      known: [],
      unread: [],
    });
    expect(verdict.headline).toBe('stays');
  });
});
