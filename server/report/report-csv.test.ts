import { withoutFormula } from './report-csv';

it.each([
  ['=1+1', "'=1+1"],
  ['+4712', "'+4712"],
  ['-5 °C', "'-5 °C"],
  ['@SUM(A1)', "'@SUM(A1)"],
  // Behind a line break, a tab or a blank a spreadsheet takes it all the same.
  ['Look:\n=HYPERLINK("x")', 'Look:\n\'=HYPERLINK("x")'],
  ['Look:\r\n  =1', "Look:\r\n'  =1"],
  ['\t=1', "'\t'=1"],
  [' =1', "' =1"],
  ['＝1', "'＝1"],
  // What is no formula stays as it was written.
  ['Nut - loose = bad', 'Nut - loose = bad'],
  ['12.4', '12.4'],
  ['', ''],
])('%j is written as %j', (text, written) => {
  expect(withoutFormula(text)).toBe(written);
});
