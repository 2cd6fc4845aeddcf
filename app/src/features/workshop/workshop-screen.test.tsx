import { clearDevice } from '../../../testing/device';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { DefectRecord } from '@nazar/core/repair';
import '@/i18n';
import { syncNow, useSession, useSync } from '@/state';
import { stopTrying } from '../../state/sync';

import { answerFetch } from '../../../testing/server-stand-in';
import { WorkshopScreen } from './workshop-screen';

const person = {
  id: '01900000-0000-7000-8000-0000000000d2',
  name: 'Rasmus Feld',
  role: 'mechanic' as const,
  depotId: 'north',
  organisationId: 'halvern',
};

const defect = {
  id: '01900000-0000-7000-8000-0000000000a1',
  inspectionId: '01900000-0000-7000-8000-0000000000f1',
  unitId: 'unit-218',
  unitNumber: '218',
  unitTitle: 'Straight truck',
  key: 'unit-218/truck.wheel.nuts/left-steer',
  title: 'Wheel nuts, left steer',
  symptom: 'Rust streak or shiny mark, nuts tight',
  symptomId: 'rust-streak',
  grade: 'minor',
  status: 'open',
  policyIds: ['two-step'],
  reasons: [],
  photoIds: [],
  reportedAt: '2026-11-25T05:00:00.000Z',
  reportedBy: 'Tove Brask',
  reportedById: '01900000-0000-7000-8000-0000000000d1',
  neededAt: null,
  dueAt: null,
  revision: 0,
} as unknown as DefectRecord;

/** A server with one open defect until it is certified; `away` drops requests as a dead connection does. */
function bench() {
  const server = { away: false, open: [defect] as DefectRecord[], sent: [] as { type: string }[] };
  answerFetch((path, init) => {
    if (server.away) return 'offline';
    if (path.startsWith('/defects?'))
      return { status: 200, body: { defects: server.open, counts: {}, more: false } };
    if (path.startsWith('/defects/'))
      return { status: 200, body: { defect, steps: [], formerRepair: null } };
    if (path === '/reference')
      return {
        status: 200,
        body: { serverTime: Date.now(), units: [], mechanics: [], ownPolicies: [] },
      };
    if (path !== '/events') return { status: 204 };
    const { events } = JSON.parse(String(init.body)) as { events: { id: string; type: string }[] };
    server.sent.push(...events);
    server.open = [];
    return { status: 200, body: { answers: events.map(({ id }) => ({ id, status: 'stored' })) } };
  });
  return server;
}

const nothing = () => undefined;

async function open() {
  render(
    <WorkshopScreen
      onReport={nothing}
      onLogbook={nothing}
      onCompare={nothing}
      onDesk={nothing}
      onToday={nothing}
      onYou={nothing}
    />,
  );
  fireEvent.click(
    await screen.findByRole('button', { name: /^218 · Wheel nuts, left steer.*Rust/ }),
  );
  fireEvent.change(await screen.findByLabelText('What was done'), {
    target: { value: 'Nuts renewed and torqued' },
  });
}

async function sign() {
  fireEvent.pointerUp(screen.getByRole('img', { name: 'Pad for your signature' }));
  fireEvent.click(screen.getByRole('button', { name: 'Certify and return to service' }));
  fireEvent.click(await screen.findByRole('button', { name: 'Now' }));
}

beforeEach(async () => {
  jest.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue(null);
  await clearDevice();
  useSession.setState({ person, expired: false });
  useSync.setState({ trouble: undefined });
});

afterEach(() => stopTrying());

it('certifies, and the defect leaves the list', async () => {
  const server = bench();
  await open();
  await sign();
  await screen.findByText('Certified. The next driver is asked to acknowledge it.');
  expect(server.sent.map(({ type }) => type)).toEqual(['certified']);
  await waitFor(() =>
    expect(
      screen.queryByRole('button', { name: /^218 · Wheel nuts, left steer.*Rust/ }),
    ).toBeNull(),
  );
});

it('says that a certificate is only kept here while the server is away, and reads the list again when it has arrived', async () => {
  const server = bench();
  await open();
  server.away = true;
  await sign();
  await screen.findByText(/^Signed and kept on this device/);
  expect(screen.getByRole('button', { name: /^218 · Wheel nuts, left steer.*Rust/ })).toBeTruthy();
  server.away = false;
  await act(() => syncNow());
  await waitFor(() =>
    expect(
      screen.queryByRole('button', { name: /^218 · Wheel nuts, left steer.*Rust/ }),
    ).toBeNull(),
  );
  expect(server.sent).toHaveLength(1);
});
