import type { Finding, Objection } from '@nazar/core/grading';
import { fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { joinBlocked, Objections } from './objections';

const finding = (about: string, more: Partial<Finding> = {}) =>
  ({
    about,
    title: `Title of ${about}`,
    grade: 'major',
    blocks: ['road'],
    chain: [{ code: 'symptom', words: 'One nut loose' }],
    ...more,
  }) as unknown as Finding;

const nut = finding('nut');
const lamp = finding('lamp', { grade: 'minor', condition: 'Daylight only.' });
const blocked: Objection[] = [
  { code: 'blocked', capability: 'road', findings: [nut] },
  { code: 'blocked', capability: 'tow', findings: [nut] },
];
const barred: Objection = { code: 'condition', bar: 'dark', finding: lamp };

function show(objections: readonly Objection[], mayLift: boolean) {
  const onLift = jest.fn();
  const onRelease = jest.fn();
  render(
    <Objections objections={objections} mayLift={mayLift} onLift={onLift} onRelease={onRelease} />,
  );
  return { onLift, onRelease };
}

it('tells once what the same fault blocks', () => {
  expect(joinBlocked(blocked)).toEqual([
    { code: 'blocked', capabilities: ['road', 'tow'], findings: [nut] },
  ]);
  const other: Objection = { code: 'blocked', capability: 'dump', findings: [finding('hoist')] };
  expect(joinBlocked([...blocked, other, barred]).map(({ code }) => code)).toEqual([
    'blocked',
    'blocked',
    'condition',
  ]);
});

it('offers nobody to take a major defect off', () => {
  show(blocked, true);
  expect(screen.getByRole('alert').textContent).toBe('Blocked: Road, Towing.');
  expect(screen.getByText(/nobody overrides it/)).toBeTruthy();
  expect(screen.queryAllByRole('button')).toEqual([]);
});

it('offers a supervisor to take a condition off, and tells a driver who may', () => {
  const { onLift } = show([barred], true);
  fireEvent.click(screen.getByRole('button', { name: 'Take the condition off' }));
  expect(onLift).toHaveBeenCalledWith(lamp);
});

it('tells a driver who may decide', () => {
  show([barred, { code: 'officer', capabilities: ['aerial'] }], false);
  expect(screen.getByText('Daylight only.')).toBeTruthy();
  expect(screen.getAllByText('A supervisor may decide this, in writing.')).toHaveLength(2);
  expect(screen.queryAllByRole('button')).toEqual([]);
});

it('names what the rig does not have, and lets an officer release', () => {
  const { onRelease } = show(
    [
      { code: 'missing-capability', capability: 'plow' },
      { code: 'officer', capabilities: ['aerial'] },
    ],
    true,
  );
  expect(screen.getByText('This rig has no Plow.')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Release it' }));
  expect(onRelease).toHaveBeenCalledTimes(1);
});
