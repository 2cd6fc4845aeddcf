import type { Reference } from '@nazar/core/wire';
import { trailer, truck } from '@nazar/core/testing';
import { fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';

import { giveModules } from '../../../testing/give-modules';
import { LoadRecheck } from './load-recheck';

const rig = { id: 'r', title: '214 with trailer 931', unitIds: [truck.id, trailer.id] };
const MINUTE = 60_000;
const ago = (minutes: number) => new Date(Date.now() - minutes * MINUTE).toISOString();

const onRoad = jest.fn();

function show(outMinutes: number | undefined, lookMinutes?: number, phase = 'under-way') {
  const reference = {
    units: [truck, trailer],
    outings:
      outMinutes === undefined
        ? []
        : [{ inspectionId: 'w', purpose: 'job', unitIds: rig.unitIds, outAt: ago(outMinutes) }],
    lastReports:
      lookMinutes === undefined ? [] : [{ unitId: trailer.id, phase, signedAt: ago(lookMinutes) }],
  } as unknown as Reference;
  const onBegin = jest.fn();
  render(<LoadRecheck rig={rig} reference={reference} onBegin={onBegin} onRoad={onRoad} />);
  return onBegin;
}

beforeEach(giveModules);

it('says nothing while the rig is in', () => {
  show(undefined);
  expect(screen.queryByRole('heading')).toBeNull();
});

it('is due within the first fifty miles, and leads to the look', () => {
  const onBegin = show(10);
  expect(screen.getByText(/^Look again by .* within 50 mi/)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Look now' }));
  expect(onBegin).toHaveBeenCalled();
});

it('is due much later once it was looked at on this trip', () => {
  show(100, 20);
  expect(screen.getByText(/^Look again by .* within 150 mi/)).toBeTruthy();
});

it('says that it is late', () => {
  show(100);
  expect(screen.getByText(/^It was due .* Stop where it is safe and look\.$/)).toBeTruthy();
});

it('takes no walk before work for a look at the load', () => {
  show(100, 20, 'pre-trip');
  expect(screen.getByText(/^It was due/)).toBeTruthy();
});

it('tells which gauges to watch, and takes a fault on the road', () => {
  show(10);
  expect(
    screen.getByText(/^Watch: air 100 psi–145 psi \(stop below 60 psi\).* volts 13\.4 V/),
  ).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'A fault on the road' }));
  expect(onRoad).toHaveBeenCalledWith('w');
});
