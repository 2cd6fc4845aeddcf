import { callSeconds } from '@nazar/core/walking';
import { driver } from '@nazar/core/testing';
import { act, fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { walkOf } from '../../../testing/walk';
import { LampSheet } from './lamp-sheet';

jest.mock('@/drawing', () => ({ RigDrawing: () => null }));

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

function show(walk = walkOf(), lampsOn = false) {
  const on = {
    onLampsOn: jest.fn(),
    onLit: jest.fn(),
    onDark: jest.fn(),
    onAsk: jest.fn(),
    onClose: jest.fn(),
  };
  render(<LampSheet walk={walk} lampsOn={lampsOn} {...on} />);
  return on;
}

const withPhone = () =>
  walkOf((log) => {
    log.add('joined', { name: 'Petra Lunde', phone: true }, driver);
  });
const touch = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const called = () => screen.getByRole('heading', { name: / lamp\b|^Headlamp|signal/i }).textContent;
/** Second by second, as the screen draws it. */
function pass(seconds: number) {
  for (let second = 0; second < seconds; second += 1) act(() => jest.advanceTimersByTime(1000));
}

it('switches the lamps on, then calls the first', () => {
  const on = show();
  touch('Begin');
  expect(on.onLampsOn).toHaveBeenCalled();
  expect(screen.getByText(/^Call 1 of \d+/)).toBeTruthy();
  touch('It lights');
  expect(on.onLit).toHaveBeenCalledTimes(1);
});

it('does not switch on what is on', () => {
  const on = show(walkOf(), true);
  touch('Begin');
  expect(on.onLampsOn).not.toHaveBeenCalled();
});

it('names the fault of a lamp that is dark', () => {
  const on = show();
  touch('Begin');
  touch('It is dark');
  const [[instance, symptomId]] = on.onDark.mock.calls;
  expect(instance.check.symptoms.map(({ id }: { id: string }) => id)).toContain(symptomId);
});

it('calls the next when nobody answers in time, and answers nothing by itself', () => {
  const on = show();
  touch('Begin');
  const first = called();
  pass(callSeconds(false) - 1);
  expect(called()).toBe(first);
  pass(2);
  expect(called()).not.toBe(first);
  expect(on.onLit).not.toHaveBeenCalled();
  expect(on.onDark).not.toHaveBeenCalled();
});

it('asks the helper’s phone for each lamp, gives it longer, and for none at the end', () => {
  const on = show(withPhone());
  touch('Begin');
  expect(on.onAsk).toHaveBeenCalledTimes(1);
  const [[first]] = on.onAsk.mock.calls;
  expect(first).toHaveLength(1);
  pass(callSeconds(false) + 1);
  expect(on.onAsk).toHaveBeenCalledTimes(1);
  pass(callSeconds(true) - callSeconds(false));
  expect(on.onAsk.mock.calls.at(-1)?.[0]).not.toEqual(first);
  touch('Close');
  expect(on.onAsk).toHaveBeenLastCalledWith([]);
  expect(on.onClose).toHaveBeenCalled();
});
