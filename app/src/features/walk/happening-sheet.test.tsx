import { driver, trailer, truck } from '@nazar/core/testing';
import { fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { usePreferences } from '@/state';
import { walkOf } from '../../../testing/walk';
import { HappeningSheet } from './happening-sheet';

function show(walk = walkOf(), lamps = 3) {
  const on = {
    onTurned: jest.fn(),
    onDropped: jest.fn(),
    onSkip: jest.fn(),
    onHelper: jest.fn(),
    onLamps: jest.fn(),
    onClose: jest.fn(),
  };
  render(<HappeningSheet walk={walk} lamps={lamps} {...on} />);
  return on;
}

const touch = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

it('offers the weather that has not come up yet, and tells which it is', () => {
  const on = show(walkOf((log) => log.add('turned', { circumstances: ['wet'] }, driver)));
  expect(screen.queryByRole('button', { name: /rain/i })).toBeNull();
  touch(/dark/i);
  expect(on.onTurned).toHaveBeenCalledWith('dark');
  touch(/frost|freez/i);
  expect(on.onTurned).toHaveBeenLastCalledWith('freezing');
});

it('leaves a unit behind only with a reason that can be read, and never the one that drives', () => {
  const on = show();
  expect(
    screen.queryByRole('button', { name: new RegExp(`${truck.number} ${truck.title}`) }),
  ).toBeNull();
  touch(new RegExp(`${trailer.number} ${trailer.title}`));
  const go = () => screen.getByRole('button', { name: /stays|leave/i });
  fireEvent.click(go());
  fireEvent.change(screen.getByRole('textbox'), { target: { value: ' x ' } });
  fireEvent.click(go());
  expect(on.onDropped).not.toHaveBeenCalled();
  fireEvent.change(screen.getByRole('textbox'), { target: { value: ' A flat tyre ' } });
  fireEvent.click(go());
  expect(on.onDropped).toHaveBeenCalledWith(trailer.id, 'A flat tyre');
});

it('does not offer to leave behind what stays behind already', () => {
  show(walkOf((log) => log.add('dropped', { unitId: trailer.id, reason: 'A flat tyre' }, driver)));
  expect(screen.queryByRole('button', { name: new RegExp(trailer.number) })).toBeNull();
});

it('offers the lamp walk only while a lamp is open', () => {
  show(walkOf(), 0);
  expect(screen.queryByRole('button', { name: /^Lamp walk/ })).toBeNull();
});

it('puts gloves on and off', () => {
  show();
  touch('Glove mode off');
  expect(usePreferences.getState().gloves).toBe(true);
  touch('Glove mode on');
  expect(usePreferences.getState().gloves).toBe(false);
});
