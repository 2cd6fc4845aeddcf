import type { ContentsItem } from '@nazar/core/catalogue';
import { fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { CountSheet } from './count-sheet';

const list: readonly ContentsItem[] = [
  { id: 'kit', check: 'bus.kit', title: 'First-aid kit', count: 1, expires: true },
  { id: 'triangles', check: 'bus.kit', title: 'Triangles', count: 3 },
];

function show(before?: { id: string; found: number; until?: string }[]) {
  const onKeep = jest.fn();
  render(
    <CountSheet
      title="Kits"
      list={list}
      before={before}
      day="2026-11-25"
      onKeep={onKeep}
      onClose={() => undefined}
    />,
  );
  return onKeep;
}

const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const writeDate = (value: string) =>
  fireEvent.change(screen.getByLabelText('Good until: First-aid kit'), { target: { value } });

it('counts everything with one touch, and still asks for the date', () => {
  const onKeep = show();
  press('All are there');
  press('Keep the count');
  expect(screen.getByRole('alert').textContent).toBe('Read the date and write it like 2027-03-31.');
  expect(onKeep).not.toHaveBeenCalled();
  writeDate('2027-03-31');
  press('Keep the count');
  expect(onKeep).toHaveBeenCalledWith(
    [
      { id: 'kit', found: 1, until: '2027-03-31' },
      { id: 'triangles', found: 3 },
    ],
    true,
  );
});

it('does not take silence for none', () => {
  const onKeep = show();
  press('Keep the count');
  expect(screen.getAllByRole('alert')).toHaveLength(2);
  expect(onKeep).not.toHaveBeenCalled();
});

it('says that the list is short when one is missing', () => {
  const onKeep = show();
  press('All are there');
  writeDate('2027-03-31');
  press('One less: Triangles');
  press('Keep the count');
  expect(onKeep).toHaveBeenCalledWith(expect.anything(), false);
});

it('says so too when a date has passed, and refuses one that is none', () => {
  const onKeep = show();
  press('All are there');
  writeDate('2027-13-01');
  press('Keep the count');
  expect(onKeep).not.toHaveBeenCalled();
  writeDate('2026-11-24');
  press('Keep the count');
  expect(onKeep).toHaveBeenCalledWith(expect.anything(), false);
});

it('needs no date of what is not there', () => {
  const onKeep = show([
    { id: 'kit', found: 1 },
    { id: 'triangles', found: 3 },
  ]);
  press('One less: First-aid kit');
  press('Keep the count');
  expect(onKeep).toHaveBeenCalledWith(
    [
      { id: 'kit', found: 0 },
      { id: 'triangles', found: 3 },
    ],
    false,
  );
});
