import type { Reference } from '@nazar/core/wire';
import { tagText } from '@nazar/core/inspection';
import { makeRig, trailer, truck } from '@nazar/core/testing';
import { fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { useReference } from '@/state';
import { TagSheet } from './tag-sheet';

const rig = makeRig();
const [zone, other] = rig.zones.filter(({ unit }) => unit.id === truck.id);
const tag = (unitId: string, zoneId: string, code: string) => ({
  unitId,
  zoneId,
  code,
  required: false,
});

function show() {
  useReference.setState({
    reference: {
      units: [truck, trailer],
      tags: [
        tag(truck.id, zone.id, 'ACD347'),
        tag(truck.id, other.id, 'EFH347'),
        tag(trailer.id, 'rear', 'KLM347'),
      ],
    } as unknown as Reference,
  });
  const onRead = jest.fn();
  render(<TagSheet zone={zone} onRead={onRead} onClose={() => undefined} />);
  return onRead;
}

function type(code: string) {
  fireEvent.change(screen.getByLabelText('Code on the tag'), { target: { value: code } });
  fireEvent.click(screen.getByRole('button', { name: 'I stand here' }));
}

it('takes the code of this stop, also where letters were mistaken', () => {
  const onRead = show();
  // Typed with small letters and a blank.
  type('acd 347');
  expect(onRead).toHaveBeenCalledWith('ACD347', 'typed');
});

it('names the unit and stop of another tag, and takes nothing', () => {
  const onRead = show();
  type('KLM347');
  expect(screen.getByRole('alert').textContent).toMatch(/This is the tag of 931 · rear/);
  type('EFH347');
  expect(screen.getByRole('alert').textContent).toMatch(/This is the tag of 214 · /);
  type('XXXXXX');
  expect(screen.getByRole('alert').textContent).toMatch(/No tag of this depot/);
  expect(onRead).not.toHaveBeenCalled();
});

it('says so where there is no camera, and the code can be typed', async () => {
  show();
  fireEvent.click(screen.getByRole('button', { name: 'Scan with the camera' }));
  expect((await screen.findByRole('alert')).textContent).toMatch(/Type the code/);
  expect(tagText(zone.key, 'ACD347')).toContain('ACD347');
});
