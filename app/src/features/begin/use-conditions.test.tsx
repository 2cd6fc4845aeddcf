import { act, renderHook } from '@testing-library/react';
import { useConditions, type Conditions } from './use-conditions';

jest.mock('@/state', () => ({ useHabit: () => 'metric' }));

const weather = {
  station: 'Saddle Road',
  airC: 3,
  surfaceC: -1,
  wind: 4,
  precipitation: 'none',
} as unknown as Parameters<Conditions['take']>[0];

it('takes nothing for granted: by day or by night, everything is asked first', () => {
  const { result } = renderHook(useConditions);
  expect(result.current.open).toEqual(['light', 'weather', 'frost']);
  expect(result.current.circumstances).toEqual([]);
});

it('records what was said, and no more', () => {
  const { result } = renderHook(useConditions);
  act(() => result.current.setDark(true));
  act(() => result.current.setWet(false));
  expect(result.current.open).toEqual(['frost']);
  act(() => result.current.setFreezing(false));
  expect(result.current.open).toEqual([]);
  expect(result.current.circumstances).toEqual(['dark']);
});

it('reads frost from a temperature, and lets somebody who feels it say otherwise', () => {
  const { result } = renderHook(useConditions);
  act(() => result.current.setTyped('-2'));
  expect(result.current.open).toEqual(['light', 'weather']);
  expect(result.current.circumstances).toEqual(['freezing']);
  act(() => result.current.setFreezing(false));
  expect(result.current.typed).toBe('');
  expect(result.current.circumstances).toEqual([]);
});

it('takes all three from the station at a touch; frost on the road under warmer air stays frost', () => {
  const { result } = renderHook(useConditions);
  act(() => result.current.take(weather, ['freezing', 'wet']));
  expect(result.current.open).toEqual([]);
  expect(result.current.circumstances).toEqual(['wet', 'freezing']);
  expect(result.current.typed).toBe('');
});
