import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import {
  acknowledgeAll,
  address,
  beginWalk,
  button,
  drawSignature,
  goToCheck,
  walkToCheck,
  makePicture,
  saving,
  sayConditions,
  signIn,
  walkOn,
} from './driver';
import { sendWalk } from './send-walk';

/** Not a test: takes the pictures of the main views from demo data (npm run pictures). */
const FOLDER = join(import.meta.dirname, '..', 'docs', 'screenshots');

async function take(page: Page, name: string): Promise<void> {
  await page.waitForTimeout(400);
  await page.screenshot({ path: join(FOLDER, `${name}.png`) });
}

test('pictures of a walk', async ({ page }) => {
  test.slow();
  await page.goto(address('/'));
  await expect(page.getByLabel('Name')).toBeVisible();
  await take(page, 'sign-in');
  await signIn(page, 'Imre Dahl');
  await page.getByRole('button', { name: /^214/ }).click();
  await take(page, 'today');
  await beginWalk(page, /^214/);
  await acknowledgeAll(page);
  await walkOn(page, 'Front wheel, driver side');
  await goToCheck(page, /Measure the tread/);
  await button(page, 'Measure').click();
  await button(page, '1').click();
  await button(page, '1').click();
  await take(page, 'keypad');
  await button(page, 'Keep the reading').click();
  // A number that leaps from the last one is typed twice.
  if (await page.getByText('type it once more if it is so').count()) {
    await button(page, '1').click();
    await button(page, '1').click();
    await button(page, 'Keep the reading').click();
  }
  await walkOn(page, 'Rear wheels, driver side');
  await goToCheck(page, /Look at every nut/);
  await button(page, 'Fault').click();
  await button(page, 'Rust streak or shiny mark, nuts tight').click();
  await page.getByTestId('photo-input').setInputFiles({
    name: 'nuts.jpg',
    mimeType: 'image/jpeg',
    buffer: await makePicture(page),
  });
  await expect(page.getByLabel('Photo 1')).toBeVisible();
  await take(page, 'fault');
  await button(page, 'Keep the fault').click();
  await walkOn(page, 'Trailer coupling and drawbar');
  await page.getByRole('button', { name: /^(DANGER|WARNING|CAUTION)\. / }).click();
  await goToCheck(page, /Safety chain.*left/);
  await take(page, 'walk');
  await walkOn(page);
  await drawSignature(page);
  await page.mouse.move(10, 10);
  await page.getByRole('heading', { name: 'Rolls with limits' }).scrollIntoViewIfNeeded();
  await take(page, 'verdict');
  await button(page, 'Sign and seal').click();
  await expect(page.getByText(/^Sealed /)).toBeVisible({ timeout: 20_000 });
  await take(page, 'report');
});

test('pictures of a wide screen', async ({ browser }) => {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  await signIn(page, 'Rasmus Feld');
  await expect(page.getByLabel('Photo of the defect')).toBeVisible();
  await take(page, 'workshop');
  await page.getByRole('button', { name: /^223/ }).first().click();
  await button(page, 'Open the logbook').click();
  await expect(page.getByRole('heading', { name: 'Time line' })).toBeVisible();
  await take(page, 'logbook');
  await page.goto(
    address('/compare?check=truck.tyre.tread-steer&symptom=tread-one-edge&in=dark&needs='),
  );
  await expect(page.getByRole('heading', { name: 'Two policies' })).toBeVisible();
  await take(page, 'compare');
  await page.goto(address('/you'));
  await button(page, 'Sign out').click();
  await signIn(page, 'Jonah Sterk');
  await beginWalk(page, /^305/);
  await walkOn(page, 'Rear wheels, driver side');
  await take(page, 'walk-wide');
  await context.close();
});

test('pictures of a sequence that reads the card, and of what a card says before a walk', async ({
  page,
}) => {
  await signIn(page, 'Ivo Stamm');
  await page.getByRole('button', { name: /^341/ }).first().click();
  await button(page, 'Other walk').click();
  await page.getByRole('button', { name: /^Before use/ }).click();
  await expect(page.getByText(/Extinguisher was good until/)).toBeVisible();
  await take(page, 'card');
  await sayConditions(page);
  await button(page, 'Begin the walk').click();
  await walkToCheck(page, /Set the crane up/);
  await button(page, 'Step through the test').click();
  await button(page, 'Zone is clear, begin').click();
  for (let gate = 0; gate < 3; gate += 1) await button(page, 'Yes').click();
  await page.getByLabel(/^Radius/).fill('26');
  await page.getByLabel(/^Boom/).fill('60');
  await take(page, 'sequence');
});

