import { mayHelperAnswer } from '@nazar/core/planning';
import { instanceOf, makeRig } from '@nazar/core/testing';
import { act, fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import type { Walk } from '@/state/walk';
import { walkOf } from '../../../testing/walk';
import { HelpScreen } from './help-screen';

const petra = '01900000-0000-7000-8000-0000000000d9';
let mockWalk: Walk;
let mockHearing = 'fresh';
const mockEntries: { type: string; payload: object; actorId: string }[] = [];

jest.mock('@/drawing', () => ({ RigDrawing: () => null }));
jest.mock('@/workers', () => ({ keepAwake: () => () => undefined, ring: jest.fn() }));
jest.mock('@/state', () => ({
  useSession: (pick: (state: object) => unknown) => pick({ person: { id: mockPerson } }),
}));
jest.mock('@/state/walk', () => ({
  useHearing: () => mockHearing,
  useWalk: () => mockWalk,
  useWalkSession: () => ({
    log: {
      append: (entries: never[]) => {
        mockEntries.push(...entries);
        return Promise.resolve(true);
      },
    },
    uplink: { send: () => Promise.resolve() },
  }),
}));
const mockPerson = petra;

const rig = makeRig();
const lamp = rig.instances.find(
  (each) => mayHelperAnswer(each) && each.check.needs.includes('lamps-on'),
);
if (!lamp) throw new Error('no lamp is called to a helper');
const driversOwn = instanceOf(rig, 'truck.air.leak-released');

const helped = (asked: readonly string[] = [], helper = petra) =>
  walkOf((log) => {
    log.add('joined', { name: 'Petra Lunde', phone: true }, helper);
    if (asked.length > 0) log.add('asked', { keys: asked });
  }, rig);

function show(walk: Walk, hearing = 'fresh') {
  mockWalk = walk;
  mockHearing = hearing;
  mockEntries.length = 0;
  const on = { onFault: jest.fn(), onLeave: jest.fn() };
  render(<HelpScreen inspectionId={walk.inspection.id} {...on} />);
  return on;
}

const touch = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

it('shows what is asked now, alone and large, and answers it as the helper', async () => {
  show(helped([lamp.key]));
  expect(screen.getByText('Asked of you now')).toBeTruthy();
  expect(screen.getByRole('heading', { level: 3 }).textContent).toContain(lamp.check.title);
  await act(async () => touch('It lights'));
  expect(mockEntries).toMatchObject([
    { type: 'answered', actorId: petra, payload: { key: lamp.key, outcome: 'sound' } },
  ]);
});

it('keeps a dark lamp as a fault with its symptom', async () => {
  show(helped([lamp.key]));
  await act(async () => touch('It is dark'));
  expect(mockEntries).toMatchObject([{ type: 'faulted', payload: { key: lamp.key } }]);
  expect(lamp.check.symptoms.map(({ id }) => id)).toContain(
    (mockEntries[0].payload as { symptomId: string }).symptomId,
  );
});

it('never shows what is the driver’s own, even where it is asked', () => {
  show(helped([driversOwn.key]));
  expect(screen.getByText(/^Nothing is asked of you now/)).toBeTruthy();
  const shown = document.body.textContent ?? '';
  const may = new Set(rig.instances.filter(mayHelperAnswer).map(({ check }) => check.title));
  for (const { check } of rig.instances)
    if (!may.has(check.title)) expect(shown).not.toContain(check.title);
});

it('lets be chosen what may be looked at meanwhile', async () => {
  show(helped());
  const [first] = screen.getAllByText(new RegExp(lamp.check.title));
  fireEvent.click(first);
  await act(async () => fireEvent.click(screen.getByTestId('helper-good')));
  expect(mockEntries).toHaveLength(1);
});

it('is over when somebody else helps, or the server knows nothing of it', () => {
  show(helped([lamp.key], '01900000-0000-7000-8000-0000000000d8'));
  expect(screen.queryByText('Asked of you now')).toBeNull();
  show(helped([lamp.key]), 'gone');
  expect(screen.queryByText('Asked of you now')).toBeNull();
});

it('says that what is asked may be old without a network', () => {
  show(helped([lamp.key]), 'stale');
  expect(screen.getByRole('status').textContent).not.toBe('');
});

it('tells the driver when the helper has gone', async () => {
  const on = show(helped());
  await act(async () => touch('I have gone'));
  expect(mockEntries).toMatchObject([{ type: 'parted', actorId: petra }]);
  expect(on.onLeave).toHaveBeenCalled();
});
