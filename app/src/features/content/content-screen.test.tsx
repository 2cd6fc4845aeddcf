import { AS_SHIPPED, type DepotContent } from '@nazar/core/depot-content';
import { trailer, truck } from '@nazar/core/testing';
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import '@/i18n';
import { useReference, useSession } from '@/state';
import { giveModules } from '../../../testing/give-modules';
import { answerFetch } from '../../../testing/server-stand-in';
import { ContentScreen } from './content-screen';

// Whether each of a thousand buttons can be seen takes minutes to work out here, and is not what is tested.
const person = {
  id: '01900000-0000-7000-8000-0000000000d9',
  name: 'Ilka Moors',
  role: 'supervisor' as const,
  depotId: 'north',
  organisationId: 'halvern',
};

/** A server with one version of the content, which keeps what is sent or refuses it with a sentence. */
function serve(content: DepotContent = AS_SHIPPED, refuse?: { status: number; detail: string }) {
  const units = [truck, trailer];
  const reference = {
    units,
    depot: { name: 'North', choice: {} },
    content,
    serverTime: Date.now(),
  };
  useReference.setState({ reference: reference as never });
  return answerFetch((path, { method }) => {
    if (path === '/reference') return { status: 200, body: reference };
    if (path === '/content' && method !== 'PUT') {
      const versions = content.version
        ? [
            {
              version: content.version,
              at: '2026-11-25T05:00:00Z',
              by: 'Ilka Moors',
              words: 'first',
            },
          ]
        : [];
      return { status: 200, body: { content, versions } };
    }
    if (path === '/content/0') return { status: 200, body: AS_SHIPPED };
    return refuse
      ? { status: refuse.status, body: { code: 'content-faults', detail: refuse.detail } }
      : { status: 201, body: { version: content.version + 1 } };
  });
}

type Calls = ReturnType<typeof serve>;
const sent = (calls: Calls) =>
  calls.find(({ method }) => method === 'PUT' || method === 'POST')?.body as {
    basedOn: number;
    words: string;
    content: DepotContent;
    file: unknown;
  };
const press = (words: string | RegExp) => fireEvent.click(screen.getByText(words));
const write = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const show = async () => {
  render(<ContentScreen onBack={() => undefined} />);
  await screen.findByText('Versions');
};

beforeEach(() => useSession.setState({ person }));

beforeEach(giveModules);

it('says that everything is asked as it ships', async () => {
  serve();
  await show();
  expect(screen.getByText('Every check of the catalogue is asked as it ships.')).toBeTruthy();
});

it('shows a driver what holds, and nothing to change it by', async () => {
  useSession.setState({ person: { ...person, role: 'driver' as never } });
  serve({
    ...AS_SHIPPED,
    version: 1,
    off: [{ check: 'truck.cab.radio', reason: 'none', scope: {} }],
  });
  await show();
  expect(screen.getByText('none · every unit that has it')).toBeTruthy();
  for (const name of [/Switch a check/, /Take back/, /Bring a/, /Go back/, /as it ships$/])
    expect(screen.queryByRole('button', { name })).toBeNull();
});

it('switches a check off for one unit, with the reason', async () => {
  const calls = serve();
  await show();
  press('Switch a check off');
  write('Find a check', 'radio');
  fireEvent.click(screen.getByRole('button', { name: /radio/i }));
  const now = screen.getByRole('button', { name: 'Switch it off' });
  expect(now.getAttribute('aria-disabled')).toBe('true');
  press(truck.number);
  write('Why', 'Taken out in autumn');
  press('Switch it off');
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  expect(sent(calls)).toMatchObject({
    basedOn: 0,
    words: 'Taken out in autumn',
    content: {
      off: [
        {
          check: 'truck.cab.radio',
          reason: 'Taken out in autumn',
          scope: { unitId: truck.id },
        },
      ],
    },
  });
});

it('does not offer to switch off what must be asked, and says why', async () => {
  serve();
  await show();
  press('Switch a check off');
  write('Find a check', 'triangles');
  const choice = screen.getByRole('button', { name: /triangles/ });
  expect(choice.getAttribute('aria-disabled')).toBe('true');
  expect(choice.textContent).toMatch(/A public rule asks for it: 49 CFR/);
  write('Find a check', 'zeppelin');
  expect(screen.getByText('No check has these words.')).toBeTruthy();
});

