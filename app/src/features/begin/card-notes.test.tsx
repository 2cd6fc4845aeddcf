import { makeRig, truck } from '@nazar/core/testing';
import { render, screen } from '@testing-library/react';
import '@/i18n';
import { CardNotes } from './card-notes';

const dated = (until: string) =>
  makeRig([{ ...truck, card: { dated: [{ id: 'e', title: 'Extinguisher', until }] } }]);
const show = (rig: ReturnType<typeof makeRig>) =>
  render(<CardNotes rig={rig} habit="metric" today="2026-11-27" />);

it('names what is past its date, with the day', () => {
  show(dated('2026-11-26'));
  expect(screen.getByText(/214: Extinguisher was good until .*26/)).toBeTruthy();
});

it('says nothing on the last day that is still good', () => {
  show(dated('2026-11-27'));
  expect(screen.queryByRole('heading')).toBeNull();
});

it('says what cannot be right on a card before anybody walks by it', () => {
  show(makeRig([{ ...truck, card: { axles: [{ at: 1, tyres: 2, steered: true }] } }]));
  expect(screen.getByText(/names two tyres on each side of axle 1/)).toBeTruthy();
});
