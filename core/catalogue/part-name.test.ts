import { atPlace, faultLine, partAt, partOf } from '.';

const nuts = { title: 'Look at every nut, feel for a loose one', partName: 'Wheel nuts' };
const old = { title: 'Look at every nut, feel for a loose one' };

describe('the name of a part', () => {
  it('is its noun; a catalogue of before has none, and the instruction stands in', () => {
    expect(partOf(nuts)).toBe('Wheel nuts');
    expect(partOf(old)).toBe('Look at every nut, feel for a loose one');
  });

  it('says where it is, where there is more than one of it', () => {
    expect(partAt(nuts, { title: 'left steer' })).toBe('Wheel nuts, left steer');
    expect(partAt(nuts, undefined)).toBe('Wheel nuts');
    expect(atPlace('Wheel nuts', null)).toBe('Wheel nuts');
  });

  it('stands before what is wrong with it, and an abbreviation stays one', () => {
    expect(faultLine('Wheel nuts', 'left steer', 'One nut loose or missing')).toBe(
      'Wheel nuts, left steer: one nut loose or missing',
    );
    expect(faultLine('Brakes', undefined, 'ABS lamp stays on')).toBe('Brakes: ABS lamp stays on');
    expect(faultLine('Brakes', undefined, 'A hose chafes')).toBe('Brakes: a hose chafes');
    expect(faultLine('Brakes', undefined, 'V-belt cracked')).toBe('Brakes: V-belt cracked');
  });
});
