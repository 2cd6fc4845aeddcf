import { expect, test, type Page } from '@playwright/test';
import { button, goToCheckAt, playCycle, sayConditions, signIn, walkToCheck } from './driver';

/** Sequences as they are followed on the ground: each stops at its gates, and only walked to its end it is sound. */
async function beginPhase(page: Page, rig: RegExp, phase: string): Promise<void> {
  await page.getByRole('button', { name: rig }).first().click();
  await button(page, 'Other walk').click();
  await page.getByRole('button', { name: new RegExp(`^${phase}`) }).click();
  await sayConditions(page);
  await button(page, 'Begin the walk').click({ timeout: 15_000 });
  await expect(button(page, 'All stops')).toBeVisible();
}

async function answeredSound(page: Page, stop: RegExp, title: RegExp): Promise<void> {
  await goToCheckAt(page, stop, title);
  await expect(page.getByText('Answered: sound')).toBeVisible();
}

test('a digger that is led by radio is unloaded: a way that nobody has walked stops it, walked to its end it is sound', async ({
  page,
}) => {
  test.slow();
  await signIn(page, 'Tove Brask');
  await beginPhase(page, /^Digger 712/, 'Before use');
  const stop = /· Beside the machine, with its radio/;
  // The way is measured, the machine looked over, started and tried first.
  await walkToCheck(page, /Lead it off the trailer/);
  const play = button(page, 'Step through the test');

  await test.step('where the way was not walked, it ends, and nothing is sound', async () => {
    await play.click();
    await expect(page.getByText(/falls|slides and tips/).first()).toBeVisible();
    await button(page, 'Zone is clear, begin').click();
    await button(page, 'No').click();
    await expect(page.getByRole('heading', { name: 'It ends here' })).toBeVisible();
    await expect(page.getByText('Another way, or another place.')).toBeVisible();
    await button(page, 'Close').last().click();
    await expect(page.getByTestId('sound')).toHaveCount(0);
  });

  await test.step('walked to its end it is sound', async () => {
    await playCycle(page);
    await answeredSound(page, stop, /Lead it off the trailer/);
  });
});

test('a spreader is slid in and connected, with a minute in which it runs and somebody watches', async ({
  page,
}) => {
  test.slow();
  await signIn(page, 'Petra Lunde');
  await beginPhase(page, /^227, plow and spreader/, 'Hook-up');
  await goToCheckAt(page, /Spreader, rear/, /Slide it in/);
  await playCycle(page);
  await answeredSound(page, /Spreader, rear/, /Slide it in/);
});

test('a four-axle crane is set up: every leg is pinned, and a plate that sinks stops it', async ({
  page,
}) => {
  test.slow();
  await signIn(page, 'Ivo Stamm');
  await beginPhase(page, /^341/, 'Before use');
  // Ground, lines, rope and hook come first, and the upper engine runs.
  await walkToCheck(page, /Set the crane up/);
  await button(page, 'Step through the test').click();
  await button(page, 'Zone is clear, begin').click();
  for (let gate = 0; gate < 4; gate += 1) await button(page, 'Yes').click();
  await expect(page.getByText('Lock pins of the beams out, floats or trays ready.')).toBeVisible();
  await button(page, 'Good, next step').click();
  for (let gate = 0; gate < 2; gate += 1) await button(page, 'Yes').click();
  await button(page, 'A plate sinks or tilts').click();
  await expect(page.getByText(/Set-up.*A plate sinks or tilts/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Major' })).toBeVisible();
});

test('a passenger in a wheelchair is lifted aboard: too heavy a chair stops it before anybody is on the platform', async ({
  page,
}) => {
  test.slow();
  await signIn(page, 'Gustav Ree');
  await beginPhase(page, /^841/, 'Before use');
  const stop = /· Passenger lift controls/;
  // The lift is looked over, let down and tried before anybody is on it.
  await walkToCheck(page, /Lift a passenger aboard/);
  await button(page, 'Step through the test').click();
  await button(page, 'Zone is clear, begin').click();
  await button(page, 'Yes').click();
  await button(page, 'Good, next step').click();
  await button(page, 'No').click();
  await expect(page.getByText(/^Do not lift them\./)).toBeVisible();
  await button(page, 'Close').last().click();
  await playCycle(page);
  await answeredSound(page, stop, /Lift a passenger aboard/);
});

test('a dead truck that is made ready to be towed says so, and does not roll', async ({ page }) => {
  await signIn(page, 'Tove Brask');
  await beginPhase(page, /^218/, 'Towed away');
  await walkToCheck(page, /ready to be towed/);
  await playCycle(page);
  await expect(page.getByText(/^Answered: major.*nothing holds it but chocks/)).toBeVisible();
  await page.getByTestId('next-stop').click();
  await expect(page.getByRole('heading', { name: 'Does not roll' })).toBeVisible();
});
