import { expect, test } from '@playwright/test';
import { address, button, sayConditions, signIn } from './driver';

test('a supervisor adds a check and switches one off; the next walk asks by it', async ({
  page,
  browser,
}) => {
  await signIn(page, 'Karl Viken');
  await page.goto(address('/rules'));
  await page.getByRole('button', { name: /^What this depot asks/ }).click();

  await test.step('a check of the house', async () => {
    await button(page, 'Add a check of our own').click();
    await page.getByLabel('What is done').fill('See that the route cards are aboard');
    await page.getByLabel('What good looks like').fill('Of today, in order');
    await page.getByLabel('What can be wrong, 1').fill('Missing');
    await page.getByLabel('Why it is asked, in one sentence').fill('A substitute knows no stop.');
    await button(page, 'School bus').click();
    await button(page, 'Entrance door').click();
    await button(page, 'Add it').click();
    await expect(page.getByRole('heading', { name: 'Our own checks' })).toBeVisible();
  });

  await test.step('what must be asked cannot be switched off, and says why', async () => {
    await button(page, 'Switch a check off').click();
    await page.getByLabel('Find a check').fill('triangles');
    await expect(
      page.getByRole('button', { name: /A public rule asks for it/ }).first(),
    ).toBeDisabled();
    await page.getByLabel('Find a check').fill('call on the radio');
    await page
      .getByRole('button', { name: /School bus/ })
      .last()
      .click();
    await page.getByLabel('Why', { exact: true }).fill('The phone is used');
    await button(page, 'Switch it off').click();
    await expect(page.getByText(/^The phone is used/)).toBeVisible();
  });

  await test.step('the walk asks the one and not the other', async () => {
    const phone = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
    await signIn(phone, 'Gustav Ree');
    const { rigs, units } = await (
      await phone.context().request.get(address('/api/reference'))
    ).json();
    const bus = units.find(({ moduleId }: { moduleId: string }) => moduleId === 'school-bus');
    const rig = rigs.find(({ unitIds }: { unitIds: string[] }) => unitIds[0] === bus.id);
    await phone.goto(address(`/begin?rig=${rig.id}&phase=pre-trip`));
    await sayConditions(phone);
    await button(phone, 'Begin the walk').click();
    await button(phone, 'All stops').click();
    await phone
      .getByRole('dialog')
      .getByRole('button', { name: /Entrance door/ })
      .first()
      .click();
    await expect(
      phone.getByRole('button', { name: /See that the route cards are aboard/ }),
    ).toBeVisible();
    await expect(phone.getByText('Call on the radio and wait for the answer')).toHaveCount(0);
    await phone.context().close();
  });

  await test.step('and everything goes back to what ships', async () => {
    await button(page, 'Ask everything as it ships').click();
    await expect(
      page.getByText('Every check of the catalogue is asked as it ships.'),
    ).toBeVisible();
  });
});
