import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { address, beginWalk, button, signIn, walkOn, answerStop, drawSignature } from './driver';

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
    await button(page, 'Fault').click();
    await expect(page.getByRole('heading', { name: 'What is it?' })).toBeVisible();
    await look(page, 'fault, what');
    await page.getByRole('button', { name: /Bulge/ }).click();
    await expect(button(page, 'Keep the fault')).toBeVisible();
    await look(page, 'fault, where');
    await button(page, 'Keep the fault').click();
    await walkOn(page, "Driver's seat, controls");
    await button(page, 'Measure').click();
    await look(page, 'keypad');
    await page.keyboard.press('Escape');
    await walkOn(page);
    await look(page, 'verdict');
    await drawSignature(page);
    await button(page, 'Sign and seal').click();
    await expect(page.getByText(/^Sealed /)).toBeVisible({ timeout: 20_000 });
    await look(page, 'report');
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
