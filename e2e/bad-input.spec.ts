import { expect, test } from '@playwright/test';
import {
  address,
  answerOne,
  answerStop,
  beginWalk,
  button,
  currentCheck,
  goToCheck,
  makePicture,
  PINS,
  saving,
  signIn,
  takeSteps,
  typeReading,
  walkOn,
} from './driver';

test('a wrong PIN, then a locked name, each in a sentence', async ({ page }) => {
  await page.goto(address('/'));
  await page.getByLabel('Name').fill('Oskar Wendt');
  for (let tries = 1; tries <= 5; tries += 1) {
    await page.getByLabel('PIN').fill('0000');
    await button(page, 'Sign in').click();
    await expect(page.getByRole('alert')).toHaveText(
      tries < 5 ? /do not belong together/ : /Too many wrong PINs\. Try again in 15 min/,
    );
    await expect(page.getByLabel('Name')).toHaveValue('Oskar Wendt');
  }
  await page.getByLabel('PIN').fill(PINS['Oskar Wendt']);
  await button(page, 'Sign in').click();
  await expect(page.getByRole('alert')).toHaveText(/Too many wrong PINs/);
});

test('a first sign-in without a network says that it needs one', async ({ page, context }) => {
  await page.goto(address('/'));
  await expect(page.getByLabel('Name')).toBeVisible();
  await context.setOffline(true);
  await page.getByLabel('Name').fill('Nela Korin');
  await page.getByLabel('PIN').fill(PINS['Nela Korin']);
  await button(page, 'Sign in').click();
  await expect(page.getByRole('alert')).toHaveText(/The first sign-in on a phone needs one/);
  await context.setOffline(false);
});

test('readings that cannot be are asked again, with the reason, and one near its limit twice', async ({
  page,
}) => {
  await signIn(page, 'Nela Korin');
  await beginWalk(page, /^218/);
  await page.keyboard.press('Escape');
  await answerStop(page);
  await page.getByTestId('next-stop').click();
  await takeSteps(page);
  await button(page, 'Measure').click();
  const sheet = page.getByRole('dialog');
  await button(page, 'Keep the reading').click();
  await expect(sheet.getByRole('alert')).toHaveText('Type the reading.');
  await typeReading(page, '40');
  await expect(sheet.getByRole('alert')).toHaveText(/deeper than a new one/);
  await page.keyboard.press('Backspace');
  await page.keyboard.press('Backspace');
  await typeReading(page, '4');
  await expect(page.getByText(/Measure once more; the worse of both counts/)).toBeVisible();
  await page.keyboard.press('Escape');
  await button(page, 'Measure again').click();
  await typeReading(page, '9');
  await goToCheck(page, /Measure the tread/);
  await expect(page.getByText(/^Answered: note/)).toBeVisible();

  await goToCheck(page, /Tyre pressure, left steer/);
  await button(page, 'Measure').click();
  await typeReading(page, '400');
  await expect(sheet.getByRole('alert')).toHaveText(/above 170 psi cannot be here/);
});

