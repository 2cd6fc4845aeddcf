import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import {
  address,
  answerStop,
  beginWalk,
  button,
  drawSignature,
  goToCheck,
  signIn,
  walkOn,
} from './driver';
import { sendWalk } from './send-walk';

async function look(page: Page, screen: string): Promise<void> {
  await page.waitForTimeout(150);
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .analyze();
  const found = violations.map(
    ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(' ')}`,
  );
  expect({ screen, found }).toEqual({ screen, found: [] });
}

for (const scheme of ['dark', 'light'] as const) {
  test(`axe finds nothing on any screen of a driver, ${scheme}`, async ({ browser }) => {
    test.slow();
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      colorScheme: scheme,
      reducedMotion: 'reduce',
      serviceWorkers: 'block',
    });
    const page = await context.newPage();
    await page.goto(address('/'));
    await expect(page.getByLabel('Name')).toBeVisible();
    await look(page, 'sign in');
    await signIn(page, 'Oskar Wendt');
    await expect(page.getByRole('button', { name: /^223/ })).toBeVisible();
    await look(page, 'choice of rig');
    await page.getByRole('button', { name: /^223/ }).click();
    await look(page, 'today');
    await button(page, 'You').click();
    await expect(button(page, 'Sign out')).toBeVisible();
    await look(page, 'you');
    await page.goto(address('/today'));
    await expect(button(page, 'Start post-trip')).toBeVisible();
    await button(page, 'Start post-trip').click();
    await expect(button(page, 'Begin the walk')).toBeVisible();
    await look(page, 'begin');
    await page.goto(address('/today'));
    await beginWalk(page, /^223/, 'Start post-trip');
    await look(page, 'walk');
    await button(page, 'All stops').click();
    await look(page, 'all stops');
    await page.keyboard.press('Escape');
    await page.keyboard.press('?');
    await look(page, 'keys');
    await page.keyboard.press('Escape');
    await button(page, 'Could not look').click();
    await look(page, 'could not look');
    await page.keyboard.press('Escape');
    await answerStop(page);
    await look(page, 'stop answered');
    await page.getByTestId('next-stop').click();
    await look(page, 'stop with cautions');
    await button(page, 'Something has changed').click();
    await look(page, 'what has changed');
    await button(page, 'Helper').click();
    await look(page, 'helper');
    await page.keyboard.press('Escape');
    await page.getByTestId('state-bar').click();
    await look(page, 'how it stands');
    await button(page, 'Start the engine').click();
    await look(page, 'start');
    await page.keyboard.press('Escape');
    await walkOn(page, 'Front wheel, driver side');
    await goToCheck(page, /both walls/);
    await button(page, 'Fault').click();
    await expect(page.getByRole('heading', { name: 'What is it?' })).toBeVisible();
    await look(page, 'fault, what');
    await page.getByRole('button', { name: /Bulge/ }).click();
    await expect(button(page, 'Keep the fault')).toBeVisible();
    await look(page, 'fault, where');
    await button(page, 'Keep the fault').click();
    await look(page, 'step');
    await walkOn(page);
    await look(page, 'verdict');
    await drawSignature(page);
    await button(page, 'Sign and seal').click();
    await expect(page.getByText(/^Sealed /)).toBeVisible({ timeout: 20_000 });
    await look(page, 'report');
    await button(page, 'Files and seal').click();
    await button(page, 'Check the seal').click();
    await expect(page.getByRole('heading', { name: 'Intact' })).toBeVisible();
    await look(page, 'verify');
    await context.close();
  });

  test(`axe finds nothing in the workshop, ${scheme}`, async ({ browser }) => {
    for (const viewport of [
      { width: 1280, height: 800 },
      { width: 390, height: 844 },
    ]) {
      const context = await browser.newContext({
        viewport,
        colorScheme: scheme,
        serviceWorkers: 'block',
      });
      const page = await context.newPage();
      await signIn(page, 'Rasmus Feld');
      await expect(page.getByRole('button', { name: /^223/ }).first()).toBeVisible();
      await look(page, `workshop ${viewport.width}`);
      await page.getByRole('button', { name: /^223/ }).first().click();
      await button(page, 'Put off').click();
      await button(page, 'Put off and sign').click();
      await expect(page.getByRole('alert')).toBeVisible();
      await look(page, `defect ${viewport.width}`);
      await context.close();
    }
  });
}

for (const scheme of ['dark', 'light'] as const) {
  test(`axe finds nothing at the desk, in rules and logbooks, ${scheme}`, async ({ browser }) => {
    test.slow();
    for (const viewport of [
      { width: 1280, height: 800 },
      { width: 390, height: 844 },
    ]) {
      const context = await browser.newContext({
        viewport,
        colorScheme: scheme,
        serviceWorkers: 'block',
      });
      const page = await context.newPage();
      const here = (screen: string) => look(page, `${screen} ${viewport.width}`);
      await signIn(page, 'Ilka Moors');
      const walk = await sendWalk(page, /^223/, {
        faults: [{ on: 'truck.lamp.stop/rear-lamps-left', symptom: 'lamp-out' }],
      });
      await page.goto(address('/desk'));
      await button(page, 'Plan a job').click();
      await here('desk');
      await page.goto(address(`/walk/${walk}/leave`));
      await expect(page.getByRole('alert').first()).toBeVisible();
      await here('sign out');
      await button(page, 'Take the condition off').first().click();
      await here('override');
      await page.goto(address('/rules'));
      await expect(page.getByRole('heading', { name: 'Holds' })).toBeVisible();
      await here('rules');
      await page.goto(address('/content'));
      await expect(page.getByRole('heading', { name: 'Versions' })).toBeVisible();
      await button(page, 'Add a check of our own').click();
      await here('content');
      await page.goto(address('/desk'));
      await page.getByRole('button', { name: /Open the logbook 223/ }).click();
      await expect(page.getByRole('heading', { name: 'Time line' })).toBeVisible();
      await here('logbook');
      await page.goto(
        address('/compare?check=truck.tyre.tread-steer&symptom=tread-one-edge&in=dark&needs='),
      );
      await expect(page.getByRole('heading', { name: 'Two policies' })).toBeVisible();
      await here('compare');
      await context.close();
    }
  });
}

for (const scheme of ['dark', 'light'] as const) {
  test(`axe finds nothing where a rig is built and a cycle played, ${scheme}`, async ({
    browser,
  }) => {
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      colorScheme: scheme,
      serviceWorkers: 'block',
    });
    const page = await context.newPage();
    await signIn(page, 'Nela Korin');
    await button(page, 'Build a rig').click();
    await look(page, 'rig builder, empty');
    for (const unit of [/^226 · /, /^614 · /])
      await page.getByRole('button', { name: unit }).click();
    await look(page, 'rig builder');
    await button(page, 'Walk round it').click();
    await expect(page.getByRole('heading', { name: /on foot/ })).toBeVisible({ timeout: 15_000 });
    await button(page, 'See the plan').click();
    await expect(button(page, 'Walk by this plan')).toBeVisible();
    await look(page, 'plan');
    await page.keyboard.press('Escape');
    await button(page, 'Begin the walk').click();
    await button(page, 'All stops').click();
    await page.getByRole('button', { name: /Plow controls/ }).click();
    await goToCheck(page, /Run the plow/);
    await button(page, 'Play the cycle').click();
    await look(page, 'cycle');
    await button(page, 'Zone is clear, begin').click();
    await button(page, 'Yes').click();
    await look(page, 'step of a cycle');
    await context.close();
  });
}

test('targets are at least 56 px for a gloved thumb', async ({ page }) => {
  await signIn(page, 'Imre Dahl');
  await page.getByRole('button', { name: /^214/ }).click();
  const small = () =>
    page.evaluate(() =>
      [...document.querySelectorAll('[role=button], input:not([type=file]), button')]
        .map((element) => ({ text: element.textContent, box: element.getBoundingClientRect() }))
        .filter(({ box }) => box.width > 0 && (box.height < 55.5 || box.width < 55.5))
        .map(({ text, box }) => `${text} ${box.width}x${box.height}`),
    );
  expect(await small()).toEqual([]);
  await beginWalk(page, /^214/);
  expect(await small()).toEqual([]);
});
