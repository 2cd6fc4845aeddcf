import { nilDefectPolicy, twoStepPolicy } from '../grading';
import { findReturn, type FormerRepair } from '.';

const DAY = 86_400_000;
const now = Date.UTC(2026, 10, 25);
const repair = (more: Partial<FormerRepair> = {}): FormerRepair => ({
  defectId: 'hose',
  key: 'unit/truck.brake.hose/steer-right',
  certifiedAt: now - 10 * DAY,
  odometer: 100_000_000,
  ...more,
});
const found = { key: repair().key, reportedAt: now, odometer: 101_200_000 };

describe('a part that comes back', () => {
  it('within the days is a return, with days and kilometres', () => {
    expect(findReturn([repair()], found, [twoStepPolicy])).toEqual({
      defectId: 'hose',
      daysAfter: 10,
      kmAfter: 1200,
    });
  });

  it('after the days but within the kilometres is one as well', () => {
    expect(
      findReturn([repair({ certifiedAt: now - 90 * DAY })], found, [twoStepPolicy]),
    ).toMatchObject({ defectId: 'hose' });
  });

  it('after both is a new defect', () => {
    const far = { ...found, odometer: 100_000_000 + 3_100_000 };
    expect(
      findReturn([repair({ certifiedAt: now - 31 * DAY })], far, [twoStepPolicy]),
    ).toBeUndefined();
  });

  it('without odometers the days decide', () => {
    const old = repair({ certifiedAt: now - 35 * DAY, odometer: undefined });
    expect(findReturn([old], found, [twoStepPolicy])).toBeUndefined();
    expect(findReturn([old], found, [twoStepPolicy, nilDefectPolicy])).toMatchObject({
      daysAfter: 35,
    });
  });

  it('an odometer that was set back says nothing', () => {
    expect(
      findReturn([repair({ certifiedAt: now - 50 * DAY })], { ...found, odometer: 5 }, [
        twoStepPolicy,
      ]),
    ).toBeUndefined();
  });

  it('is held against the latest repair of the very part', () => {
    const other = repair({ defectId: 'other', key: 'unit/truck.brake.hose/steer-left' });
    const older = repair({ defectId: 'older', certifiedAt: now - 20 * DAY });
    expect(findReturn([older, other, repair()], found, [twoStepPolicy])?.defectId).toBe('hose');
    expect(findReturn([other], found, [twoStepPolicy])).toBeUndefined();
  });
});

describe('the very last day and kilometre', () => {
  const { days, km } = twoStepPolicy.returnWithin;
  const far = { ...found, odometer: 100_000_000 + (km + 500) * 1000 };

  it('are still within', () => {
    const last = repair({ certifiedAt: now - days * DAY });
    expect(findReturn([last], far, [twoStepPolicy])).toMatchObject({ daysAfter: days });
    const edge = { ...found, odometer: 100_000_000 + km * 1000 };
    const old = repair({ certifiedAt: now - 400 * DAY });
    expect(findReturn([old], edge, [twoStepPolicy])).toMatchObject({ kmAfter: km });
  });

  it('are those of the widest of several policies', () => {
    const wide = { ...twoStepPolicy, returnWithin: { days: 1, km: km + 1000 } };
    const old = repair({ certifiedAt: now - 400 * DAY });
    expect(findReturn([old], far, [twoStepPolicy])).toBeUndefined();
    expect(findReturn([old], far, [twoStepPolicy, wide])).toMatchObject({ kmAfter: km + 500 });
  });
});

it('says no kilometres where one of the two odometers was not read', () => {
  const { odometer: _, ...unread } = found;
  expect(findReturn([repair()], unread, [twoStepPolicy])?.kmAfter).toBeUndefined();
  const without = repair({ odometer: undefined });
  expect(findReturn([without], found, [twoStepPolicy])?.kmAfter).toBeUndefined();
});

it('counts no kilometre as one, and an odometer that stood still as none', () => {
  const same = { ...found, odometer: 100_000_000 };
  expect(findReturn([repair()], same, [twoStepPolicy])?.kmAfter).toBe(0);
});
