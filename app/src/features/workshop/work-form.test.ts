import { parseParts } from './work-form';

it.each([
  [
    '2 wheel stud, 1 brake hose',
    [
      ['wheel stud', 2],
      ['brake hose', 1],
    ],
  ],
  [
    '2x wheel stud; 3 × nut',
    [
      ['wheel stud', 2],
      ['nut', 3],
    ],
  ],
  ['hose clamp', [['hose clamp', 1]]],
  ['', []],
  [' , ', []],
])('reads "%s" as parts', (text, expected) => {
  expect(parseParts(text)?.map(({ words, count }) => [words, count])).toEqual(expected);
});

it.each(['0 nut', '3 x', 'x'])('asks again for "%s"', (text) => {
  expect(parseParts(text)).toBeUndefined();
});
