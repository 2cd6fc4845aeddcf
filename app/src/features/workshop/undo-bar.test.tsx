import { act, fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { UndoBar } from './undo-bar';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

function show() {
  const onElapsed = jest.fn();
  const onUndo = jest.fn();
  const { unmount } = render(
    <UndoBar words="Certified as repaired" onElapsed={onElapsed} onUndo={onUndo} />,
  );
  return { onElapsed, onUndo, unmount };
}
const pass = (seconds: number) => {
  for (let second = 0; second < seconds; second += 1) act(() => jest.advanceTimersByTime(1000));
};

it('does nothing before its time, and then once', () => {
  const { onElapsed } = show();
  pass(7);
  expect(onElapsed).not.toHaveBeenCalled();
  expect(screen.getByText('Certified as repaired in 1 s')).toBeTruthy();
  pass(3);
  expect(onElapsed).toHaveBeenCalledTimes(1);
});

it('is taken back', () => {
  const { onElapsed, onUndo, unmount } = show();
  fireEvent.click(screen.getByRole('button', { name: 'Take it back' }));
  expect(onUndo).toHaveBeenCalledTimes(1);
  pass(20);
  unmount();
  expect(onElapsed).not.toHaveBeenCalled();
});

it('need not be waited for', () => {
  const { onElapsed, unmount } = show();
  fireEvent.click(screen.getByRole('button', { name: 'Now' }));
  pass(20);
  unmount();
  expect(onElapsed).toHaveBeenCalledTimes(1);
});

it('signs what was signed when the mechanic turns to something else', () => {
  const { onElapsed, unmount } = show();
  pass(2);
  unmount();
  expect(onElapsed).toHaveBeenCalledTimes(1);
});
