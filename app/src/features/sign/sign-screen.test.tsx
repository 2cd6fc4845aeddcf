import { answerSound, driver, makeRig, truck } from '@nazar/core/testing';
import type { VehicleChange } from '@nazar/core/vehicle';
import { act, fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import type { Walk } from '@/state/walk';
import { walkOf } from '../../../testing/walk';
import { SignScreen } from './sign-screen';

let mockWalk: Walk;
const mockKept: unknown[] = [];

jest.mock('@/state', () => ({
  useSession: (of: (state: unknown) => unknown) =>
    of({ person: { id: 'driver', name: 'Ivo Stamm', role: 'driver' } }),
  useSpeed: () => (kmh: number) => `${kmh} km/h`,
}));
jest.mock('@/state/walk', () => ({
  keepLastOrder: () => Promise.resolve(),
  useWalk: () => mockWalk,
  useWalkSession: () => ({
    log: {
      append: (entries: unknown[]) => {
        mockKept.push(...entries);
        return Promise.resolve(true);
      },
    },
  }),
}));

const rig = makeRig([{ ...truck, fitted: ['power-take-off', 'loader-crane', 'platform-body'] }]);
const [{ unit }] = rig.units;

/** A whole walk with nothing wrong, and what was last said of how it stands. */
function walked(found: readonly VehicleChange[], fault?: string): Walk {
  return walkOf((log) => {
    for (const instance of rig.instances) answerSound(log, instance);
    for (const change of found)
      log.add('changed', { change, unitId: unit.id, found: true }, driver);
    if (fault) {
      const [key, symptomId] = fault.split(' ');
      const instance = rig.instances.find((each) => each.key.endsWith(key));
      log.add('faulted', { key: instance?.key ?? '', symptomId, defectId: key, photos: [] });
    }
  }, rig);
}

const show = async () => {
  mockKept.length = 0;
  render(<SignScreen inspectionId="walk" onSealed={jest.fn()} onBack={jest.fn()} />);
  await act(async () => undefined);
};
const sign = () => act(async () => fireEvent.click(screen.getByText('Sign and seal')));

it('is not signed while an outrigger is out, and says what is to be put back', async () => {
  mockWalk = walked(['outriggers']);
  await show();
  expect(screen.getByTestId('put-back-outriggers-in').textContent).toMatch(/outriggers in · /);
  await sign();
  expect(screen.getByRole('alert').textContent).toMatch(/Put back what is still out/);
  expect(mockKept).toEqual([]);
});

it('asks once for what nobody has spoken of, before it is signed', async () => {
  mockWalk = walked([]);
  await show();
  await sign();
  expect(screen.getByRole('alert').textContent).toMatch(/Put back/);
  await act(async () => fireEvent.click(screen.getByTestId('all-stowed')));
  expect(mockKept).toEqual([
    expect.objectContaining({
      type: 'affirmed',
      payload: { what: 'all-stowed', zone: rig.zones[0].key },
    }),
  ]);
});

it('keeps what was put back, of the unit that it belongs to', async () => {
  mockWalk = walked(['outriggers']);
  await show();
  await act(async () => fireEvent.click(screen.getByTestId('put-back-outriggers-in')));
  expect(mockKept).toEqual([
    expect.objectContaining({
      type: 'changed',
      payload: { change: 'outriggers-in', unitId: unit.id },
    }),
  ]);
});

it('asks for nothing but the signature once everything is in', async () => {
  mockWalk = walked(['outriggers', 'outriggers-in', 'boom-down', 'power-take-off-off']);
  await show();
  expect(screen.queryByTestId('put-back-outriggers-in')).toBeNull();
  expect(screen.queryByTestId('all-stowed')).toBeNull();
  await sign();
  expect(screen.getByRole('alert').textContent).not.toMatch(/Put back/);
});

it('lets what does not roll be signed as it stands: the workshop fetches it', async () => {
  mockWalk = walked(['outriggers'], 'truck.wheel.nuts/steer-left nuts-two');
  expect(mockWalk.assessment.verdict.headline).toBe('stays');
  await show();
  expect(screen.getByTestId('put-back-outriggers-in')).toBeTruthy();
  await sign();
  expect(screen.getByRole('alert').textContent).not.toMatch(/Put back/);
});
