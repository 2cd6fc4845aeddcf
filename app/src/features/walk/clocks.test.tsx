import type { Clock } from '@nazar/core/vehicle';
import { LATE_AFTER, type VehicleState } from '@nazar/core/walking';
import { act, render, screen } from '@testing-library/react';
import '@/i18n';
import { Clocks } from './clocks';

const mockRing = jest.fn();
jest.mock('@/workers', () => ({
  ring: (words: string) => mockRing(words),
  mayTell: () => 'never',
  askToTell: jest.fn(),
}));

beforeEach(() => {
  jest.useFakeTimers();
  mockRing.mockClear();
});
afterEach(() => jest.useRealTimers());

/** Second by second, as the screen draws it. */
function pass(seconds: number) {
  for (let second = 0; second < seconds; second += 1) act(() => jest.advanceTimersByTime(1000));
}

function show(wanted: readonly Clock[], change: Partial<VehicleState> = {}) {
  const now = Date.now();
  const state: VehicleState = {
    values: { engine: 'idling' },
    air: { psi: 0, since: now },
    airAt: now + 90_000,
    oilAt: Infinity,
    warmAt: now + 300_000,
    ...change,
  };
  render(<Clocks state={state} wanted={new Set(wanted)} />);
}

it('shows only what somebody waits for', () => {
  show(['air']);
  expect(screen.getByTestId('clocks').textContent).toMatch(/Air builds up1:(29|30)/);
  expect(screen.getByTestId('clocks').textContent).not.toContain('Engine');
});

it('rings once when a clock ends, and once more when nobody came', () => {
  show(['air']);
  pass(89);
  expect(mockRing).not.toHaveBeenCalled();
  pass(2);
  expect(mockRing.mock.calls).toEqual([['Air: ready']]);
  pass(60);
  expect(mockRing).toHaveBeenCalledTimes(1);
  pass(LATE_AFTER);
  expect(mockRing).toHaveBeenCalledTimes(2);
  expect(mockRing.mock.calls[1][0]).toMatch(/^Air: ready for \d+ min/);
});

it('rings for each of two', () => {
  show(['air', 'warm']);
  pass(301);
  const rung = mockRing.mock.calls.map(([words]) => words);
  expect(rung).toContain('Air: ready');
  expect(rung).toContain('Warm engine: ready');
});

it('tells of an exhaust that cleans itself though no check waits for it', () => {
  show([], { cleanAt: Date.now() + 1_200_000 });
  expect(screen.getByTestId('clocks').textContent).toMatch(
    /The exhaust cleans itself(20:00|19:59)/,
  );
});

it('takes no room when nothing runs', () => {
  show([]);
  expect(screen.queryByTestId('clocks')).toBeNull();
});
