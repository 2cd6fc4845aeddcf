import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import {
  address,
  answerStop,
  beginWalk,
  button,
  drawSignature,
  goToCheck,
  goToCheckAt,
  sayConditions,
  signIn,
  walkOn,
} from './driver';
import { sendWalk } from './send-walk';

const PHONE = { width: 390, height: 844 };
const DESK = { width: 1280, height: 800 };
const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

/** Holds a screen against every rule by night and, as only the colours differ, against those of colour by day. */
async function look(page: Page, screen: string): Promise<void> {
  await page.waitForTimeout(150);
  for (const scheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme: scheme });
    await expect(page.locator('html.dark')).toHaveCount(scheme === 'dark' ? 1 : 0);
    const axe = new AxeBuilder({ page });
    const { violations } = await (
      scheme === 'dark' ? axe.withTags(RULES) : axe.withRules(['color-contrast'])
    ).analyze();
    const found = violations.map(
      ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(' ')}`,
    );
    expect({ screen, scheme, found }).toEqual({ screen, scheme, found: [] });
  }
}

/** The same on a desk and on a phone. */
async function lookAtBoth(page: Page, screen: string): Promise<void> {
  for (const size of [PHONE, DESK]) {
    await page.setViewportSize(size);
    await look(page, `${screen} ${size.width}`);
  }
}

test('axe finds nothing on any screen of a driver', async ({ page }) => {
  test.slow();
  await page.emulateMedia({ reducedMotion: 'reduce' });
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
});

test('axe finds nothing in the workshop', async ({ page }) => {
  await signIn(page, 'Rasmus Feld');
  await expect(page.getByRole('button', { name: /^223/ }).first()).toBeVisible();
  await lookAtBoth(page, 'workshop');
  await page.getByRole('button', { name: /^223/ }).first().click();
  await button(page, 'Put off').click();
  await button(page, 'Put off and sign').click();
  await expect(page.getByRole('alert')).toBeVisible();
  await lookAtBoth(page, 'defect');
});

test('axe finds nothing at the desk, in rules and logbooks', async ({ page }) => {
  test.slow();
  const here = (screen: string) => lookAtBoth(page, screen);
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
  await expect(page.getByText('The moment')).toBeVisible();
  await here('compare');
});

test('axe finds nothing where a rig is built and a cycle played', async ({ page }) => {
  await signIn(page, 'Nela Korin');
  await button(page, 'Build a rig').click();
  await look(page, 'rig builder, empty');
  for (const unit of [/^226 · /, /^614 · /]) await page.getByRole('button', { name: unit }).click();
  await look(page, 'rig builder');
  await button(page, 'Walk round it').click();
  await expect(page.getByRole('heading', { name: /on foot/ })).toBeVisible({ timeout: 15_000 });
  await button(page, 'See the plan').click();
  await expect(button(page, 'Walk by this plan')).toBeVisible();
  await look(page, 'plan');
  await page.keyboard.press('Escape');
  await sayConditions(page);
  await button(page, 'Begin the walk').click();
  await goToCheckAt(page, /Plow controls/, /Run the plow/);
  await expect(page.getByTestId('turn')).toBeVisible();
  await look(page, 'changed plan');
  await button(page, 'Step through the test').click();
  await look(page, 'cycle');
  await button(page, 'Zone is clear, begin').click();
  await button(page, 'Yes').click();
  await look(page, 'step of a cycle');
});

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