it('tightens a limit in the reader’s unit, and keeps what was typed when it is refused', async () => {
  const calls = serve(AS_SHIPPED, {
    status: 422,
    detail: 'stricter[0]: 2 mm is looser than law, 4 32nds (49 CFR 393.75(b))',
  });
  await show();
  press('Tighten a limit');
  write('Find a check', 'tread');
  fireEvent.click(screen.getAllByRole('button', { name: /tread/i })[0]);
  const limit = screen.getByLabelText(/^Limit of the house/);
  fireEvent.change(limit, { target: { value: 'six' } });
  write('Why', 'Winter');
  press('Tighten it');
  expect(within(screen.getByRole('dialog')).getByRole('alert').textContent).toMatch(
    /^Write a number/,
  );
  expect(sent(calls)).toBeUndefined();
  fireEvent.change(limit, { target: { value: '2' } });
  press('Tighten it');
  await screen.findByText(/is looser than law/);
  expect(screen.getByRole('dialog')).toBeTruthy();
  expect((limit as HTMLInputElement).value).toBe('2');
  expect(sent(calls).content.stricter).toMatchObject([
    { side: 'below', value: 2, reason: 'Winter' },
  ]);
});

it('writes a check of the house, asking for what is missing one by one', async () => {
  const calls = serve();
  await show();
  press('Add a check of our own');
  const alert = () => within(screen.getByRole('dialog')).getByRole('alert').textContent;
  press('Add it');
  expect(alert()).toBe('Say what is done.');
  write('What is done', 'Look at the tarp bows');
  press('Add it');
  expect(alert()).toBe('Say what good looks like.');
  write('What good looks like', 'Straight and in their sockets');
  press('Add it');
  expect(alert()).toBe('Say at least one thing that can be wrong with it.');
  write('What can be wrong, 1', 'A bow is bent');
  press('Add it');
  expect(alert()).toBe('Say in one sentence why it is asked.');
  write('Why it is asked, in one sentence', 'A loose bow flies.');
  press('It stays');
  press('Pre-trip');
  press('Add it');
  expect(alert()).toBe('Choose at least one walk in which it is asked.');
  press('Post-trip');
  press('Add it');
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  expect(sent(calls).content.own).toMatchObject([
    {
      module: truck.moduleId,
      check: {
        id: 'house.look-at-the-tarp-bows',
        phases: ['post-trip'],
        symptoms: [{ words: 'A bow is bent', harm: 'stop' }],
      },
      scope: {},
    },
  ]);
});

it('takes a rule back, and goes back to what ships', async () => {
  const off = [{ check: 'truck.cab.radio', reason: 'none', scope: {} }];
  const calls = serve({ ...AS_SHIPPED, version: 3, off });
  await show();
  press(/^Take back/);
  await waitFor(() => expect(sent(calls)).toMatchObject({ basedOn: 3, content: { off: [] } }));
  press('Ask everything as it ships');
  await waitFor(() =>
    expect(calls.filter(({ method }) => method === 'PUT')[1]?.body).toMatchObject({
      words: 'Went back to version 0',
      content: AS_SHIPPED,
    }),
  );
});

it('brings a file, shows every fault of it, and refuses what is no JSON itself', async () => {
  const calls = serve(AS_SHIPPED, { status: 422, detail: 'modules[0]: one\nmodules[1]: two' });
  await show();
  const choose = (text: string) => {
    const file = { name: 'ours.json', text: () => Promise.resolve(text) };
    fireEvent.change(screen.getByTestId('catalogue-input'), { target: { files: [file] } });
  };
  choose('no json');
  expect((await screen.findByRole('alert')).textContent).toMatch(/no JSON/);
  choose('{"format":"nazar-catalogue"}');
  await screen.findByText('modules[1]: two');
  expect(screen.getByText('modules[0]: one')).toBeTruthy();
  expect(sent(calls)).toMatchObject({ words: 'From the file ours.json', basedOn: 0 });
});

it('says that somebody else was quicker', async () => {
  serve(
    { ...AS_SHIPPED, version: 2, off: [{ check: 'truck.cab.radio', reason: 'none', scope: {} }] },
    { status: 409, detail: 'Somebody changed the content while you had it open.' },
  );
  await show();
  press(/^Take back/);
  expect((await screen.findByRole('alert')).textContent).toMatch(/^Somebody changed/);
});
