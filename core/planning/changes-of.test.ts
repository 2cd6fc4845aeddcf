import { planWalk } from '../planner';
import { rigOf } from '../testing';
import { changesOf } from '.';

describe('what a happening does to the vehicle', () => {
  it('is a change by itself, and what a check does in its own course; going and waiting do nothing', () => {
    expect(changesOf({ kind: 'change', change: 'key-on' })).toEqual(['key-on']);
    expect(changesOf({ kind: 'check', does: ['start', 'power-take-off'] })).toEqual([
      'start',
      'power-take-off',
    ]);
    expect(changesOf({ kind: 'check', does: [] })).toEqual([]);
    expect(changesOf({ kind: 'go' })).toEqual([]);
    expect(changesOf({ kind: 'wait' })).toEqual([]);
  });

  it('finds the power take-off of a plow truck also where a check engages it', () => {
    const { happenings } = planWalk({
      rig: rigOf('plow truck'),
      phase: 'pre-trip',
      circumstances: [],
    });
    const engages = happenings.filter((each) => changesOf(each).includes('power-take-off'));
    expect(engages.some(({ kind }) => kind === 'check')).toBe(true);
  });
});
