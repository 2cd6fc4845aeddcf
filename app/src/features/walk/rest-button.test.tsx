import { fold } from '@nazar/core/inspection';
import { floorOf, orderWalk } from '@nazar/core/planning';
import { begunOf, makeLog, makeRig, walkId } from '@nazar/core/testing';
import { act, fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import type { Walk } from '@/state/walk';
import { RestButton } from './rest-button';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

it('opens when nobody could have been faster, and not before', () => {
  const rig = makeRig();
  const [stop] = orderWalk(rig);
  const log = makeLog();
  log.add('begun', begunOf(rig), undefined, Date.now());
  const walk = { inspection: fold(walkId, log.events) } as unknown as Walk;
  const onRest = jest.fn();
  render(
    <RestButton
      walk={walk}
      stop={stop}
      open={stop.instances}
      watched={new Set()}
      onRest={onRest}
    />,
  );
  const button = () => screen.getByTestId('rest');
  expect(screen.queryByTestId('rest')).toBeNull();
  expect(screen.getByTestId('rest-wait').textContent).toMatch(/sound, in \d+ s$/);
  act(() => jest.advanceTimersByTime(floorOf(stop.instances) * 1000 + 500));
  expect(button().textContent).toMatch(/^The rest of this stop is sound \(\d+\)$/);
  fireEvent.click(button());
  const [[instances]] = onRest.mock.calls;
  expect(instances.length).toBeGreaterThan(1);
});
