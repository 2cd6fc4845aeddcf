import { expect, test, type Page } from '@playwright/test';
import { address, beginWalk, button, currentCheck, goToCheckAt, PINS, signIn } from './driver';
import { sendWalk } from './send-walk';

/** A driver who looks: something stands otherwise than it was taken to, and a pin is missing. */
test('a state is denied, a missing pin takes the cycle off the list, and nothing drives off with a leg out', async ({
  page,
}) => {
  test.slow();
  expect(PINS['Ivo Stamm']).toBeDefined();
  await signIn(page, 'Ivo Stamm');
  await beginWalk(page, /^311/);

  await test.step('the driver finds the outriggers out, and the plan says what that changes', async () => {
    await page.getByTestId('state-bar').click();
    await page.getByTestId('otherwise').click();
    await button(page, 'Outriggers are out · 311').click();
    await expect(page.getByTestId('turn')).toContainText('You found: Outriggers are out (311).');
  });

  await test.step('a pin is missing at the crane', async () => {
    await goToCheckAt(page, /Curb side, exhaust/, /Wipe the rods of the crane/);
    await button(page, 'Fault').click();
    await button(page, 'Pin or keeper missing').click();
    await button(page, 'Keep the fault').click();
  });

  await test.step('its cycle is not made, and says why; the brakes are another matter', async () => {
    await expect(page.getByTestId('turn')).toContainText('tests are not made');
    await openStop(page, /Crane controls/);
    await page
      .getByRole('list', { name: 'Checks of this stop' })
      .getByRole('button', { name: /Run every function once/ })
      .click();
    const card = page.getByTestId('forbidden');
    await expect(card).toContainText('Cylinder rods of the crane: pin or keeper');
    await page.getByTestId('leave-out').click();
    await expect.poll(() => currentCheck(page)).not.toContain('Run every function once');
    await openStop(page, /Brake tests/);
    await page
      .getByRole('list', { name: 'Checks of this stop' })
      .getByRole('button', { name: /Roll at walking pace/ })
      .click();
    await expect(page.getByTestId('forbidden')).toHaveCount(0);
  });
});

test('a rig whose walk has left an outrigger out is not let out of the yard before it is in', async ({
  page,
}) => {
  await signIn(page, 'Ivo Stamm');
  const walk = await sendWalk(page, /^311/, { reads: true, found: ['outriggers'] });
  await page.goto(address(`/walk/${walk}/leave`));
  await expect(page.getByText('It does not leave like this.')).toBeVisible();
  await expect(page.getByText('Bring the outriggers in · 311')).toBeVisible();
  const go = button(page, /^Sign out/);
  await expect(go).toBeDisabled();
  // Nor does the server let it, whatever a phone may send.
  const refused = await page.evaluate(async (inspectionId) => {
    const { person } = await (await fetch('/api/session')).json();
    const id = () => crypto.randomUUID();
    const event = {
      id: id(),
      inspectionId,
      deviceId: id(),
      actorId: person.id,
      at: Date.now(),
      sequence: 9000,
      version: 1,
      type: 'signed-out',
      payload: { purpose: 'job', needs: [], conditions: [] },
    };
    const response = await fetch('/api/events', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ events: [event] }),
    });
    return (await response.json()).answers[0];
  }, walk);
  expect(refused).toMatchObject({ status: 'refused', code: 'may-not-leave' });
  await page.getByTestId('stowed').click();
  await expect(go).toBeEnabled();
  await go.click();
  await expect(button(page, /Return/)).toBeVisible();
});

/** A place that the plan comes to again is named again; what must not be made any more stands at its end. */
async function openStop(page: Page, name: RegExp): Promise<void> {
  await button(page, 'All stops').click();
  await page.getByRole('button', { name }).last().click();
}
