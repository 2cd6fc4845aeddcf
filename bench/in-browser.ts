import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { build } from 'esbuild';

/** A file with all that it needs, as a browser would load it. */
export async function bundle(file: string): Promise<string> {
  const { outputFiles } = await build({
    entryPoints: [join(import.meta.dirname, file)],
    bundle: true,
    write: false,
    format: 'iife',
    minify: true,
    target: 'es2022',
  });
  return outputFiles[0].text;
}

/** Opens an empty page on a slowed processor with what a file puts on the page, and closes it after. */
export async function inBrowser<T>(
  file: string,
  slower: number,
  work: (page: Page) => Promise<T>,
): Promise<T> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-dev-shm-usage'],
  });
  try {
    const page = await browser.newPage();
    const session = await page.context().newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: slower });
    const source = await bundle(file);
    // A page may want to give itself to a worker.
    await page.evaluate((text) => Object.assign(globalThis, { source: text }), source);
    await page.evaluate(source);
    return await work(page);
  } finally {
    await browser.close();
  }
}
