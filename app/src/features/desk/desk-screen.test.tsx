import type { Desk } from '@nazar/core/wire';
import { fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { DeskScreen } from './desk-screen';

let mockDesk: { value?: Desk; trouble?: 'offline' | { sentence: string }; reload: () => void };
let mockRole = 'supervisor';
jest.mock('./job-planner', () => ({ JobPlanner: () => null }));
jest.mock('@/state', () => ({
  useSession: (of: (state: unknown) => unknown) =>
    of({ person: { id: 'p', name: 'Runa Vale', role: mockRole } }),
  useReference: (of: (state: unknown) => unknown) =>
    of({
      reference: {
        depot: { name: 'North yard' },
        units: [{ id: 'u214', number: '214', title: 'flatbed truck' }],
      },
    }),
  useDesk: () => mockDesk,
}));

const walk = (more: object) => ({
  inspectionId: 'walk',
  numbers: ['214', '931'],
  phase: 'pre-trip',
  headline: 'limits',
  signedAt: '2026-11-27T05:00:00.000Z',
  driver: 'Ivo Stamm',
  ...more,
});
const desk = (more: Partial<Record<keyof Desk, unknown>> = {}): Desk =>
  ({
    walks: [],
    outings: [],
    jobs: [],
    setAside: [],
    pace: { stops: 0, hasty: 0, places: [] },
    ...more,
  }) as unknown as Desk;
const show = (value: typeof mockDesk) => {
  mockDesk = value;
  const on = {
    onWalk: jest.fn(),
    onUnit: jest.fn(),
    onRules: jest.fn(),
    onWorkshop: jest.fn(),
    onToday: jest.fn(),
  };
  render(<DeskScreen {...on} />);
  return on;
};

it('has a walk that was signed before work and has not left, with its verdict', () => {
  const on = show({ value: desk({ walks: [walk({})] }), reload: jest.fn() });
  fireEvent.click(screen.getByRole('button', { name: /214 \+ 931/ }));
  expect(on.onWalk).toHaveBeenCalledWith('walk');
});

it.each([
  ['left already', { outAt: '2026-11-27T06:00:00.000Z' }],
  ['was walked after work', { phase: 'post-trip' }],
])('does not call ready what %s', (_, more) => {
  show({ value: desk({ walks: [walk(more)] }), reload: jest.fn() });
  expect(screen.queryByRole('button', { name: /214 \+ 931/ })).toBeNull();
});

it('says how many stops were too quick, as a share', () => {
  show({
    value: desk({ pace: { stops: 40, hasty: 6, places: [{ title: 'Rear end', count: 4 }] } }),
    reload: jest.fn(),
  });
  expect(screen.getByText(/15 ?%/)).toBeTruthy();
  expect(screen.getByText(/Rear end \(4\)/)).toBeTruthy();
});

it('says that it needs the network, and shows nothing old in its place', () => {
  show({ trouble: 'offline', reload: jest.fn() });
  expect(screen.getByRole('alert').textContent).not.toBe('');
  expect(screen.queryByText('Units')).toBeNull();
});

it('says the sentence of the server where it does not answer as wished', () => {
  show({ trouble: { sentence: 'Sign in again.' }, reload: jest.fn() });
  expect(screen.getByRole('alert').textContent).toBe('Sign in again.');
});
