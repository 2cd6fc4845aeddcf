import { expect, test, type Page } from '@playwright/test';
import {
  address,
  beginWalk,
  button,
  currentCheck,
  drawSignature,
  goToCheckAt,
  playCycle,
  sayConditions,
  signIn,
  takeSteps,
  typeReading,
  windOn,
} from './driver';

const add = (page: Page, unit: RegExp) => page.getByRole('button', { name: unit }).click();

/** Answers every check as sound, and the edges with a good reading, until a stop of this title or the verdict. */
async function walkByKeys(page: Page, until?: string): Promise<void> {
  await expect(page.getByTestId('dock')).toBeVisible();
  for (let step = 0; step < 600; step += 1) {
    const heading = page.getByRole('heading', { level: 1 });
    if (until && (await heading.innerText()) === until) return;
    const next = page.getByTestId('next-stop');
    if (await next.count()) {
      const last = (await next.innerText()) === 'To the verdict';
      await next.click();
      if (last) return;
    } else if (await page.getByTestId('next-check').count()) {
      await page.getByTestId('next-check').click();
    } else if (await page.getByTestId('step').count()) {
      await takeSteps(page);
    } else if (await page.getByTestId('play').count()) {
      await playCycle(page);
    } else if (await page.getByTestId('sound').count()) {
      await page.getByTestId('sound').click();
    } else if (await page.getByTestId('looks-repaired').count()) {
      await page.getByTestId('looks-repaired').click();
    } else if (await page.getByTestId('count').count()) {
      await page.getByTestId('count').click();
      await button(page, 'All are there').click();
      for (const date of await page.getByLabel(/^Good until/).all()) await date.fill('2099-12-31');
      await button(page, 'Keep the count').click();
      await expect(page.getByRole('dialog')).toHaveCount(0);
    } else {
      await page
        .getByTestId('dock')
        .getByRole('button', { name: /^Measure/ })
        .click();
      const title = await currentCheck(page);
      await typeReading(page, title.startsWith('Read the odometer') ? '400000' : '120');
      await expect(page.getByRole('dialog')).toHaveCount(0);
    }
    await page.waitForTimeout(60);
  }
  throw new Error('The walk does not end.');
}

test('a plow truck is built from what stands in the yard, kept, and walked at its hook-up', async ({
  page,
}) => {
  test.slow();
  await signIn(page, 'Nela Korin');
  const change = button(page, 'Change rig');
  await expect(change.or(button(page, 'Build a rig')).first()).toBeVisible();
  if (await change.count()) await change.click();
  await button(page, 'Build a rig').click();

  await test.step('what does not fit says why', async () => {
    await expect(page.getByRole('button', { name: /^612 · front plow/ })).toBeDisabled();
    await add(page, /^218 · flatbed truck/);
    await expect(page.getByRole('button', { name: /^612 · front plow/ })).toContainText(
      'does not give: hydraulics',
    );
    await button(page, 'Remove 218').click();
  });

  await test.step('truck, plow, wing and spreader join', async () => {
    await add(page, /^226 · plow truck/);
    await add(page, /^614 · front plow/);
    await add(page, /^613 · wing plow/);
    await add(page, /^616 · hopper spreader/);
    await expect(page.getByText('Can do: Road, Plow, Spreader')).toBeVisible();
    await expect(page.getByRole('img', { name: /from the driver’s side/ })).toBeVisible();
    await expect(page.getByRole('button', { name: /^612 · front plow/ })).toContainText(
      'free place for Front plow',
    );
  });

  await test.step('a wrong order is named, and put right', async () => {
    await button(page, 'Move 614 forward').click();
    await expect(page.getByRole('alert')).toHaveText(/614 cannot drive by itself/);
    await expect(button(page, 'Walk round it')).toBeDisabled();
    await button(page, 'Move 614 to the rear').click();
    await expect(page.getByRole('alert')).toHaveCount(0);
  });

  await test.step('it is kept, and its hook-up asks only what a hook-up asks', async () => {
    await page.getByLabel('Name of the rig').fill('226 for the storm');
    await button(page, 'Keep as a usual rig').click();
    await expect(page.getByRole('heading', { name: '226 for the storm' })).toBeVisible();
    await button(page, 'Other walk').click();
    await button(page, 'Hook-up').click();
    await sayConditions(page);
    await button(page, 'Begin the walk').click();
    await expect(page.getByText(/^226 \+ 614 \+ 613 \+ 616 · 0 of \d\d$/)).toBeVisible();
  });

  await test.step('a hook-up is walked and signed, and covers no sign-out', async () => {
    await walkByKeys(page);
    await drawSignature(page);
    await button(page, 'Sign and seal').click();
    await expect(page.getByText(/^Sealed /)).toBeVisible({ timeout: 20_000 });
    await expect(page.getByText('Hook-up · Nela Korin', { exact: false }).first()).toBeVisible();
    await expect(button(page, 'Sign out')).toHaveCount(0);
  });
});

