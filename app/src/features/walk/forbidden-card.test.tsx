import { fireEvent, render, screen } from '@testing-library/react';
import type { InstanceState } from '@nazar/core/inspection';
import { instanceOf, makeRig } from '@nazar/core/testing';
import type { Forbidden } from '@nazar/core/walking';
import '@/i18n';
import { ForbiddenCard } from './forbidden-card';

const rig = makeRig();
const hose = instanceOf(rig, 'truck.brake.hose/steer-left');

function show(state: InstanceState) {
  const forbidden: Forbidden = {
    instance: instanceOf(rig, 'truck.brake.service'),
    because: {
      instance: hose,
      state,
      ...(state === 'major' && {
        answer: {
          eventId: 'e',
          kind: 'fault',
          symptomId: hose.check.symptoms.find(({ harm }) => harm === 'stop')?.id ?? '',
        },
      }),
    } as Forbidden['because'],
  };
  const onLeave = jest.fn();
  const onFault = jest.fn();
  render(<ForbiddenCard forbidden={forbidden} onLeave={onLeave} onFault={onFault} />);
  return { onLeave, onFault };
}

it('says at once, in the way of an alarm, that the test is not made and what was found', () => {
  const { onLeave } = show('major');
  expect(screen.getByRole('alert').textContent).toContain('Do not test this');
  expect(screen.getByRole('alert').textContent).toContain('Brake hose, ');
  fireEvent.click(screen.getByTestId('leave-out'));
  expect(onLeave).toHaveBeenCalledTimes(1);
  const [reason] = onLeave.mock.calls[0] as [string];
  expect(reason).toContain('Not tested');
  expect(reason.length).toBeLessThanOrEqual(300);
});

it('says of what nobody could see that nobody could, not that it is broken', () => {
  const { onLeave } = show('not-looked');
  expect(screen.getByRole('alert').textContent).toContain('nobody could look at it');
  fireEvent.click(screen.getByTestId('leave-out'));
  expect(onLeave.mock.calls[0]?.[0]).toContain('could not be looked at');
});

it('leaves open to report a fault that is in plain sight', () => {
  const { onFault } = show('major');
  fireEvent.click(screen.getByRole('button', { name: 'Fault' }));
  expect(onFault).toHaveBeenCalled();
});
