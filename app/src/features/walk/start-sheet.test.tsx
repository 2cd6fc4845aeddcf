import { act, fireEvent, render, screen } from '@testing-library/react';
import { USUAL_START } from '@nazar/core/walking';
import '@/i18n';
import { StartSheet } from './start-sheet';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

function show(limits = USUAL_START) {
  const on = { runs: jest.fn(), shut: jest.fn(), report: jest.fn() };
  render(
    <StartSheet
      limits={limits}
      onRuns={on.runs}
      onShut={on.shut}
      onReport={on.report}
      onClose={() => undefined}
    />,
  );
  return on;
}

const touch = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const pass = (seconds: number) => act(() => jest.advanceTimersByTime(seconds * 1000));
const gates = () => {
  for (let count = 0; count < 4; count += 1) touch('Yes');
};

it('runs after every gate, a short crank and oil pressure in time', () => {
  const on = show();
  gates();
  touch('I crank now');
  pass(3);
  touch('It runs');
  pass(5);
  expect(on.runs).not.toHaveBeenCalled();
  touch('Pressure is up');
  expect(on.runs).toHaveBeenCalledTimes(1);
  expect(screen.getByText('It idles. Oil pressure came in time.')).toBeTruthy();
});

it('ends at the first no, and leads to a report', () => {
  const on = show();
  touch('Yes');
  touch('No');
  expect(screen.getByRole('alert').textContent).toMatch(/Put it in neutral/);
  touch('Report what is wrong');
  expect(on.report).toHaveBeenCalled();
});

it('says when to let go, lets the starter rest, and cranks no fourth time', () => {
  show();
  gates();
  touch('I crank now');
  pass(16);
  expect(screen.getByRole('alert').textContent).toBe('Let go now.');
  for (let tries = 1; tries < 3; tries += 1) {
    touch('I let go, it did not catch');
    expect(
      screen.getByRole('button', { name: 'I crank again' }).getAttribute('aria-disabled'),
    ).toBe('true');
    pass(61);
    touch('I crank again');
    pass(2);
  }
  touch('I let go, it did not catch');
  expect(screen.getByRole('alert').textContent).toMatch(/did not catch in 3 tries/);
});

it('shuts down without oil pressure, and says so before anybody asks', () => {
  const on = show();
  gates();
  touch('I crank now');
  touch('It runs');
  pass(11);
  expect(screen.getByRole('alert').textContent).toMatch(/Shut down now/);
  touch('No pressure: shut down');
  expect(on.shut).toHaveBeenCalledTimes(1);
  expect(on.runs).not.toHaveBeenCalled();
});

it('cranks no longer and no oftener than the card of the unit allows', () => {
  show({ ...USUAL_START, crank: 10, rest: 120, tries: 2 });
  gates();
  expect(screen.getByText('Crank for 10 s at most. Let go as soon as it catches.')).toBeTruthy();
  touch('I crank now');
  pass(11);
  touch('I let go, it did not catch');
  expect(screen.getByText('The starter cools. Try 1 of 2 is done.')).toBeTruthy();
  pass(119);
  expect(screen.getByRole('button', { name: 'I crank again' }).getAttribute('aria-disabled')).toBe(
    'true',
  );
  pass(2);
  touch('I crank again');
  touch('I let go, it did not catch');
  expect(screen.getByRole('alert').textContent).toMatch(/did not catch in 2 tries/);
});
