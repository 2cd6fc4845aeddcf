import type { Chart } from '@nazar/core/catalogue';
import { makeRig, truck } from '@nazar/core/testing';
import { fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { RatedLoad } from './rated-load';

const chart: Chart = {
  id: 'full',
  title: 'outriggers fully out',
  lengths: [10, 15],
  rows: [
    { radius: 3, loads: [12_000, 10_000] },
    { radius: 6, loads: [5000, 4500] },
    { radius: 9, loads: [null, 2500] },
  ],
};
const [{ module }] = makeRig([truck]).units;
const show = (charts?: readonly Chart[]) =>
  render(
    <RatedLoad
      placed={{ unit: { ...truck, ...(charts && { card: { charts } }) }, module }}
      habit="metric"
    />,
  );
const type = (radius: string, boom: string) => {
  fireEvent.change(screen.getByLabelText('Radius (m)'), { target: { value: radius } });
  fireEvent.change(screen.getByLabelText('Boom out (m)'), { target: { value: boom } });
};

it('says what the chart allows, by the next line and the longer boom', () => {
  show([chart]);
  type('4,5', '12');
  expect(screen.getByText('4500 kg')).toBeTruthy();
  expect(screen.getByText(/^By the line for 6\.00 m with 15\.0?0? m/)).toBeTruthy();
  expect(screen.getByText(/slings and all that hangs on the rope/)).toBeTruthy();
});

it.each([
  ['9.5', '15', /^Further out/],
  ['5', '16', /^More boom/],
  ['9', '10', /^Not allowed/],
])('allows nothing at %s m with %s m', (radius, boom, words) => {
  show([chart]);
  type(radius, boom);
  expect(screen.getByText(words)).toBeTruthy();
  expect(screen.queryByText(/kg$/)).toBeNull();
});

it('says nothing of a load while a number is missing or is none', () => {
  show([chart]);
  type('4', 'long');
  expect(screen.getByRole('alert').textContent).toMatch(/^Type a number/);
  expect(screen.queryByText(/kg$/)).toBeNull();
});

it('takes a chart with a hole for none, and sends to the one in the cab', () => {
  show([{ ...chart, rows: [{ radius: 3, loads: [12_000] }] }]);
  expect(screen.getByText(/Read the one in the cab/)).toBeTruthy();
  expect(screen.queryByLabelText('Radius (m)')).toBeNull();
});

it('sends to the cab where no chart stands on the card', () => {
  show();
  expect(screen.getByText(/Read the one in the cab/)).toBeTruthy();
});
