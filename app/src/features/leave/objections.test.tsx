import type { Finding, Objection } from '@nazar/core/grading';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
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

function show(objections: readonly Objection[], mayLift: boolean, isOwn = true) {
  const onLookedAgain = jest.fn();
  const onLift = jest.fn();
  const onRelease = jest.fn();
  const onStowed = jest.fn();
  render(
    <Objections
      objections={objections}
      mayLift={mayLift}
      onLift={onLift}
      onRelease={onRelease}
      numberOf={() => '241'}
      onStowed={onStowed}
      onLookedAgain={isOwn ? onLookedAgain : undefined}
    />,
  );
  return { onLift, onRelease, onStowed, onLookedAgain };
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

it('names what is still out, of which unit, and lets the driver say that it is in', () => {
  const { onStowed } = show(
    [
      {
        code: 'left-out',
        items: [{ change: 'outriggers-in', unitId: 'crane' }, { change: 'chocks-out' }],
      },
    ],
    false,
  );
  expect(screen.getByText('Bring the outriggers in · 241')).toBeTruthy();
  expect(screen.getByText('Take the chocks away')).toBeTruthy();
  fireEvent.click(screen.getByTestId('stowed'));
  expect(onStowed).toHaveBeenCalled();
});

it('has the driver look again at what is done before leaving, and nobody else', () => {
  const bracket = finding('mirror', { grade: 'minor', condition: 'Tighten it before leaving.' });
  const objection: Objection = { code: 'before-leaving', finding: bracket };
  const { onLookedAgain } = show([objection], false);
  expect(screen.getByText('Tighten it before leaving.')).toBeTruthy();
  fireEvent.click(screen.getByTestId('looked-again'));
  expect(onLookedAgain).toHaveBeenCalledWith(bracket);
  cleanup();
  show([objection], true, false);
  expect(screen.queryByTestId('looked-again')).toBeNull();
});

it('has a repair of this walk read and its part looked at in one touch', () => {
  const onReadAndLooked = jest.fn();
  const props = {
    objections: [{ code: 'blocked', capability: 'road', findings: [nut] }] as const,
    mayLift: false,
    onLift: jest.fn(),
    onRelease: jest.fn(),
    numberOf: () => '241',
    onStowed: jest.fn(),
    onReadAndLooked,
  };
  const { rerender } = render(<Objections {...props} repairOf={() => undefined} />);
  expect(screen.queryByTestId('read-and-looked')).toBeNull();
  rerender(<Objections {...props} repairOf={() => 'Nut and stud renewed'} />);
  expect(screen.getByText('Repaired and certified: Nut and stud renewed')).toBeTruthy();
  fireEvent.click(screen.getByTestId('read-and-looked'));
  expect(onReadAndLooked).toHaveBeenCalledWith(nut);
});
