import { expect, test } from '@playwright/test';
import { address, button, signIn } from './driver';

test('a lost phone is signed out from another one', async ({ page, browser }) => {
  const lost = await (await browser.newContext()).newPage();
  await signIn(lost, 'Nela Korin');
  await signIn(page, 'Nela Korin');
  await button(page, 'You').click();
  await expect(page.getByText(/\(this one\)$/)).toBeVisible();
  const others = page.getByRole('button', { name: /^Sign out .+, / });
  while (await others.count()) {
    const before = await others.count();
    await others.first().click();
    await expect(others).toHaveCount(before - 1);
  }
  const asked = await lost.request.get(address('/api/session'));
  expect(asked.status()).toBe(401);
  // This one goes on.
  expect((await page.request.get(address('/api/session'))).status()).toBe(200);
});

test('what a phone sent and nobody could read is looked after by the supervisor', async ({
  page,
  browser,
}) => {
  await signIn(page, 'Nela Korin');
  const sent = await page.request.post(address('/api/events'), {
    data: { events: [{ id: 'odd', nonsense: true }] },
  });
  expect((await sent.json()).answers).toMatchObject([{ status: 'refused', code: 'malformed' }]);
  const desk = await (await browser.newContext()).newPage();
  await signIn(desk, 'Ilka Moors');
  await desk.goto(address('/desk'));
  const heading = desk.getByRole('heading', { name: 'Could not be taken in' });
  await expect(heading).toBeVisible();
  // Other journeys have left something too; the newest stands first.
  const rows = desk.getByRole('button', { name: 'Looked after: entries of Nela Korin' });
  await expect(rows.first()).toBeVisible();
  await expect(desk.getByText(/cannot be read\. Reload the app/).first()).toBeVisible();
  const before = await rows.count();
  await rows.first().click();
  await expect(rows).toHaveCount(before - 1);
});
