import fc from 'fast-check';
import { CODE_LETTERS, helperCode, readCode, readTagText, tagText } from '.';

it('of a walk is five letters that are told apart, the same every time', () => {
  fc.assert(
    fc.property(fc.uuid(), (id) => {
      const code = helperCode(id);
      expect(code).toMatch(/^[ACDEFHJKLMNPRTUVWXY3479]{5}$/);
      expect(helperCode(id)).toBe(code);
      expect(readCode(` ${code.toLowerCase().slice(0, 2)} ${code.slice(2)} `)).toBe(code);
    }),
  );
  const ids = Array.from(
    { length: 200 },
    (_, index) => `00000000-0000-7000-8000-${(index * 7919 + 3).toString(16).padStart(12, '0')}`,
  );
  expect(new Set(ids.map(helperCode)).size).toBe(ids.length);
});

it('is read as it was meant where a letter was mistaken', () => {
  for (const letter of '0OQ1I8B2Z5S6G') expect(CODE_LETTERS).toContain(readCode(letter));
});

it('on a tag says unit, stop and code, and nothing else passes for one', () => {
  const zone = '01900000-0000-7000-8000-000000000214/rear';
  expect(readTagText(tagText(zone, 'ACD347'))).toEqual({ zone, code: 'ACD347' });
  fc.assert(fc.property(fc.string(), (text) => expect(readTagText(text)).toBeUndefined()));
});
