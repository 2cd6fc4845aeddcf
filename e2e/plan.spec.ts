import { expect, test, type Page } from '@playwright/test';
import {
  address,
  answerStop,
  button,
  drawSignature,
  ownClock,
  saving,
  signIn,
  startEngine,
  walkByRest,
  windOn,
} from './driver';

const MINUTE = 60_000;

/** Nothing is being worked out any more. */
const settled = (page: Page) => expect(page.getByText('Planning', { exact: true })).toHaveCount(0);

const here = (page: Page) => page.getByRole('heading', { level: 1 });

test('a plow truck in the dark at twelve below: planned, walked with a helper, changed by the engine, and signed', async ({
  page,
  browser,
}) => {
  test.setTimeout(300_000);
  await signIn(page, 'Arvid Noll');
  await ownClock(page);
  const { rigs } = await (await page.context().request.get(address('/api/reference'))).json();
  const rig = rigs.find(({ title }: { title: string }) => title.startsWith('226'));
  await page.goto(address(`/begin?rig=${rig.id}&phase=pre-trip`));
  await expect(button(page, 'Begin the walk')).toBeDisabled();
  await expect(page.getByText(/^Say first: daylight or dark, dry or wet/)).toBeVisible();
  await button(page, 'Dark').click();
  await button(page, 'Dry').click();
  await page.getByLabel(/^Temperature/).fill('10');
  await button(page, 'See the plan').click();
  const sum = page.getByRole('heading', { name: /min, .* on foot/ }).last();
  const order = page.getByText(/^\d+ · [A-Z]/);

  const first = await test.step('it says what it takes, and what another order would', async () => {
    await expect(sum).toBeVisible();
    await expect(page.getByText(/In the order of the catalogue it would be/)).toBeVisible();
    await expect(page.getByRole('img', { name: /^Oil: / })).toBeVisible();
    await expect(page.getByText(/need a second person/)).toBeVisible();
    await expect(
      page.getByText('Frost: hydraulic oil warms up for 15 min instead of 5.'),
    ).toBeVisible();
    // The plan of what was said before stays in sight until the new one is made.
    await settled(page);
    return order.allInnerTexts();
  });

  await test.step('an engine that runs already changes it, and back', async () => {
    await button(page, 'The engine runs already').click();
    await expect.poll(() => order.allInnerTexts()).not.toEqual(first);
    await button(page, 'The engine runs already').click();
    await expect.poll(() => order.allInnerTexts()).toEqual(first);
  });

  await test.step('a route style that contradicts itself says which rules, and nothing hangs', async () => {
    await button(page, 'Early').click();
    await expect(page.getByRole('alert').first()).toContainText(/No order keeps all the rules/);
    await button(page, 'As planned').click();
    await expect.poll(() => order.allInnerTexts()).toEqual(first);
  });

  await test.step('a stop is moved by hand, and the price is told', async () => {
    await page
      .getByRole('button', { name: /^Later: / })
      .nth(3)
      .click();
    await expect(page.getByText(/^Your order costs/)).toBeVisible();
    await button(page, 'Back to the planned order').click();
    await expect.poll(() => order.allInnerTexts()).toEqual(first);
  });

  await test.step('the walk follows it, also after the page was closed', async () => {
    await button(page, 'Walk by this plan').click();
    await expect(here(page)).toHaveText(first[0].replace(/^\d+ · /, ''));
    // Nobody looks at all that in a moment.
    await answerStop(page);
    await expect(page.getByTestId('next-stop')).toHaveText(
      `Go to ${first[1].replace(/^\d+ · /, '')}`,
    );
    await page.getByTestId('next-stop').click();
    await page.reload();
    await expect(here(page)).toHaveText(first[1].replace(/^\d+ · /, ''));
  });

  await test.step('a helper comes with a phone of their own; a second one is refused', async () => {
    await expect(saving(page)).toHaveText('All saved and sent');
    await button(page, 'Something has changed').click();
    await button(page, 'Helper').click();
    const code = await page.getByRole('img', { name: /^[A-Z0-9]{5}$/ }).getAttribute('aria-label');
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      serviceWorkers: 'block',
    });
    const phone = await context.newPage();
    await signIn(phone, 'Petra Lunde');
    await button(phone, 'Help with a walk').click();
    await phone.getByLabel('Code of the walk').fill('AAAAA');
    await button(phone, 'Help').click();
    await expect(phone.getByRole('alert')).toContainText('No walk with this code is under way');
    await phone.getByLabel('Code of the walk').fill(code ?? '');
    await button(phone, 'Help').click();
    await expect(phone.getByText(/Nothing is asked of you now/)).toBeVisible();
    // What is the driver's own is not there.
    await expect(phone.getByText(/leakage/)).toHaveCount(0);
    await expect(page.getByText(/^Petra Lunde helps since/)).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByTestId('turn')).toContainText('Petra Lunde helps now.');
    await button(page, /^Now: /).click();

    const third = await browser.newContext({ serviceWorkers: 'block' });
    const other = await third.newPage();
    await signIn(other, 'Imre Dahl');
    await button(other, 'Help with a walk').click();
    await other.getByLabel('Code of the walk').fill(code ?? '');
    await button(other, 'Help').click();
    await expect(other.getByRole('alert')).toContainText('Petra Lunde helps on this walk already');
    await third.close();

    await test.step('lamps are called on both phones', async () => {
      await button(page, 'Something has changed').click();
      await page.getByRole('button', { name: /^Lamp walk/ }).click();
      await button(page, 'Begin').click();
      const call = page.getByText(/^Call (\d+) of \d+/);
      for (let lamp = 1; lamp <= 3; lamp += 1) {
        await expect(call).toContainText(`Call ${lamp} of`);
        await expect(phone.getByText('Asked of you now', { exact: true })).toBeVisible();
        if (lamp === 3) await button(phone, 'It is dark').click();
        else await phone.getByTestId('helper-good').click();
      }
      await expect(call).toContainText('Call 4 of');
      await button(page, 'Close').last().click();
    });
    await button(phone, 'I have gone').click();
    await expect(page.getByTestId('turn')).toContainText('You are alone again.', {
      timeout: 15_000,
    });
    await button(page, /^Now: /).click();
    await context.close();
  });

  await test.step('the engine started early makes the rest of the plan anew', async () => {
    await page.getByTestId('state-bar').click();
    await button(page, 'Start the engine').click();
    await startEngine(page);
    await expect(page.getByTestId('turn')).toContainText('The engine runs early.');
    await button(page, /^Now: /).click();
    await expect(page.getByTestId('clocks')).toContainText('Air builds up');
    // In the pocket for two minutes: the clock has run on, and the phone knows it.
    await windOn(page, 2 * MINUTE);
    await expect(page.getByTestId('clocks')).toContainText('Air: ready');
  });

  await test.step('the rest, stop by stop, each after its least time', async () => {
    await walkByRest(page);
    await expect(here(page)).toHaveText('Verdict');
  });

  await test.step('what was too fast is told, and nothing else', async () => {
    await expect(page.getByText(/^\d+ of \d+ stops? w/)).toBeVisible();
    await drawSignature(page);
    await button(page, 'Sign and seal').click();
    await expect(page.getByText(/^Sealed /)).toBeVisible({ timeout: 20_000 });
    const id = new URL(page.url()).pathname.split('/').at(-1);
    const { report } = await (
      await page.context().request.get(address(`/api/reports/${id}`))
    ).json();
    const hasty = report.pace.hasty.map(({ title }: { title: string }) => title);
    expect(hasty).toContain(first[0].replace(/^\d+ · /, ''));
    for (const { seconds, floor } of report.pace.hasty) expect(seconds).toBeLessThan(floor);
    expect(report.course.helpers).toMatchObject([{ name: 'Petra Lunde' }]);
    // Each unit of the rig has a report of its own; the helper looked at lamps of more than one.
    const { lastReports } = await (
      await page.context().request.get(address('/api/reference'))
    ).json();
    const all = [];
    for (const { reportId } of lastReports as { reportId: string | null }[]) {
      if (!reportId) continue;
      const file = await page.context().request.get(address(`/api/reports/${reportId}`));
      all.push((await file.json()).report);
    }
    const ofThisWalk = all.filter(({ inspection }) => inspection === report.inspection);
    const by = ofThisWalk
      .flatMap(({ answers }) => answers)
      .filter(({ helper }: { helper?: string }) => helper);
    expect(by.map(({ outcome }: { outcome: string }) => outcome).sort()).toEqual([
      'major',
      'sound',
      'sound',
    ]);
    expect(report.answers.some(({ together }: { together?: true }) => together)).toBe(true);
  });
});