test('a tractor with a semi-trailer: the liftgate runs its cycle, with a hold that is counted', async ({
  page,
}) => {
  await signIn(page, 'Tarik Brun');
  await button(page, 'Build a rig').click();
  await add(page, /^331 · road tractor/);
  await add(page, /^951 · semi-trailer/);
  await expect(page.getByText('Can do: Road, Highway, Towing, Liftgate')).toBeVisible();
  await button(page, 'Walk round it').click();
  await sayConditions(page);
  await button(page, 'Begin the walk').click();
  await goToCheckAt(page, /Liftgate controls/, /Run the lift/);
  const play = button(page, 'Step through the test');

  await test.step('clear zone and cautions come first', async () => {
    await play.click();
    await expect(page.getByText('Nobody in here:')).toBeVisible();
    await expect(
      page.getByText('Never stand or reach under a platform that is not on the ground.').last(),
    ).toBeVisible();
    await button(page, 'Zone is clear, begin').click();
  });

  await test.step('a gate that is answered with no ends it, and nothing is sound', async () => {
    await button(page, 'No').click();
    await expect(page.getByRole('heading', { name: 'It ends here' })).toBeVisible();
    await button(page, 'Close').last().click();
    await expect(page.getByTestId('sound')).toHaveCount(0);
    await expect(play).toBeVisible();
  });

  await test.step('played to its end the check is sound', async () => {
    await play.click();
    await button(page, 'Zone is clear, begin').click();
    const good = button(page, 'Good, next step');
    const yes = button(page, 'Yes');
    while (await page.getByText(/^Step \d+ of \d+$/).count()) {
      if (await yes.count()) await yes.click();
      else {
        // While it must hold, the next step waits; the longest hold is half a minute.
        if (await good.isDisabled()) await windOn(page, 31_000);
        await good.click();
      }
      await page.waitForTimeout(100);
    }
    await goToCheckAt(page, /Liftgate controls/, /Run the lift/);
    await expect(page.getByText('Answered: sound')).toBeVisible();
  });

  await test.step('what shows in a step becomes the fault', async () => {
    await button(page, 'Take back').click();
    // The platform lies open after its cycle, and the next begins as the first did.
    await expect(page.getByTestId('step')).toBeVisible();
    await takeSteps(page);
    await play.click();
    await button(page, 'Zone is clear, begin').click();
    await button(page, 'Yes').click();
    await button(page, 'No').click();
    await button(page, 'Close').last().click();
    await play.click();
    await button(page, 'Zone is clear, begin').click();
    await button(page, 'Yes').click();
    await button(page, 'A movement does not work').click();
    await expect(page.getByText(/Lift cycle.*A movement does not work/)).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Major' })).toBeVisible();
  });
});

test('a school bus is not signed after work before the last row is walked to', async ({ page }) => {
  await signIn(page, 'Gustav Ree');
  await beginWalk(page, /^801/, 'Start post-trip');
  await walkByKeys(page, 'Last row');
  const walk = new URL(page.url()).pathname.replace(/\/$/, '');
  await page.goto(address(`${walk}/verdict`));
  await expect(button(page, /^\d+ checks? ha(s|ve) no answer yet$/)).toBeVisible();
  await expect(button(page, 'Sign and seal')).toHaveCount(0);
  await button(page, /^\d+ checks? ha(s|ve) no answer yet$/).click();
  await walkByKeys(page);
  await drawSignature(page);
  await button(page, 'Sign and seal').click();
  await expect(page.getByText(/^Sealed /)).toBeVisible({ timeout: 20_000 });
});
