import { type Symptom } from '@nazar/core/catalogue';
import { catalogue } from '@nazar/core/content';
import { policies } from '@nazar/core/grading';
import { fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { PolicyColumn } from './policy-column';

const symptomOf = (checkId: string, symptomId: string): Symptom => {
  const found = catalogue.modules
    .flatMap(({ checks }) => checks)
    .find(({ id }) => id === checkId)
    ?.symptoms.find(({ id }) => id === symptomId);
  if (!found) throw new RangeError(`${checkId} ${symptomId}`);
  return found;
};

function show(chosen: string, symptom: Symptom) {
  const onChoose = jest.fn();
  render(
    <PolicyColumn
      policies={policies}
      chosen={chosen}
      onChoose={onChoose}
      question={{ symptom, stepId: undefined, circumstances: [], needed: [] }}
    />,
  );
  return onChoose;
}

const edge = symptomOf('truck.tyre.tread-steer', 'tread-one-edge');

it('says the grade, the words of the policy, the reasons and until when', () => {
  show('affects-safety', edge);
  expect(screen.getByRole('heading', { name: 'Major' })).toBeTruthy();
  expect(screen.getByText('Affects safety: certified before it is driven')).toBeTruthy();
  expect(screen.getByText(/on the list of parts that affect safety \(49 CFR 396\.11/)).toBeTruthy();
  expect(screen.getByText(/Mended before it is used again/)).toBeTruthy();
});

it('says it differently for another policy', () => {
  show('two-step', edge);
  expect(screen.getByRole('heading', { name: 'Minor' })).toBeTruthy();
});

it('lets choose another policy', () => {
  const onChoose = show('two-step', edge);
  fireEvent.click(screen.getByRole('button', { name: /^Other policy than/ }));
  fireEvent.click(screen.getByRole('button', { name: /List of parts that affect safety/ }));
  expect(onChoose).toHaveBeenCalledWith('affects-safety');
});