test('a photo that is no picture is refused at once, and the fault stays', async ({ page }) => {
  await signIn(page, 'Nela Korin');
  await beginWalk(page, /^218/);
  await page.keyboard.press('Escape');
  await button(page, 'Fault').click();
  await button(page, 'No chocks to be had').click();
  await page.getByLabel('Note').fill('Left at the pit');
  await page.getByTestId('photo-input').setInputFiles({
    name: 'holiday.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('this is a letter, not a picture'),
  });
  await expect(page.getByRole('alert')).toHaveText(/no picture that can be read/);
  await expect(page.getByLabel('Note')).toHaveValue('Left at the pit');
  await page.getByTestId('photo-input').setInputFiles({
    name: 'chocks.jpg',
    mimeType: 'image/jpeg',
    buffer: await makePicture(page, 4000, 3000),
  });
  await expect(page.getByLabel('Photo 1')).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('a session that ran out: work goes on, and sign-in is asked to send it', async ({
  page,
  context,
}) => {
  await signIn(page, 'Nela Korin');
  await beginWalk(page, /^218/);
  await page.keyboard.press('Escape');
  await answerOne(page);
  await expect(saving(page)).toHaveText('All saved and sent');
  await context.clearCookies();
  await answerOne(page);
  await expect(saving(page)).toContainText(/Sign in to send \d+ kept entr/);
  await answerOne(page);
  await button(page, 'Sign in').click();
  await expect(page.getByText(/Your sign-in ran out. Your entries are kept/)).toBeVisible();
  await page.getByLabel('PIN').fill(PINS['Nela Korin']);
  await button(page, 'Sign in').click();
  await expect(saving(page)).toHaveText('All saved and sent');
});

test('a server whose database is away: the app keeps working and says so', async ({ page }) => {
  await signIn(page, 'Nela Korin');
  await beginWalk(page, /^218/);
  await page.keyboard.press('Escape');
  await page.route('**/api/events', (route) =>
    route.fulfill({
      status: 503,
      contentType: 'application/problem+json',
      body: JSON.stringify({ code: 'database-away', detail: 'The records cannot be reached.' }),
    }),
  );
  await answerOne(page);
  await answerOne(page);
  await expect(saving(page)).toContainText(/Server not answering\. \d+ kept on this phone/);
  await page.unroute('**/api/events');
  await expect(saving(page)).toHaveText('All saved and sent', { timeout: 30_000 });
});

test('a full disk: the touch is not kept, nothing moves on, and it says what to do', async ({
  page,
}) => {
  await signIn(page, 'Nela Korin');
  await beginWalk(page, /^218/);
  await page.keyboard.press('Escape');
  const before = await currentCheck(page);
  await page.evaluate(() => {
    const real = IDBObjectStore.prototype.add;
    Object.assign(window, { real });
    IDBObjectStore.prototype.add = function () {
      throw new DOMException('no room', 'QuotaExceededError');
    };
  });
  await page.getByTestId('sound').click();
  await expect(page.getByRole('alert')).toContainText('This phone has no room left');
  expect(await currentCheck(page)).toBe(before);
  await page.evaluate(() => {
    IDBObjectStore.prototype.add = (window as unknown as { real: IDBObjectStore['add'] }).real;
  });
  await page.getByTestId('sound').click();
  await expect.poll(() => currentCheck(page)).not.toBe(before);
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('an entry the server refuses is kept here with its sentence', async ({ page }) => {
  await signIn(page, 'Nela Korin');
  await page.route('**/api/events', async (route) => {
    const body = route.request().postDataJSON() as { events: { type: string }[] };
    const events = body.events.map((event) =>
      event.type === 'answered' ? { ...event, type: 'levitated' } : event,
    );
    await route.continue({ postData: JSON.stringify({ events }) });
  });
  await beginWalk(page, /^218/);
  await page.keyboard.press('Escape');
  await answerOne(page);
  await expect(button(page, /1 entry was refused/)).toBeVisible();
  await button(page, /1 entry was refused/).click();
  await expect(page.getByText(/"levitated" is not known here/)).toBeVisible();
});

test('a walk that is not here, and one that was signed, cannot be walked on', async ({ page }) => {
  await signIn(page, 'Nela Korin');
  await page.goto(address('/walk/01900000-0000-7000-8000-000000000000'));
  await expect(page.getByText('This walk is not on this phone.')).toBeVisible();
  await button(page, 'To Today').click();
  await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
});

test('an unfinished walk is not signed: the verdict leads back to what is missing', async ({
  page,
}) => {
  await signIn(page, 'Nela Korin');
  await beginWalk(page, /^218/);
  await page.keyboard.press('Escape');
  await walkOn(page, 'Front wheel, driver side');
  await page.goto(page.url().replace(/(\/walk\/[^/?]+).*/, '$1/verdict'));
  await expect(page.getByRole('heading', { name: 'Does not roll' })).toBeVisible();
  await button(page, /\d+ checks have no answer yet/).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Front wheel, driver side');
});
