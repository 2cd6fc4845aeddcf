import { fold } from '@nazar/core/inspection';
import { orderWalk } from '@nazar/core/planning';
import { begunOf, makeLog, makeRig, walkId } from '@nazar/core/testing';
import type { ReplanReason } from '@nazar/core/walking';
import { act, render } from '@testing-library/react';
import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';
import type { KeptPlan, Walk } from '@/state/walk';
import type { Live } from './use-live';
import { useReplanning } from './use-replanning';

let mockTurns: ReplanReason[] = [];
const mockKept: KeptPlan[] = [];
const mockFinish: (() => void)[] = [];
let mockShow: (plan: KeptPlan) => void = () => undefined;

jest.mock('@nazar/core/walking', () => ({
  ...jest.requireActual('@nazar/core/walking'),
  findReplanReasons: ({ taken }: { taken: ReadonlySet<string> }) =>
    mockTurns.filter(({ id }) => !taken.has(id)),
  standingNow: () => ({}),
}));
jest.mock('@/state/walk', () => ({
  keepPlan: (_: string, plan: KeptPlan) => {
    mockKept.push(plan);
    // What is kept is on the screen before who kept it goes on.
    mockShow(plan);
    return Promise.resolve();
  },
  readRouteStyle: () => Promise.resolve({}),
  useWalkSession: () => ({ clock: { now: () => Date.now() } }),
}));
jest.mock('@/workers/plan-walk', () => ({
  planInWorker: () =>
    new Promise((resolve) =>
      mockFinish.push(() => resolve({ ok: true, plan: { stops: [], way: [] } })),
    ),
}));

const rig = makeRig();
const log = makeLog();
log.add('begun', begunOf(rig));
const inspection = fold(walkId, log.events);
const rain: ReplanReason = { id: 'rain', code: 'turned', circumstances: ['wet'] };
const helper: ReplanReason = { id: 'helper', code: 'helper-came', name: 'Petra Lunde' };

function Board() {
  const [plan, setPlan] = useState<KeptPlan | null>(null);
  useEffect(() => {
    mockShow = (next) => flushSync(() => setPlan(next));
  }, []);
  const walk = { inspection, rig, stops: orderWalk(rig), plan } as unknown as Walk;
  const live = { state: { values: { engine: 'off' } }, forbidden: new Map() } as unknown as Live;
  const { busy } = useReplanning(walk, live, rig.zones[0].key);
  return <>{busy ? 'busy' : 'done'}</>;
}

it('takes what happens while the plan is being made as soon as it is there', async () => {
  mockTurns = [rain];
  const { container, rerender } = render(<Board />);
  await act(async () => undefined);
  expect(container.textContent).toBe('busy');
  mockTurns = [rain, helper];
  rerender(<Board />);
  await act(async () => mockFinish[0]());
  expect(mockKept.at(-1)?.taken).toEqual(['rain']);
  expect(mockFinish).toHaveLength(2);
  await act(async () => mockFinish[1]());
  expect(mockKept.at(-1)?.taken).toEqual(['rain', 'helper']);
  expect(mockFinish).toHaveLength(2);
  expect(container.textContent).toBe('done');
});
