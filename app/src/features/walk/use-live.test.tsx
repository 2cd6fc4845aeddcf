import type { NextStep } from '@nazar/core/walking';
import { driver, instanceOf, startsAt } from '@nazar/core/testing';
import { act, render, screen } from '@testing-library/react';
import type { Walk } from '@/state/walk';
import { walkOf } from '../../../testing/walk';
import { sessionOf } from '../../../testing/walk-session';
import { useLive } from './use-live';

let now = 0;
const { wrapper } = sessionOf({ now: () => now });

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

const second = 1000;
const started = startsAt + 10 * second;

/** The engine runs since `started`, brake set, somebody at the wheel. */
const running = walkOf((log, { units }) => {
  const zone = `${units[0].unit.id}/seat`;
  log.add('changed', { change: 'set-brake' }, driver, startsAt + 2 * second);
  log.add('changed', { change: 'start' }, driver, started);
  log.add('affirmed', { what: 'three-points', zone }, driver, started + second);
});

function Board({ walk }: { readonly walk: Walk }) {
  const step: NextStep | undefined = useLive(walk, driver).stepOf(
    instanceOf(walk.rig, 'truck.cab.defroster'),
  );
  return <>{step ? `${step.kind} ${step.kind === 'wait' ? step.clock : ''}` : 'free'}</>;
}

function show() {
  now = started + 2 * second;
  render(<Board walk={running} />, { wrapper });
}

/** The clock goes on by so much, and the page has a moment to see it. */
function passes(seconds: number) {
  now += seconds * second;
  act(() => jest.advanceTimersByTime(second));
}

it('frees what waited as soon as its clock has run down', () => {
  show();
  passes(297);
  expect(screen.getByText('wait warm')).toBeTruthy();
  passes(2);
  expect(screen.getByText('free')).toBeTruthy();
});

it('sees it at once where the clock was put right by a leap', () => {
  show();
  passes(3600);
  expect(screen.getByText('free')).toBeTruthy();
});

it('waits again where the clock was set back', () => {
  show();
  passes(3600);
  passes(-3500);
  expect(screen.getByText('wait warm')).toBeTruthy();
});
