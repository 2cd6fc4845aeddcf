import type { ProcedureStep } from '@nazar/core/catalogue';
import { catalogue } from '@nazar/core/content';
import { act, fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { ProcedureSheet } from './procedure-sheet';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

function show(procedureId: string, helper?: string, first: Partial<ProcedureStep> = {}) {
  const module = catalogue.modules.find(({ procedures }) =>
    procedures.some(({ id }) => id === procedureId),
  );
  const found = module?.procedures.find(({ id }) => id === procedureId);
  const procedure = found && {
    ...found,
    steps: found.steps.map((step, at) => (at === 0 ? { ...step, ...first } : step)),
  };
  const check = module?.checks.find(({ id }) => id === procedure?.check);
  if (!procedure || !check) throw new RangeError(procedureId);
  const onGood = jest.fn();
  const onFailed = jest.fn();
  const sheet = (watching: string | undefined) => (
    <ProcedureSheet
      procedure={procedure}
      check={check}
      habit="metric"
      helper={watching}
      onGood={onGood}
      onFailed={onFailed}
      onClose={() => undefined}
    />
  );
  const { rerender } = render(sheet(helper));
  return { procedure, onGood, onFailed, leave: () => rerender(sheet(undefined)) };
}

const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const pass = (seconds: number) => act(() => jest.advanceTimersByTime(seconds * 1000));

it('shows the clear zone in the reader’s units and every caution before anything moves', () => {
  const { procedure } = show('plow.cycle.procedure');
  expect(screen.getByRole('dialog').textContent).toMatch(/4\.00 m by 6\.00 m/);
  for (const { words } of procedure.cautions) expect(screen.getByText(words)).toBeTruthy();
  expect(screen.queryByText(/^Step/)).toBeNull();
});

it('says why it ends when a gate is answered with no', () => {
  const { onGood } = show('plow.cycle.procedure');
  press('Zone is clear, begin');
  press('No');
  expect(screen.getByRole('alert').textContent).toMatch(/swings wider than the truck/);
  expect(onGood).not.toHaveBeenCalled();
});

it('takes no yes to a question before the hold of the same step is over', () => {
  show('plow.cycle.procedure', undefined, { holdSeconds: 10 });
  press('Zone is clear, begin');
  const yes = () => screen.getByRole('button', { name: 'Yes' }) as HTMLButtonElement;
  expect(yes().disabled).toBe(true);
  pass(11);
  expect(yes().disabled).toBe(false);
  press('Yes');
  expect(screen.getByText(/^Step 2/)).toBeTruthy();
});

it('counts a hold, and times again what was too slow', () => {
  show('plow.cycle.procedure');
  press('Zone is clear, begin');
  press('Yes');
  pass(20);
  expect(screen.getByRole('alert').textContent).toMatch(/it may take 12 s/);
  press('Time it again');
  pass(5);
  press('Good, next step');
  expect(screen.getByText('Hold 1:00')).toBeTruthy();
  expect(
    screen.getByRole('button', { name: 'Good, next step' }).getAttribute('aria-disabled'),
  ).toBe('true');
});

it('hands on the symptom that shows in a step', () => {
  const { onFailed, onGood } = show('plow.cycle.procedure');
  press('Zone is clear, begin');
  press('Yes');
  press('A movement does not work');
  expect(onFailed).toHaveBeenCalledWith('plow-dead');
  expect(onGood).not.toHaveBeenCalled();
});

it('stops where the helper leaves while something moves, and nothing of it is sound', () => {
  const { leave, onGood } = show('aerial.cycle.procedure', 'Petra Lunde');
  press('Zone is clear, begin');
  press('Yes');
  leave();
  expect(screen.getByRole('alert').textContent).toMatch(/helper has gone.*Begin again/);
  expect(screen.queryByRole('button', { name: 'Good, next step' })).toBeNull();
  expect(onGood).not.toHaveBeenCalled();
});
