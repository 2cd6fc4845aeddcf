import { act, fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { SetAsideCard } from './set-aside-card';

const mockForgotten: string[] = [];
jest.mock('@/state', () => {
  class ApiProblem extends Error {
    detail = 'This entry is not here any more.';
  }
  return {
    ApiProblem,
    forgetSetAside: (id: string) => {
      mockForgotten.push(id);
      return id === 'gone' ? Promise.reject(new ApiProblem()) : Promise.resolve();
    },
  };
});

const entry = {
  id: 'one',
  person: 'Imre Dahl',
  count: 2,
  code: 'clock-ahead',
  detail: 'Set it, then enter this again.',
  receivedAt: '2026-11-27T05:00:00.000Z',
};
const show = (more: Partial<typeof entry> = {}, mayForget = true) => {
  const onChanged = jest.fn();
  render(
    <SetAsideCard entries={[{ ...entry, ...more }]} mayForget={mayForget} onChanged={onChanged} />,
  );
  return onChanged;
};
const lookAfter = () =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name: /Looked after/ }));
  });

it('says who, how many, why, and what to do', () => {
  show();
  expect(screen.getByText(/Imre Dahl · 2 entries/)).toBeTruthy();
  expect(screen.getByText(/The clock of the phone was ahead/)).toBeTruthy();
});

it('is ticked off by a supervisor, and read anew', async () => {
  const onChanged = show();
  await lookAfter();
  expect(mockForgotten).toContain('one');
  expect(onChanged).toHaveBeenCalled();
});

it('says so when somebody else has looked after it', async () => {
  show({ id: 'gone' });
  await lookAfter();
  expect(screen.getByRole('alert').textContent).toBe('This entry is not here any more.');
});

it('is only read by a mechanic', () => {
  show({}, false);
  expect(screen.queryByRole('button')).toBeNull();
});

it('is not there when nothing was set aside', () => {
  render(<SetAsideCard entries={[]} mayForget onChanged={() => undefined} />);
  expect(screen.queryByRole('heading')).toBeNull();
});
