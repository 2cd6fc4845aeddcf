import type { ReplanReason } from '@nazar/core/walking';
import { fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { TurnBanner } from './turn-banner';

const show = (turns: readonly ReplanReason[], moved = 0, added = 0) => {
  const onGo = jest.fn();
  render(<TurnBanner told={{ turns, moved, added }} stop="Rear end" onGo={onGo} />);
  return onGo;
};

it.each<readonly [ReplanReason, RegExp]>([
  [{ id: '1', code: 'helper-came', name: 'Petra Lunde' }, /Petra Lunde helps now/],
  [{ id: '1', code: 'helper-left' }, /alone again/],
  [{ id: '1', code: 'dropped', number: '931' }, /931/],
  [{ id: '1', code: 'engine-early' }, /The engine runs early/],
  [{ id: '1', code: 'engine-off-early' }, /The engine is off/],
  [{ id: '1', code: 'forbidden', title: 'Listen for air', count: 3 }, /Listen for air/],
  [{ id: '1', code: 'skipped', title: 'Cab' }, /Cab/],
])('says what happened: %o', (turn, words) => {
  show([turn]);
  expect(screen.getByTestId('turn').textContent).toMatch(words);
  // Nothing of the sentence was left to be filled in.
  expect(screen.getByTestId('turn').textContent).not.toMatch(/[{}]|turn\./);
});

it('says what the weather adds, and where the plan goes on', () => {
  const onGo = show([{ id: '1', code: 'turned', circumstances: ['freezing'] }], 2, 5);
  expect(screen.getByTestId('turn').textContent).toMatch(/5/);
  expect(screen.getByTestId('turn').textContent).toMatch(/2 stops have moved/);
  fireEvent.click(screen.getByRole('button', { name: 'Now: Rear end' }));
  expect(onGo).toHaveBeenCalled();
});
