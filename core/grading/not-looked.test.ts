import { symptom } from '../content/write';
import { barredFinding, gapFinding, twoStepPolicy, type Gap, type Situation } from '.';

const gap: Gap = {
  about: '214/truck.lamp',
  unitId: '214',
  title: 'Lamp',
  symptoms: [
    symptom('dim', 'Dim', 'lamps', 'watch'),
    symptom('dark', 'Dark', 'lamps', 'stop', { takes: ['tow'] }),
    symptom('cracked', 'Cracked', 'lamps', 'repair', { condition: 'Mend it soon.' }),
  ],
};
const situation: Situation = {
  circumstances: new Set(),
  needed: new Set(),
  policies: [twoStepPolicy],
};

it('what was not looked at weighs as the worst that it could have shown, its reason first', () => {
  const finding = gapFinding(gap, { code: 'not-looked', words: 'Snow' }, situation);
  expect(finding).toMatchObject({
    kind: 'gap',
    about: '214/truck.lamp',
    unitId: '214',
    title: 'Lamp',
    grade: 'major',
  });
  expect(finding.blocks).toContain('tow');
  expect(finding.chain[0]).toEqual({ code: 'not-looked', words: 'Snow' });
  expect(finding.chain.length).toBeGreaterThan(1);
  expect(finding).not.toHaveProperty('policyId');
});

it('a test that a fault bars takes what it would have proved, and nothing else', () => {
  const finding = gapFinding(gap, { code: 'not-looked', words: '' }, situation);
  expect(barredFinding({ ...finding, grade: 'minor', further: [] }, ['lift-gate'])).toEqual({
    ...finding,
    grade: 'major',
    blocks: ['lift-gate'],
    further: undefined,
  });
});
