import { faultOf, instanceOf, measuredOf } from '@nazar/core/testing';
import { render } from '@testing-library/react';
import type { Walk } from '@/state/walk';
import { walkOf } from '../../../testing/walk';
import { asksReading, usePosition, type Position } from './use-position';

/** Where the feet stand who come back from `at`. */
function positionAt(walk: Walk, at: string): Position {
  let position: Position | undefined;
  function Board() {
    position = usePosition(walk, at);
    return null;
  }
  render(<Board />);
  if (!position) throw new Error('nothing was drawn');
  return position;
}

const tread = 'truck.tyre.tread-steer/steer-left';

it('stays at a fault that was named without the number that the check asks for', () => {
  const walk = walkOf((log, rig) => {
    const mild = instanceOf(rig, tread).check.symptoms.find(({ harm }) => harm !== 'stop');
    log.add('faulted', faultOf(instanceOf(rig, tread), mild?.id ?? ''));
  });
  const { key } = instanceOf(walk.rig, tread);
  expect(asksReading(walk, key)).toBe(true);
  expect(positionAt(walk, key).current.key).toBe(key);
});

it('goes on to the next check once the number stands beside it', () => {
  const walk = walkOf((log, rig) => {
    const instance = instanceOf(rig, tread);
    const mild = instance.check.symptoms.find(({ harm }) => harm !== 'stop');
    log.add('faulted', faultOf(instance, mild?.id ?? ''));
    log.add('measured', measuredOf(instance.key, 9, '32nds'));
  });
  const { key } = instanceOf(walk.rig, tread);
  expect(asksReading(walk, key)).toBe(false);
  const { current, stop } = positionAt(walk, key);
  expect(current.key).not.toBe(key);
  expect(stop.instances.map((each) => each.key)).toContain(key);
});
