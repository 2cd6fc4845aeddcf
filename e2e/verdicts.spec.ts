import { expect, test } from '@playwright/test';
import { address, beginWalk, button, drawSignature, goToCheckAt, signIn } from './driver';
import { sendWalk } from './send-walk';

test.use({ viewport: { width: 390, height: 844 } });

test('a mirror that is loose leaves only after the driver has tightened it and looked again', async ({
  page,
}) => {
  await signIn(page, 'Arvid Noll');
  const walk = await sendWalk(page, /^228/, {
    reads: true,
    faults: [{ on: 'truck.mirror.outside/mirror-left', symptom: 'mirror-loose' }],
  });
  await page.goto(address(`/walk/${walk}/leave`));
  await expect(page.getByText('This is done before it leaves:')).toBeVisible();
  await expect(page.getByText('Tighten it before leaving.').first()).toBeVisible();
  const go = button(page, /^Sign out/);
  await expect(go).toBeDisabled();
  await page.getByTestId('looked-again').click();
  await expect(page.getByTestId('looked-again')).toHaveCount(0);
  await expect(go).toBeEnabled();
  // The entry is in the log of the walk, with its time.
  await page.reload();
  await expect(go).toBeEnabled();
});

test('a blistered hose of the spreader grounds the spreader and not the truck', async ({
  page,
}) => {
  await signIn(page, 'Petra Lunde');
  const walk = await sendWalk(page, /^227/, {
    reads: true,
    faults: [{ on: 'spreader.hydraulics.hoses', symptom: 'hose-blister' }],
  });
  await page.goto(address(`/walk/${walk}/leave`));
  const spread = button(page, 'Spreader');
  await expect(spread).toBeVisible();
  if ((await spread.getAttribute('aria-pressed')) !== 'true') await spread.click();
  await expect(page.getByText(/Blocked: .*Spreader/)).toBeVisible();
  await spread.click();
  await expect(page.getByText(/Blocked:/)).toHaveCount(0);
});

test('a tread that leaps from the last one is typed twice before it is kept', async ({ page }) => {
  test.slow();
  await signIn(page, 'Petra Lunde');
  await beginWalk(page, /^223/);
  await goToCheckAt(page, /Front wheel, driver side/, /Measure the tread/);
  await page
    .getByTestId('dock')
    .getByRole('button', { name: /^Measure/ })
    .click();
  await expect(page.getByRole('dialog').getByText(/^Last \d/)).toBeVisible();
  const type = async () => {
    // Deeper than worn tyres are, not deeper than a new one.
    for (const digit of '17') await button(page, digit).click();
    await button(page, 'Keep the reading').click();
  };
  await type();
  await expect(page.getByRole('alert')).toContainText('Look again; type it once more if it is so.');
  await type();
  await expect(page.getByText(/type it once more/)).toHaveCount(0);
  await goToCheckAt(page, /Front wheel, driver side/, /Measure the tread/);
  await expect(page.getByText(/^Answered: .*17/)).toBeVisible();
});

test('a lamp that was reported before is asked for: still there, or repaired', async ({ page }) => {
  test.slow();
  await signIn(page, 'Tove Brask');
  await beginWalk(page, /^218/);
  await goToCheckAt(page, /Front end/, /cab roof/i);
  await expect(page.getByText(/^Reported before: /)).toBeVisible();
  await expect(page.getByTestId('sound')).toHaveCount(0);
  await expect(page.getByTestId('looks-repaired')).toBeVisible();
  await page.getByTestId('still-there').click();
  // How much of it there is may have changed.
  await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
  await button(page, 'Two or three').click();
  await button(page, 'Keep the fault').click();
  await expect(button(page, 'All stops')).toBeVisible();
  await goToCheckAt(page, /Front end/, /cab roof/i);
  await expect(page.getByText(/^Answered: .*Lamp out/)).toBeVisible();
});

test('a certified repair is read and driven in a minute, without walking round again', async ({
  page,
  browser,
}) => {
  test.slow();
  await signIn(page, 'Arvid Noll');
  const walk = await sendWalk(page, /^228/, {
    reads: true,
    faults: [{ on: 'truck.lamp.rear-signal/rear-lamps-left', symptom: 'lamp-out' }],
  });
  await page.goto(address(`/walk/${walk}/leave`));
  await expect(page.getByText(/^Blocked: /)).toBeVisible();
  await expect(page.getByTestId('read-and-looked')).toHaveCount(0);

  const bench = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  });
  const shop = await bench.newPage();
  await signIn(shop, 'Rasmus Feld');
  await shop
    .getByRole('button', { name: /^228 · / })
    .first()
    .click();
  await shop.getByLabel('What was done').fill('Bulb and socket renewed');
  await drawSignature(shop);
  await button(shop, 'Certify and return to service').click();
  await button(shop, 'Now').click();
  await expect(
    shop.getByText('Certified. The next driver is asked to acknowledge it.'),
  ).toBeVisible();
  await bench.close();

  await page.reload();
  await expect(page.getByText('Repaired and certified: Bulb and socket renewed')).toBeVisible();
  await page.getByTestId('read-and-looked').click();
  await expect(page.getByText(/^Blocked: /)).toHaveCount(0);
  // What an earlier walk has left to be done before leaving is asked of this one too.
  const before = page.getByTestId('looked-again');
  for (let left = await before.count(); left > 0; left -= 1) {
    await before.first().click();
    await expect(before).toHaveCount(left - 1);
  }
  const go = button(page, /^Sign out/);
  await expect(go).toBeEnabled();
  await go.click();
  await expect(button(page, /Return/)).toBeVisible();
});
