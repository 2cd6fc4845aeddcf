import { sayFault } from './english';
import { within } from './faults';

it('says a fault with the place where it stands before it', () => {
  expect(sayFault({ code: 'twice', at: 'modules[2]', what: 'check', id: 'truck.oil' })).toBe(
    'modules[2]: the check truck.oil stands twice',
  );
});

it('names the outer place before the inner one', () => {
  const fault = within('modules[2]')(within('truck.oil')({ code: 'caution-gone' }));
  expect(sayFault(fault)).toBe('modules[2]: truck.oil: one of its cautions is gone');
});

it('leaves the place to the schema where that has named it', () => {
  expect(sayFault({ code: 'shape', words: 'keepDays must be at least 92' })).toBe(
    'keepDays must be at least 92',
  );
});
