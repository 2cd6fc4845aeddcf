import { act, render } from '@testing-library/react';
import { walkOf } from '../../../testing/walk';
import { sessionOf } from '../../../testing/walk-session';
import { useStarting } from './use-starting';

const { entries, wrapper } = sessionOf();

const onFault = jest.fn();
const onClose = jest.fn();

function startingOf(walk = walkOf()) {
  entries.length = 0;
  let starting: ReturnType<typeof useStarting> | undefined;
  function Board() {
    // Handed out so that the test can touch it.
    starting = useStarting(walk, 'driver', onFault, onClose);
    return null;
  }
  render(<Board />, { wrapper });
  if (!starting) throw new Error('nothing was drawn');
  return starting;
}

const written = () =>
  entries.map(
    ({ payload }: { payload: { change?: string; outcome?: string } }) =>
      payload.change ?? payload.outcome,
  );
const start = walkOf().rig.instances.find(({ check }) => check.guide === 'engine-start');
if (!start) throw new Error('no check asks for the start');

it('writes brake, start and the check that asks for it', () => {
  startingOf().runs();
  expect(written()).toEqual(['set-brake', 'start', 'sound']);
  expect(entries.at(-1)?.payload).toMatchObject({ key: start.key });
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
  expect(entries).toEqual([]);
});
