import { expect, test, type Browser, type Page } from '@playwright/test';
import {
  acknowledgeAll,
  address,
  beginWalk,
  button,
  drawSignature,
  goToCheck,
  makePicture,
  signIn,
  walkByRest,
  walkOn,
} from './driver';
import { sendWalk } from './send-walk';

/** A person with a device of their own. */
async function device(browser: Browser, name: string, wide = false): Promise<Page> {
  const context = await browser.newContext({
    viewport: wide ? { width: 1280, height: 800 } : { width: 390, height: 844 },
    hasTouch: !wide,
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  await signIn(page, name);
  return page;
}

async function seal(page: Page): Promise<void> {
  await drawSignature(page);
  await button(page, 'Sign and seal').click();
  await expect(page.getByText(/^Sealed /)).toBeVisible({ timeout: 20_000 });
}

async function findNuts(page: Page, symptom: string): Promise<void> {
  await walkOn(page, 'Front wheel, driver side');
  await goToCheck(page, /Look at every nut/);
  await button(page, 'Fault').click();
  await button(page, symptom).click();
  await button(page, 'Keep the fault').click();
  await walkByRest(page);
}

test('a defect keeps the rig in, is repaired, read, and found again as a return', async ({
  page,
  browser,
}) => {
  test.slow();
  await signIn(page, 'Jonah Sterk');
  const supervisor = await device(browser, 'Sanna Veit');
  const bench = await device(browser, 'Henk Lorring', true);
  const row = bench.getByRole('button', { name: /^305 · Wheel nuts.*One nut/ });

  await test.step('a major defect: the job of tonight cannot be done', async () => {
    await beginWalk(page, /^305/);
    await acknowledgeAll(page);
    await findNuts(page, 'One nut loose or missing');
    await expect(page.getByRole('heading', { name: 'Does not roll' })).toBeVisible();
    await expect(page.getByText('Deliveries, west side')).toBeVisible();
    await expect(
      page.getByText('It may not leave for this job. The sign-out says why.'),
    ).toBeVisible();
    await seal(page);
  });

  await test.step('sign-out is refused, with the defect', async () => {
    await button(page, 'Sign out').click();
    await expect(page.getByRole('alert').filter({ hasText: 'Blocked: Road' })).toBeVisible();
    await expect(page.getByText('Wheel nuts, left steer').first()).toBeVisible();
    await expect(button(page, /^Sign out/)).toBeDisabled();
  });

  await test.step('a supervisor sees it, and cannot take a major defect off', async () => {
    await supervisor.goto(address('/desk'));
    await supervisor.getByRole('button', { name: /305 \+ 941 · Does not roll/ }).click();
    await expect(supervisor.getByText(/^Blocked: Road/)).toBeVisible();
    await expect(
      supervisor.getByText('It is repaired, certified and read before it leaves').first(),
    ).toBeVisible();
    await expect(button(supervisor, 'Release it')).toHaveCount(0);
  });

  await test.step('the bench takes it, writes down parts and minutes, certifies', async () => {
    await bench.reload();
    await expect(row).toContainText('needed');
    await row.click();
    await button(bench, 'Henk Lorring').click();
    await expect(bench.getByText('Given to')).toBeVisible();
    await button(bench, 'Add work, parts, photos').click();
    await bench.getByLabel('What was done').first().fill('Stud stretched, two renewed');
    await bench.getByLabel('Parts').fill('2 wheel stud, 2 nut');
    await bench.getByLabel('Minutes of work').fill('35');
    await bench
      .getByTestId('photo-input')
      .last()
      .setInputFiles({
        name: 'after.jpg',
        mimeType: 'image/jpeg',
        buffer: await makePicture(bench),
      });
    await expect(bench.getByLabel('Photo 1')).toBeVisible();
    await button(bench, 'Keep the work').click();
    await expect(bench.getByText('2 × wheel stud')).toBeVisible();
    await bench.getByLabel('What was done').fill('Studs and nuts renewed, torqued by the manual');
    await drawSignature(bench);
    await button(bench, 'Certify and return to service').click();
    await button(bench, 'Take it back').click();
    await expect(row).toBeVisible();
    await button(bench, 'Certify and return to service').click();
    await button(bench, 'Now').click();
    await expect(
      bench.getByText('Certified. The next driver is asked to acknowledge it.'),
    ).toBeVisible();
    await expect(row).toHaveCount(0);
  });

  await test.step('the driver reads it, walks, signs out and comes back', async () => {
    await page.goto(address('/today'));
    await expect(page.getByText('Studs and nuts renewed, torqued by the manual')).toBeVisible();
    const walk = await sendWalk(page, /^305/, { forJob: true, reads: true });
    await page.goto(address(`/walk/${walk}/leave`));
    await expect(page.getByText('Nothing is against it.')).toBeVisible();
    await button(page, /^Sign out/).click();
    await expect(page.getByRole('heading', { name: 'It is out' })).toBeVisible();
    await supervisor.goto(address('/desk'));
    await expect(
      supervisor.getByRole('button', { name: /305 \+ 941 · Deliveries, west side/ }),
    ).toBeVisible();
    await button(page, 'Return it').click();
    await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
  });

  await test.step('the same part again is a return, with the repair that did not hold', async () => {
    await sendWalk(page, /^305/, {
      faults: [{ on: 'truck.wheel.nuts/steer-left', symptom: 'nut-streak' }],
    });
    await bench.reload();
    const again = bench.getByRole('button', { name: /^305 · Wheel nuts.*Rust streak/ });
    await expect(again).toContainText('came back');
    await again.click();
    await expect(bench.getByText(/Studs and nuts renewed, torqued by the manual/)).toBeVisible();
    await button(bench, 'Open the logbook').click();
    await expect(bench.getByRole('heading', { name: 'Time line' })).toBeVisible();
    await expect(bench.getByText(/it did not hold/).first()).toBeVisible();
  });

  await supervisor.context().close();
  await bench.context().close();
});

test('a condition keeps the rig in until a supervisor takes it off, in writing; then it is out once', async ({
  page,
  browser,
}) => {
  await signIn(page, 'Mirela Aune');
  const walk = await sendWalk(page, /^307/, {
    faults: [{ on: 'truck.lamp.stop/rear-lamps-left', symptom: 'lamp-out' }],
  });
  const supervisor = await device(browser, 'Sanna Veit', true);

  await test.step('the driver sees the condition, and whom to ask', async () => {
    await page.goto(address(`/walk/${walk}/leave`));
    await expect(page.getByText('A supervisor may decide this, in writing.').first()).toBeVisible();
    await expect(button(page, /^Sign out/)).toBeDisabled();
  });

  await test.step('to the workshop it may go', async () => {
    await button(page, 'To the workshop').click();
    await expect(button(page, 'Sign out to the workshop')).toBeEnabled();
    await button(page, 'To the workshop').click();
  });

  await test.step('the supervisor says why and signs', async () => {
    await supervisor.goto(address(`/walk/${walk}/leave`));
    await button(supervisor, 'Take the condition off').click();
    await button(supervisor, 'Sign it').click();
    await expect(supervisor.getByRole('alert').last()).toHaveText('Say in a few words why.');
    await supervisor
      .getByLabel('Why, and what is done instead')
      .fill('Drives behind 305 with its lamps on');
    await drawSignature(supervisor);
    await button(supervisor, 'Sign it').click();
    await expect(
      supervisor.getByRole('heading', { name: 'Taken off by a supervisor' }),
    ).toBeVisible();
  });

  await test.step('the driver signs out, and nobody else can', async () => {
    await page.reload();
    await expect(page.getByText('Drives behind 305 with its lamps on')).toBeVisible();
    await button(page, /^Sign out/).click();
    await expect(page.getByRole('heading', { name: 'It is out' })).toBeVisible();
  });

  await test.step('the report tells it all', async () => {
    await page.goto(address(`/report/${walk}`));
    await expect(page.getByText('Condition taken off by a supervisor')).toBeVisible();
    await expect(page.getByText('Signed out for a job')).toBeVisible();
    await button(page, 'Return it').click();
    await button(page, 'Return it').click();
    await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
  });
  await supervisor.context().close();
});
