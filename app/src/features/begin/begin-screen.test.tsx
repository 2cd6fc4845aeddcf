import { AS_SHIPPED } from '@nazar/core/depot-content';
import { trailer, truck } from '@nazar/core/testing';
import { act, fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { giveModules } from '../../../testing/give-modules';
import { BeginScreen } from './begin-screen';

const mockKept: { type: string; payload: Record<string, unknown> }[] = [];
let mockReference: Record<string, unknown>;
jest.mock('./plan', () => ({
  PlanSheet: () => null,
  usePlanning: () => ({ plan: undefined, planned: undefined, busy: false, running: false }),
}));
jest.mock('@/state', () => ({
  ...jest.requireActual<object>('@/state'),
  useSession: (of: (state: unknown) => unknown) =>
    of({ person: { id: 'driver', name: 'Ivo Stamm', role: 'driver' } }),
  useReference: (of: (state: unknown) => unknown) => of({ reference: mockReference }),
  useHabit: () => 'metric',
}));
jest.mock('@/state/walk', () => ({
  keepPlan: () => Promise.resolve(),
  useWalkSession: () => ({
    log: {
      append: (entries: never[]) => {
        mockKept.push(...entries);
        return Promise.resolve(true);
      },
    },
  }),
}));

const show = async (more: Record<string, unknown> = {}) => {
  mockKept.length = 0;
  giveModules();
  mockReference = {
    depot: { name: 'North yard', choice: { usual: 'two-step', byClass: {} } },
    units: [truck, trailer],
    rigs: [{ id: 'rig', title: '214 + 931', unitIds: [truck.id, trailer.id] }],
    jobs: [],
    content: AS_SHIPPED,
    ...more,
  };
  const onBegun = jest.fn();
  render(<BeginScreen rigId="rig" phase="pre-trip" onBegun={onBegun} onBack={jest.fn()} />);
  await act(async () => undefined);
  return onBegun;
};
const go = () => screen.getByRole('button', { name: 'Begin the walk' });
const say = async (...names: readonly string[]) => {
  for (const name of names) await act(async () => fireEvent.click(screen.getByText(name)));
};

it('is not begun before light, weather and frost were said: nothing is taken for granted', async () => {
  const onBegun = await show();
  await act(async () => fireEvent.click(go()));
  expect(onBegun).not.toHaveBeenCalled();
  expect(mockKept).toEqual([]);
});

it('is begun of the rig as it stands, under the policy of each unit and the version of the content', async () => {
  const onBegun = await show();
  await say('Daylight', 'Dry', 'Above freezing');
  await act(async () => fireEvent.click(go()));
  expect(onBegun).toHaveBeenCalled();
  const [{ type, payload }] = mockKept;
  expect(type).toBe('begun');
  expect(payload).toMatchObject({
    unitIds: [truck.id, trailer.id],
    phase: 'pre-trip',
    circumstances: [],
    policies: { [truck.id]: 'two-step', [trailer.id]: 'two-step' },
    // A rig with a trailer is usually out to tow it.
    job: { needs: ['tow'] },
  });
});

it('takes what a planned job needs, under its title', async () => {
  await show({
    jobs: [
      {
        id: 'job',
        title: 'Salt to Ridge',
        unitIds: [truck.id],
        needs: ['highway'],
        startsAt: '2026-11-27T07:00:00.000Z',
      },
    ],
  });
  await say('Daylight', 'Dry', 'Above freezing');
  await act(async () => fireEvent.click(go()));
  expect(mockKept[0].payload.job).toEqual({ needs: ['highway'], title: 'Salt to Ridge' });
});

it('names the tags that are read on this walk, and no others', async () => {
  await show({
    tags: [
      { unitId: truck.id, zoneId: 'rear', required: true },
      { unitId: truck.id, zoneId: 'front', required: false },
      { unitId: 'other', zoneId: 'rear', required: true },
    ],
  });
  await say('Daylight', 'Dry', 'Above freezing');
  await act(async () => fireEvent.click(go()));
  expect(mockKept[0].payload.tags).toEqual([`${truck.id}/rear`]);
});
