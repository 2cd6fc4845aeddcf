import { writeFileSync } from 'node:fs';
import { chromium, expect, test } from '@playwright/test';
import { tagText } from '@nazar/core/inspection';
import { create } from 'qrcode';
import { address, beginWalk, button, signIn } from './driver';

const WIDTH = 640;
const HEIGHT = 480;

/** What a camera sees that is held before a printed square: raw video, one frame again and again. */
function filmOf(text: string): Buffer {
  const { size, data } = create(text, { errorCorrectionLevel: 'M' }).modules;
  const dot = Math.floor((HEIGHT - 80) / size);
  const left = Math.floor((WIDTH - size * dot) / 2);
  const top = Math.floor((HEIGHT - size * dot) / 2);
  const grey = Buffer.alloc(WIDTH * HEIGHT, 210);
  for (let row = 0; row < size * dot; row += 1)
    for (let column = 0; column < size * dot; column += 1)
      if (data[Math.floor(row / dot) * size + Math.floor(column / dot)])
        grey[(top + row) * WIDTH + left + column] = 30;
  const noColour = Buffer.alloc((WIDTH * HEIGHT) / 2, 128);
  return Buffer.concat([
    Buffer.from(`YUV4MPEG2 W${WIDTH} H${HEIGHT} F10:1 Ip A1:1 C420jpeg\n`),
    Buffer.from('FRAME\n'),
    grey,
    noColour,
  ]);
}

test('the tag at the last row of a school bus is read by the camera', async ({
  page,
}, testInfo) => {
  await signIn(page, 'Gustav Ree');
  const { tags, units } = await (
    await page.context().request.get(address('/api/reference'))
  ).json();
  const bus = units.find(({ number }: { number: string }) => number === '801');
  const tag = tags.find(
    (each: { unitId: string; zoneId: string }) =>
      each.unitId === bus.id && each.zoneId === 'last-row',
  );
  const film = testInfo.outputPath('tag.y4m');
  writeFileSync(film, filmOf(tagText(`${bus.id}/last-row`, tag.code)));

  const { launchOptions } = testInfo.project.use;
  const camera = await chromium.launch({
    ...launchOptions,
    args: [
      ...(launchOptions?.args ?? []),
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
  });
  const phone = await camera.newPage({ viewport: { width: 390, height: 844 }, locale: 'en-US' });
  await signIn(phone, 'Gustav Ree');
  await beginWalk(phone, /^801/, 'Start post-trip');
  await button(phone, 'All stops').click();
  // Whoever may still be aboard is looked for before anything else.
  await phone
    .getByRole('button', { name: /Last row/ })
    .first()
    .click();
  // Brake, chocks, three points: whatever comes before it.
  const readTag = phone.getByRole('button', { name: 'Read the tag here' });
  const done = phone.getByTestId('step-done');
  const words = async () => (await phone.getByTestId('step').allInnerTexts()).join();
  for (let count = 0; count < 12; count += 1) {
    // Which of both is asked is known only once the next step stands there.
    await expect(readTag.or(done).first()).toBeVisible();
    if (await readTag.count()) break;
    const before = await words();
    await done.click();
    await expect.poll(words).not.toBe(before);
  }
  await phone.getByTestId('step-open').click();
  await button(phone, 'Scan with the camera').click();
  // Seen, known as the tag of this stop, and entered; nothing was typed.
  await expect(phone.getByRole('dialog')).toHaveCount(0, { timeout: 20_000 });
  await expect(phone.getByText(/Presence proven/)).toBeVisible();
  await camera.close();
});
