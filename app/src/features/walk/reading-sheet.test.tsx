import { toSi } from '@nazar/core/quantity';
import { instanceOf, makeRig } from '@nazar/core/testing';
import { fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { judgeKept, ReadingSheet } from './reading-sheet';

const rig = makeRig();
const tread = instanceOf(rig, 'tyre.tread-steer/steer-left');
const odometer = instanceOf(rig, 'records.odometer');

function open(instance = tread, more: Partial<Parameters<typeof ReadingSheet>[0]> = {}) {
  const onKeep = jest.fn();
  render(
    <ReadingSheet
      instance={instance}
      habit="customary"
      combinationAir
      onKeep={onKeep}
      onClose={() => undefined}
      {...more}
    />,
  );
  const type = (digits: string) => {
    for (const digit of digits) fireEvent.click(screen.getByRole('button', { name: digit }));
  };
  const keep = () => fireEvent.click(screen.getByRole('button', { name: 'Keep the reading' }));
  return { onKeep, type, keep };
}

it('shows the limit with its source and the last reading', () => {
  open(tread, { last: { value: toSi(12, '32nds'), unit: '32nds', at: '2026-11-20T05:00:00Z' } });
  expect(screen.getByText(/Out of service below 4\/32 in \(49 CFR 393\.75\(b\)\)/)).toBeTruthy();
  expect(screen.getByText(/Last 12\/32 in/)).toBeTruthy();
});

it('keeps what was typed with its unit', () => {
  const { onKeep, type, keep } = open();
  type('11');
  keep();
  expect(onKeep).toHaveBeenCalledWith({ value: toSi(11, '32nds'), unit: '32nds', typed: '11' });
});

it('corrects a slip of the thumb', () => {
  const { onKeep, type, keep } = open();
  type('19');
  fireEvent.click(screen.getByRole('button', { name: 'Erase' }));
  type('2');
  keep();
  expect(onKeep).toHaveBeenCalledWith(expect.objectContaining({ typed: '12' }));
});

it('takes digits from a keyboard', () => {
  const { onKeep } = open();
  for (const key of ['1', '0', 'Enter']) fireEvent.keyDown(window, { key });
  expect(onKeep).toHaveBeenCalledWith(expect.objectContaining({ typed: '10' }));
});

it('asks again for a tread deeper than new, with the reason, and keeps the digits', () => {
  const { onKeep, type, keep } = open();
  type('25');
  keep();
  expect(onKeep).not.toHaveBeenCalled();
  expect(screen.getByRole('alert').textContent).toMatch(/deeper than a new one \(18\/32 in\)/);
  expect(screen.getByText('25')).toBeTruthy();
});

it('asks for a reading when nothing was typed', () => {
  const { onKeep, keep } = open();
  keep();
  expect(onKeep).not.toHaveBeenCalled();
  expect(screen.getByRole('alert').textContent).toBe('Type the reading.');
});

it('does not let an odometer run backwards', () => {
  const last = { value: toSi(96_000, 'mi'), unit: 'mi' as const, at: '2026-11-20T05:00:00Z' };
  const { onKeep, type, keep } = open(odometer, { last });
  type('95000');
  keep();
  expect(onKeep).not.toHaveBeenCalled();
  expect(screen.getByRole('alert').textContent).toMatch(/less than last time \(96000 mi\)/);
});

it('says why it measures twice', () => {
  open(tread, { first: toSi(4, '32nds') });
  expect(screen.getByText(/Measure once more; the worse of both counts/)).toBeTruthy();
});

it('names the symptom of a reading that is out for sure', () => {
  const judged = (...typed: number[]) =>
    judgeKept(
      tread,
      typed.map((each) => toSi(each, '32nds')),
      true,
    );
  expect(judged(2)).toMatchObject({ outcome: 'out', symptom: 'tread-worn-out' });
  expect(judged(4)).toMatchObject({ outcome: 'again' });
  expect(judged(4, 3)).toMatchObject({ outcome: 'out', symptom: 'tread-worn-out' });
  expect(judgeKept(odometer, [1], true)).toEqual({ outcome: 'within', limit: undefined });
  expect(judgeKept(instanceOf(rig, 'truck.cab.belt'), [1], true)).toBeUndefined();
});

it('asks again for a reading that leaps from the last one, and takes it when it is typed twice', () => {
  const last = { value: toSi(6, '32nds'), unit: '32nds' as const, at: '2026-11-20T05:00:00Z' };
  const { onKeep, type, keep } = open(tread, { last });
  type('14');
  keep();
  expect(onKeep).not.toHaveBeenCalled();
  expect(screen.getByRole('alert').textContent).toMatch(/14\/32 in now, and 6\/32 in last time/);
  type('14');
  keep();
  expect(onKeep).toHaveBeenCalledWith(expect.objectContaining({ typed: '14' }));
});

it('does not take a second number for a confirmation when it is another one', () => {
  const last = { value: toSi(6, '32nds'), unit: '32nds' as const, at: '2026-11-20T05:00:00Z' };
  const { onKeep, type, keep } = open(tread, { last });
  type('14');
  keep();
  type('11');
  keep();
  expect(onKeep).not.toHaveBeenCalled();
  type('5');
  keep();
  expect(onKeep).toHaveBeenCalledWith(expect.objectContaining({ typed: '5' }));
});

it('tells what it comes to while it is typed', () => {
  const { type } = open();
  expect(screen.queryByTestId('typed-verdict')).toBeNull();
  type('1');
  expect(screen.getByTestId('typed-verdict').textContent).toBe('Out of its limit.');
  type('0');
  expect(screen.getByTestId('typed-verdict').textContent).toBe('Within its limits.');
});
