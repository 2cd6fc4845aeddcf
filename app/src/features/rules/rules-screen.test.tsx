import type { HouseRules } from '@nazar/core/wire';
import { act, fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { RulesScreen } from './rules-screen';

let mockRole = 'supervisor';
let mockRefusal: string | undefined;
const mockReload = jest.fn();
const mockRefresh = jest.fn(() => Promise.resolve());
const mockHeld: unknown[] = [];
jest.mock('./policy-card', () => ({ PolicyCard: () => null }));
jest.mock('./calendar-card', () => ({ CalendarCard: () => 'calendar' }));
jest.mock('@/state', () => {
  class ApiProblem extends Error {
    detail: string;
    constructor(detail: string) {
      super();
      this.detail = detail;
    }
  }
  const reference = { depot: { name: 'North yard' }, units: [{ id: 'u214', number: '214' }] };
  const rules = {
    retention: { kept: 12, soon: 1, removed: 3 },
    policies: [],
    own: [],
    holds: [{ id: 'h', unitId: 'u214', words: 'asked for by the insurer', at: 0, by: 'Runa Vale' }],
  } as unknown as HouseRules;
  const useReference = (of: (state: unknown) => unknown) => of({ reference });
  useReference.getState = () => ({ refresh: mockRefresh });
  const answer = (call: unknown) => {
    mockHeld.push(call);
    return mockRefusal === undefined
      ? Promise.resolve()
      : Promise.reject(new ApiProblem(mockRefusal));
  };
  return {
    ApiProblem,
    useReference,
    useSession: (of: (state: unknown) => unknown) =>
      of({ person: { id: 'p', name: 'Runa Vale', role: mockRole } }),
    useHouseRules: () => ({ value: rules, reload: mockReload }),
    hold: (unitId: string, words: string) => answer({ unitId, words }),
    liftHold: (id: string) => answer({ id }),
  };
});

const show = (role: string, refusal?: string) => {
  mockRole = role;
  mockRefusal = refusal;
  mockHeld.length = 0;
  jest.clearAllMocks();
  render(<RulesScreen onContent={jest.fn()} onBack={jest.fn()} />);
};
const lift = () =>
  act(async () =>
    fireEvent.click(screen.getByRole('button', { name: /asked for by the insurer/ })),
  );

it('lets a supervisor lift a hold, and reads rules and reference anew', async () => {
  show('supervisor');
  await lift();
  expect(mockHeld).toEqual([{ id: 'h' }]);
  expect(mockReload).toHaveBeenCalled();
  expect(mockRefresh).toHaveBeenCalledWith('p');
});

it('says each line of a refusal, and takes nothing for done', async () => {
  show('supervisor', 'The unit is not of your depot.\nChoose another.');
  await lift();
  expect(screen.getAllByRole('alert').map(({ textContent }) => textContent)).toEqual([
    'The unit is not of your depot.',
    'Choose another.',
  ]);
  expect(mockReload).not.toHaveBeenCalled();
});

it('puts a hold on a unit only with a reason, and keeps what was typed where it is refused', async () => {
  show('supervisor', 'Busy.');
  const put = () => screen.getByRole('button', { name: 'Put a hold on it' });
  fireEvent.click(screen.getByText('214'));
  expect(put().getAttribute('aria-disabled') ?? put().getAttribute('disabled')).not.toBeNull();
  fireEvent.change(screen.getByRole('textbox'), { target: { value: 'court' } });
  await act(async () => fireEvent.click(put()));
  expect(mockHeld).toEqual([{ unitId: 'u214', words: 'court' }]);
  expect((screen.getByRole('textbox') as HTMLInputElement).value).toBe('court');
});

it('is only read by a driver', () => {
  show('driver');
  expect(screen.getByText(/asked for by the insurer/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: /asked for by the insurer/ })).toBeNull();
  expect(screen.queryByRole('textbox')).toBeNull();
});
