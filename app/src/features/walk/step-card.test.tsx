import { fireEvent, render, screen } from '@testing-library/react';
import { AFFIRMATIONS, VEHICLE_CHANGES } from '@nazar/core/vehicle';
import type { NextStep } from '@nazar/core/walking';
import '@/i18n';
import { laterEn as en } from '@/i18n/later';
import { StepCard } from './step-card';

function show(step: NextStep) {
  const on = { done: jest.fn(), open: jest.fn(), elsewhere: jest.fn() };
  render(
    <StepCard
      step={step}
      onDone={on.done}
      onOpen={on.open}
      onElsewhere={on.elsewhere}
      onCannot={() => undefined}
      onFault={() => undefined}
    />,
  );
  return on;
}

const touch = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

it('asks for what is done next, and leaves “could not look” and “fault” open', () => {
  const on = show({ kind: 'do', change: 'chocks-in' });
  expect(screen.getByRole('heading').textContent).toBe('Set the chocks');
  for (const name of ['Could not look', 'Fault']) screen.getByRole('button', { name });
  touch('Chocks are in');
  expect(on.done).toHaveBeenCalled();
});

it('opens the start instead of believing that it runs', () => {
  const on = show({ kind: 'do', change: 'start' });
  touch('Start step by step');
  expect(on.open).toHaveBeenCalled();
  expect(on.done).not.toHaveBeenCalled();
});

it('takes a word for a clock only where a gauge can tell it', () => {
  const on = show({ kind: 'wait', clock: 'settle', until: Date.now() + 90_000 });
  expect(screen.getByText(/^1:(29|30)$/)).toBeTruthy();
  expect(screen.queryByTestId('step-done')).toBeNull();
  touch('Go on elsewhere');
  expect(on.elsewhere).toHaveBeenCalled();
});

it('has words for every step there can be', () => {
  for (const change of VEHICLE_CHANGES) {
    expect(en.change[change]).toBeTruthy();
    expect(en.changeDone[change]).toBeTruthy();
    expect(en.changeWhy[change]).toBeTruthy();
    expect(en.changeFound[change]).toBeTruthy();
  }
  for (const what of AFFIRMATIONS) expect(en.affirm[what].yes).toBeTruthy();
});
