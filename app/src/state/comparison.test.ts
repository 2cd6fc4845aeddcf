import { fromParams, toParams, type Comparison } from './comparison';

const whole: Comparison = {
  checkId: 'truck.engine.leaks',
  symptomId: 'block-oil',
  stepId: 'class-2',
  circumstances: ['dark', 'towing'],
  needed: ['tow'],
};

it('goes through an address unchanged', () => {
  expect(fromParams(toParams(whole))).toEqual(whole);
  const bare: Comparison = { ...whole, stepId: undefined, circumstances: [], needed: [] };
  expect(fromParams(toParams(bare))).toEqual(bare);
});

it('takes from a foreign address what can be understood', () => {
  expect(fromParams({ in: 'dark,moonlit', needs: 'fly' })).toEqual({
    checkId: '',
    symptomId: '',
    stepId: undefined,
    circumstances: ['dark'],
    needed: [],
  });
});
