import { act, render } from '@testing-library/react';
import type { NewEntry } from '../../state/log';
import { walkOf } from '../../../testing/walk';
import { useStarting } from './use-starting';

const mockEntries: NewEntry<'changed' | 'answered'>[] = [];
jest.mock('@/state', () => ({
  appendEntries: (entries: NewEntry<'changed' | 'answered'>[]) => {
    mockEntries.push(...entries);
    return Promise.resolve(true);
  },
}));

const onFault = jest.fn();
const onClose = jest.fn();

function startingOf(walk = walkOf()) {
  mockEntries.length = 0;
  let starting: ReturnType<typeof useStarting> | undefined;
  function Board() {
    // Handed out so that the test can touch it.
    starting = useStarting(walk, 'driver', onFault, onClose);
    return null;
  }
  render(<Board />);
  if (!starting) throw new Error('nothing was drawn');
  return starting;
}

const written = () =>
  mockEntries.map(({ payload }) => ('change' in payload ? payload.change : payload.outcome));
const start = walkOf().rig.instances.find(({ check }) => check.guide === 'engine-start');
if (!start) throw new Error('no check asks for the start');

it('writes brake, start and the check that asks for it', () => {
  startingOf().runs();
  expect(written()).toEqual(['set-brake', 'start', 'sound']);
  expect(mockEntries.at(-1)?.payload).toMatchObject({ key: start.key });
});

it('does not answer a second time what has been answered', () => {
  startingOf(walkOf((log) => log.add('answered', { key: start.key, outcome: 'sound' }))).runs();
  expect(written()).toEqual(['set-brake', 'start']);
});

it('is a fault where the oil pressure did not come', async () => {
  const starting = startingOf();
  await act(async () => starting.shut());
  expect(written()).toEqual(['start', 'shut-down']);
  expect(onFault).toHaveBeenCalledWith(start.key, start.check.symptoms[0].id);
});

it('is a fault of that check where it does not start', () => {
  startingOf().report();
  expect(onFault).toHaveBeenLastCalledWith(start.key);
  expect(mockEntries).toEqual([]);
});
