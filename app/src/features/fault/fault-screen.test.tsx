import { driver, makeRig } from '@nazar/core/testing';
import { act, fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import type { Walk } from '@/state/walk';
import { walkOf } from '../../../testing/walk';
import { FaultScreen } from './fault-screen';

let mockWalk: Walk | null | undefined;
const mockKept: { type: string; payload: Record<string, unknown> }[] = [];
const mockDrafts = new Map<string, unknown>();
jest.mock('@/state', () => ({
  ...jest.requireActual<object>('@/state'),
  useSession: (of: (state: unknown) => unknown) =>
    of({ person: { id: 'driver', name: 'Ivo Stamm', role: 'driver' } }),
}));
jest.mock('@/state/walk', () => ({
  ...jest.requireActual<object>('@/state/walk'),
  useWalk: () => mockWalk,
  useWalkSession: () => ({
    clock: { now: () => 1_800_000_000_000 },
    log: {
      append: (entries: never[]) => {
        mockKept.push(...entries);
        return Promise.resolve(true);
      },
    },
  }),
}));

const rig = makeRig();
const at = (ending: string) => {
  const found = rig.instances.find(({ key }) => key.endsWith(ending));
  if (!found) throw new Error(`no check ${ending}`);
  return found;
};
const show = async (
  walk: Walk | null | undefined,
  checkKey = at('truck.wheel.nuts/steer-left').key,
) => {
  mockWalk = walk;
  mockKept.length = 0;
  mockDrafts.clear();
  const onDone = jest.fn();
  render(
    <FaultScreen inspectionId="walk" checkKey={checkKey} onDone={onDone} onCompare={jest.fn()} />,
  );
  await act(async () => new Promise((resolve) => setTimeout(resolve, 20)));
  return onDone;
};

it('waits while the walk is read, and says so when there is none', async () => {
  await show(null);
  expect(screen.queryByRole('button')).toBeNull();
});

it('begins with the symptoms of this very check', async () => {
  const instance = at('truck.wheel.nuts/steer-left');
  await show(
    walkOf(() => undefined, rig),
    instance.key,
  );
  for (const { words } of instance.check.symptoms)
    expect(screen.getByRole('button', { name: new RegExp(words.slice(0, 12)) })).toBeTruthy();
  expect(mockKept).toEqual([]);
});

it('is closed once the walk is signed: nothing of a sealed walk is changed', async () => {
  const signed = walkOf((log) => {
    log.add('signed', { odometer: 1, signature: { name: 'Ivo', strokes: [] } } as never, driver);
  }, rig);
  await show(signed);
  expect(screen.getByRole('heading').textContent).toMatch(/signed/i);
  expect(screen.queryByRole('button')).toBeNull();
});

it('goes on from a symptom to the next question, and keeps nothing before it is finished', async () => {
  const instance = at('truck.wheel.nuts/steer-left');
  await show(
    walkOf(() => undefined, rig),
    instance.key,
  );
  await act(async () =>
    fireEvent.click(
      screen.getByRole('button', {
        name: new RegExp(instance.check.symptoms[0].words.slice(0, 12)),
      }),
    ),
  );
  expect(mockKept).toEqual([]);
  // It goes on to the next question.
  expect(
    screen.queryByRole('button', {
      name: new RegExp(instance.check.symptoms[1].words.slice(0, 12)),
    }),
  ).toBeNull();
});
