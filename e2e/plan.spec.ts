import { expect, test } from '@playwright/test';
import { address, answerStop, button, signIn } from './driver';

test('a plow truck in the dark at twelve below: planned, changed by hand and by the engine, and walked', async ({
  page,
}) => {
  await signIn(page, 'Arvid Noll');
  const { rigs } = await (await page.context().request.get(address('/api/reference'))).json();
  const rig = rigs.find(({ title }: { title: string }) => title.startsWith('226'));
  await page.goto(address(`/begin?rig=${rig.id}&phase=pre-trip`));
  await button(page, 'Dark').click();
  await page.getByLabel(/^Temperature/).fill('10');
  await button(page, 'Plan the walk').click();
  const sum = page.getByRole('heading', { name: /min, .* on foot/ });
  const order = page.getByText(/^\d+ · [A-Z]/);

  const first = await test.step('it says what it takes, and what another order would', async () => {
    await expect(sum).toBeVisible();
    await expect(page.getByText(/In the order of the catalogue it would be/)).toBeVisible();
    await expect(page.getByRole('img', { name: /^Oil: / })).toBeVisible();
    await expect(page.getByText(/need a second person/)).toBeVisible();
    return order.allInnerTexts();
  });

  await test.step('an engine that runs already changes it, and back', async () => {
    await button(page, 'The engine runs already').click();
    await expect.poll(() => order.allInnerTexts()).not.toEqual(first);
    await button(page, 'The engine runs already').click();
    await expect.poll(() => order.allInnerTexts()).toEqual(first);
  });

  await test.step('a school is kept for the next time', async () => {
    await button(page, 'Curb side first').click();
    await expect.poll(() => order.allInnerTexts()).not.toEqual(first);
    await button(page, 'Driver side first').click();
    await expect.poll(() => order.allInnerTexts()).toEqual(first);
  });

  await test.step('a stop is moved by hand, and the price is told', async () => {
    await page
      .getByRole('button', { name: /^Later: / })
      .nth(3)
      .click();
    await expect(page.getByText(/^Your order costs/)).toBeVisible();
    await button(page, 'Back to the planned order').click();
    await expect.poll(() => order.allInnerTexts()).toEqual(first);
  });

  await test.step('the walk follows it, also after the page was closed', async () => {
    await button(page, 'Walk by this plan').click();
    const here = page.getByRole('heading', { level: 1 });
    await expect(here).toHaveText(first[0].replace(/^\d+ · /, ''));
    await answerStop(page);
    await expect(page.getByTestId('next-stop')).toHaveText(
      `Go to ${first[1].replace(/^\d+ · /, '')}`,
    );
    await page.getByTestId('next-stop').click();
    await page.reload();
    await expect(here).toHaveText(first[1].replace(/^\d+ · /, ''));
  });
});
