import { LIST_SHORT } from '@nazar/core/catalogue';
import { instanceOf, rigOf } from '@nazar/core/testing';
import { act, render } from '@testing-library/react';
import type { Walk } from '@/state/walk';
import { walkOf } from '../../../testing/walk';
import { sessionOf } from '../../../testing/walk-session';
import { useAnswers } from './use-answers';
import type { Position } from './use-position';

let kept = true;
const { entries, wrapper } = sessionOf({ keeps: () => kept });

const moveOn = jest.fn();
const closeSheet = jest.fn();
const onFault = jest.fn();

function answersOf(ending: string, walk: Walk = walkOf()) {
  entries.length = 0;
  jest.clearAllMocks();
  const current = instanceOf(walk.rig, ending);
  let answers: ReturnType<typeof useAnswers> | undefined;
  function Board() {
    const position = { current, moveOn } as unknown as Position;
    // Handed out so that the test can touch it.
    answers = useAnswers({ walk, personId: 'driver', position, closeSheet, onFault });
    return null;
  }
  render(<Board />, { wrapper });
  if (!answers) throw new Error('nothing was drawn');
  return { ...answers, current };
}

beforeEach(() => {
  kept = true;
});

const typesOf = () => entries.map(({ type }) => type);

it('writes what the check did to the vehicle before it calls it sound', async () => {
  const { answer, current } = answersOf('truck.approach.secured');
  await act(() => answer({ outcome: 'sound' }));
  const does = current.check.does ?? [];
  expect(does.length).toBeGreaterThan(0);
  expect(typesOf()).toEqual([...does.map(() => 'changed'), 'answered']);
  expect(moveOn).toHaveBeenCalledWith(current.key);
});

it('does nothing to the vehicle when it could not be looked at', async () => {
  const { answer } = answersOf('truck.approach.secured');
  await act(() => answer({ outcome: 'not-looked', reason: 'Snow' }));
  expect(typesOf()).toEqual(['answered']);
});

it('never calls sound what leaves the vehicle as it may not roll', async () => {
  const towed = walkOf(() => undefined, rigOf('truck', 'towed-away'));
  const { walkedThrough, current } = answersOf('truck.recovery.tow-away', towed);
  await act(() => walkedThrough());
  expect(entries).toMatchObject([
    { type: 'faulted', payload: { key: current.key, symptomId: 'made-ready' } },
  ]);
  expect(closeSheet).toHaveBeenCalled();
});

it('calls sound what was walked through to its end', async () => {
  const { walkedThrough } = answersOf('truck.brake.service');
  await act(() => walkedThrough());
  expect(entries.at(-1)).toMatchObject({ type: 'answered', payload: { outcome: 'sound' } });
});

it('stays where it is when an answer is taken back', async () => {
  const { answer } = answersOf('truck.wheel.nuts/steer-left');
  await act(() => answer({ outcome: 'cleared' }));
  expect(moveOn).not.toHaveBeenCalled();
});

it('moves on for nothing that was not kept', async () => {
  kept = false;
  const { answer, keepReading } = answersOf('truck.tyre.tread-steer/steer-left');
  await act(() => answer({ outcome: 'sound' }));
  await act(() => keepReading({ value: 0.0103, unit: '32nds', typed: '13' }));
  expect(moveOn).not.toHaveBeenCalled();
  expect(closeSheet).not.toHaveBeenCalled();
});

it('stays for the second reading where the first is too close to tell', async () => {
  const { keepReading } = answersOf('truck.tyre.tread-steer/steer-left');
  await act(() => keepReading({ value: (4 * 0.0254) / 32, unit: '32nds', typed: '4' }));
  expect(typesOf()).toEqual(['measured']);
  expect(closeSheet).not.toHaveBeenCalled();
});

it('makes a fault of a reading that is out of its limit, at the place where it was measured', async () => {
  const { keepReading, current } = answersOf('truck.tyre.tread-steer/steer-left');
  await act(() => keepReading({ value: (1 * 0.0254) / 32, unit: '32nds', typed: '1' }));
  expect(typesOf()).toEqual(['measured', 'faulted']);
  expect(entries[1].payload).toMatchObject({
    key: current.key,
    spot: { x: current.place?.x, y: current.place?.y },
  });
  expect(moveOn).not.toHaveBeenCalled();
});

describe('of a list', () => {
  const plow = walkOf(undefined, rigOf('plow truck'));
  const listed = plow.rig.instances.find(({ contents }) => contents !== undefined);
  if (!listed) throw new Error('nothing is counted on a plow truck');
  const items = [{ id: 'shear-bolts', found: 1 }];

  it('keeps the count and goes to the fault where it is not whole', async () => {
    const { keepCount } = answersOf(listed.key, plow);
    await act(() => keepCount(items, false));
    expect(typesOf()).toEqual(['counted']);
    expect(onFault).toHaveBeenCalledWith(listed.key, LIST_SHORT);
    expect(moveOn).not.toHaveBeenCalled();
  });

  it('calls it sound where it is', async () => {
    const { keepCount } = answersOf(listed.key, plow);
    await act(() => keepCount(items, true));
    expect(typesOf()).toEqual(['counted', 'answered']);
    expect(onFault).not.toHaveBeenCalled();
    expect(moveOn).toHaveBeenCalledWith(listed.key);
  });
});

it('marks what was called sound together', async () => {
  const walk = walkOf();
  const { soundTogether } = answersOf('truck.wheel.nuts/steer-left', walk);
  const some = walk.stops[0].instances.slice(0, 3);
  await act(async () => void (await soundTogether(some)));
  expect(entries.map(({ payload }) => payload)).toEqual(
    some.map(({ key }) => ({ key, outcome: 'sound', together: true })),
  );
});
