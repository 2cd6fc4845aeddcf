import { expect, test } from '@playwright/test';
import {
  address,
  answerOne,
  beginWalk,
  button,
  currentCheck,
  drawSignature,
  goToCheck,
  saving,
  signIn,
  walkOn,
} from './driver';

// Here the service worker is the point.
test.use({ serviceWorkers: 'allow' });

test('the app opens and a whole walk is made without a network, and arrives on return', async ({
  page,
  context,
}) => {
  test.slow();
  await signIn(page, 'Mirela Aune');
  await page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state);
  await expect
    .poll(() => page.evaluate(async () => (await caches.keys()).length), { timeout: 30_000 })
    .toBeGreaterThan(0);
  await expect(page.getByRole('button', { name: /^307/ })).toBeVisible();
  // The files are kept once the worker has taken over.
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);

  await context.setOffline(true);
  await page.goto(address('/'));
  await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
  await beginWalk(page, /^307/, 'Start post-trip');
  await answerOne(page);
  await answerOne(page);

  const walk = page.url();
  await test.step('the tab is killed in the middle of a fault', async () => {
    await walkOn(page, 'Driver side, tanks');
    await goToCheck(page, /fuel tank/);
    await button(page, 'Fault').click();
    await button(page, 'Fuel leaks').click();
    await button(page, 'A drop forms and hangs').click();
    await page.getByLabel('Note').fill('Below the strap');
    await page.close({ runBeforeUnload: false });
  });

  const again = await context.newPage();
  await test.step('and nothing of it is lost', async () => {
    await again.goto(address('/'));
    await button(again, 'Go on with the walk').click();
    await expect(again).toHaveURL(walk);
    await goToCheck(again, /fuel tank/);
    expect(await currentCheck(again)).toBe('Look at fuel tank, straps and cap');
    await button(again, 'Go on with the fault').click();
    await expect(again.getByLabel('Note')).toHaveValue('Below the strap');
    await expect(again.getByRole('heading', { name: 'Major' })).toBeVisible();
    await expect(again.getByText('2. A drop forms and hangs')).toBeVisible();
    await button(again, 'Keep the fault').click();
  });

  await walkOn(again);
  await drawSignature(again);
  await button(again, 'Sign and seal').click();
  await expect(again.getByText(/It is sealed as soon as there is a network/)).toBeVisible();
  await expect(saving(again)).toContainText('No network');

  await context.setOffline(false);
  await expect(saving(again)).toHaveText('All saved and sent', { timeout: 30_000 });
  await expect(again.getByText(/^Sealed /)).toBeVisible();
  await expect(again.getByRole('heading', { name: 'Does not roll' })).toBeVisible();
  await expect(again.getByText('Below the strap')).toBeVisible();

  await test.step('a report once seen opens without a network', async () => {
    await context.setOffline(true);
    await again.reload();
    await expect(again.getByText('Below the strap')).toBeVisible();
  });
});
