import { expect, test } from '@playwright/test';
import { address, beginWalk, button, currentCheck, drawSignature, signIn } from './driver';

test('the bench: worst first, place and photo, deferral refused for a major defect', async ({
  page,
}) => {
  await signIn(page, 'Rasmus Feld');
  const rows = page.getByRole('button', { name: /^2\d\d · / });
  await expect(rows.first()).toContainText('Main leaf broken or cracked');
  await rows.first().click();
  await expect(page.getByText('Heard it crack at the pit gate.').first()).toBeVisible();
  await expect(page.getByLabel('Photo of the defect')).toBeVisible();
  await expect(page.getByLabel('Unit from above with the place of the defect')).toBeVisible();
  await button(page, 'Put off').click();
  await page.getByLabel('Why it can wait').fill('Part comes next week');
  await page.getByLabel('Put off until').fill('2099-01-01');
  await button(page, 'Put off and sign').click();
  await expect(page.getByRole('alert')).toHaveText('Sign on the pad first.');
  await drawSignature(page);
  await button(page, 'Put off and sign').click();
  await expect(page.getByRole('alert')).toHaveText(
    'Under this policy a defect of this grade cannot be put off.',
  );
  await expect(page.getByLabel('Why it can wait')).toHaveValue('Part comes next week');
});

test('the bench: a minor defect put off keeps its place in the list, with the day', async ({
  page,
}) => {
  await signIn(page, 'Rasmus Feld');
  const coolant = page.getByRole('button', { name: /^223 · .*Coolant/ });
  await coolant.click();
  await button(page, 'Put off').click();
  await page.getByLabel('Why it can wait').fill('Hose clamp ordered');
  await page.getByLabel('Put off until').fill('yesterday');
  await drawSignature(page);
  await button(page, 'Put off and sign').click();
  await expect(page.getByRole('alert')).toHaveText('Choose a day after today.');
  await page.getByLabel('Put off until').fill('2099-01-01');
  await button(page, 'Put off and sign').click();
  await button(page, 'Now').click();
  await expect(page.getByText('Put off. The next driver sees it as open.')).toBeVisible();
  await expect(coolant).toContainText('Put off 2099-01-01');
});

test('a driver has no workshop', async ({ page }) => {
  await signIn(page, 'Imre Dahl');
  await page.goto(address('/workshop'));
  await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
});

test('the walk on a wide screen by keyboard alone', async ({ page }) => {
  await signIn(page, 'Imre Dahl');
  await beginWalk(page, /^214/);
  const dialog = page.getByRole('dialog', { name: 'Repairs to acknowledge' });
  await expect(dialog).toBeVisible();
  // A sheet listens to keys once it has risen.
  await expect(async () => {
    await page.keyboard.press('Escape');
    await expect(dialog).toHaveCount(0, { timeout: 1_000 });
  }).toPass();
  const first = await currentCheck(page);
  await page.keyboard.press('s');
  await expect.poll(() => currentCheck(page)).not.toBe(first);
  await page.keyboard.press('ArrowUp');
  expect(await currentCheck(page)).toBe(first);
  await expect(page.getByText('Answered: sound')).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByTestId('sound')).toBeVisible();
  await page.keyboard.press('c');
  await expect(page.getByRole('dialog', { name: 'Could not look' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Front wheel, driver side');
  // What comes before it is done by the same key.
  while (await page.getByTestId('step-done').count()) {
    await page.keyboard.press(' ');
    await page.waitForTimeout(100);
  }
  await page.keyboard.press('m');
  await page.keyboard.type('12');
  await page.keyboard.press('Enter');
  await expect.poll(() => currentCheck(page)).toBe('Gauge the pressure · left steer');
  // Keys are the walk's again once the sheet of the reading has gone.
  const keys = page.getByRole('dialog', { name: 'Keys' });
  await expect(async () => {
    await page.keyboard.press('?');
    await expect(keys).toBeVisible({ timeout: 1_000 });
  }).toPass();
  await page.keyboard.press('Escape');
  await page.keyboard.press('f');
  await expect(page.getByRole('heading', { name: 'What is it?' })).toBeVisible();
});