test('pictures of a rig that is built', async ({ page }) => {
  await signIn(page, 'Nela Korin');
  await button(page, 'Build a rig').click();
  for (const unit of [/^226 · /, /^614 · /, /^613 · /, /^616 · /])
    await page.getByRole('button', { name: unit }).click();
  await page.mouse.move(200, 300);
  await page.mouse.wheel(0, -9000);
  await take(page, 'rig-builder');
  await button(page, 'Walk round it').click();
  await sayConditions(page);
  await button(page, 'Begin the walk').click();
  await expect(button(page, 'All stops')).toBeVisible();
});

test('pictures of a sign-out', async ({ page, browser }) => {
  await signIn(page, 'Tove Brask');
  const walk = await sendWalk(page, /^218/, {
    faults: [
      { on: 'wheel.nuts/steer-left', symptom: 'nut-one' },
      { on: 'truck.lamp.stop/rear-lamps-left', symptom: 'lamp-out' },
    ],
  });
  await page.goto(address(`/walk/${walk}/leave`));
  await expect(page.getByRole('alert').first()).toBeVisible();
  await take(page, 'sign-out');
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    serviceWorkers: 'block',
  });
  const desk = await context.newPage();
  await signIn(desk, 'Ilka Moors');
  await desk.goto(address('/desk'));
  await expect(desk.getByRole('button', { name: /218/ }).first()).toBeVisible();
  await take(desk, 'desk');
  await context.close();
});

test('pictures of a plan and of what a depot asks', async ({ page, browser }) => {
  await signIn(page, 'Arvid Noll');
  const { rigs } = await (await page.context().request.get(address('/api/reference'))).json();
  const rig = rigs.find(({ title }: { title: string }) => title.startsWith('226'));
  await page.goto(address(`/begin?rig=${rig.id}&phase=pre-trip`));
  await button(page, 'Dark').click();
  await button(page, 'Dry').click();
  await page.getByLabel(/^Temperature/).fill('10');
  await button(page, 'See the plan').click();
  await expect(button(page, 'Walk by this plan')).toBeEnabled();
  await take(page, 'plan');
  await button(page, 'Walk by this plan').click();
  await expect(saving(page)).toHaveText('All saved and sent');
  await button(page, 'Something has changed').click();
  await button(page, 'Helper').click();
  const code = await page.getByRole('img', { name: /^[A-Z0-9]{5}$/ }).getAttribute('aria-label');
  const second = await browser.newContext({
    viewport: { width: 390, height: 844 },
    colorScheme: 'dark',
    serviceWorkers: 'block',
  });
  const phone = await second.newPage();
  await signIn(phone, 'Petra Lunde');
  await button(phone, 'Help with a walk').click();
  await phone.getByLabel('Code of the walk').fill(code ?? '');
  await button(phone, 'Help').click();
  await expect(page.getByText(/^Petra Lunde helps since/)).toBeVisible();
  await page.keyboard.press('Escape');
  await button(page, /^Now: /).click();
  await button(page, 'Something has changed').click();
  await page.getByRole('button', { name: /^Lamp walk/ }).click();
  await button(page, 'Begin').click();
  await expect(phone.getByText('Asked of you now', { exact: true })).toBeVisible();
  await take(phone, 'help');
  await second.close();
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    colorScheme: 'light',
  });
  const office = await context.newPage();
  await signIn(office, 'Karl Viken');
  const content = {
    version: 0,
    modules: [],
    off: [
      { check: 'school-bus.cab.radio', reason: 'No radio in ours, the phone is used', scope: {} },
    ],
    own: [],
    stricter: [
      {
        check: 'school-bus.tyre.tread-steer',
        side: 'below',
        value: 6,
        unit: '32nds',
        reason: 'Children aboard in winter',
        scope: {},
      },
    ],
  };
  await office
    .context()
    .request.put(address('/api/content'), { data: { basedOn: 0, words: 'For winter', content } });
  await office.goto(address('/content'));
  await expect(office.getByText('Children aboard in winter', { exact: false })).toBeVisible();
  await take(office, 'content');
  await context.close();
});
