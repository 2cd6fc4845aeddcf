import { createServer, type Server } from 'node:http';
import { join } from 'node:path';
import { chromium, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { createApp } from '../server/http/app';
import { people, PIN, startTestServer, type TestServer } from '../server/testing/test-server';
import { heading, median, percentile, print } from './figures';

const ROOT = join(import.meta.dirname, '..');
const SLOWER = 4;
const ROUNDS = 7;
const TOUCHES = 40;

// Scripts of the page are text: a compiler's helpers do not exist there.
const WATCH_HEADING = `(() => {
  const look = () => {
    if (document.querySelector('[role=heading][aria-level="1"]'))
      requestAnimationFrame(() => { window.answered = performance.now(); });
    else requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
})()`;

/** From the touch until the frame that shows the answer has been painted. */
const TOUCH_SOUND = `new Promise((done) => {
  const began = performance.now();
  const watch = new MutationObserver(() => {
    watch.disconnect();
    requestAnimationFrame(() => {
      const painted = new MessageChannel();
      painted.port1.onmessage = () => done(performance.now() - began);
      painted.port2.postMessage(0);
    });
  });
  const dock = document.querySelector('[data-testid=dock]');
  watch.observe(dock, { subtree: true, childList: true, characterData: true, attributes: true });
  document.querySelector('[data-testid=sound]').click();
})`;

interface Served {
  readonly url: string;
  readonly server: Server;
}

async function serve(test: TestServer, appFolder: string): Promise<Served> {
  const app = createApp({ ...test, configuration: { ...test.configuration, appFolder } });
  const server = createServer(app);
  await new Promise<void>((done) => {
    server.listen(0, '127.0.0.1', done);
  });
  const { port } = server.address() as { port: number };
  return { server, url: `http://127.0.0.1:${port}` };
}

async function signIn(page: Page, url: string): Promise<void> {
  await page.goto(url);
  await page.getByLabel('Name').fill(people.imre.name);
  await page.getByLabel('PIN').fill(PIN);
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await page.getByRole('button', { name: /^214/ }).click();
  await page.getByRole('button', { name: 'Start pre-trip' }).waitFor();
}

/** Bytes over the wire of every file that is not the API's. */
async function weigh(browser: Browser, load: (page: Page) => Promise<void>): Promise<number> {
  const context = await browser.newContext({ serviceWorkers: 'block' });
  const page = await context.newPage();
  const cdp = await context.newCDPSession(page);
  await cdp.send('Network.enable');
  const files = new Set<string>();
  let bytes = 0;
  cdp.on('Network.requestWillBeSent', ({ requestId, request }) => {
    if (!new URL(request.url).pathname.startsWith('/api/')) files.add(requestId);
  });
  cdp.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (files.has(requestId)) bytes += encodedDataLength;
  });
  await load(page);
  await page.waitForTimeout(500);
  await context.close();
  return bytes;
}

/** Milliseconds from the start of a navigation to the first painted heading, from the device's cache, offline. */
async function openOffline(context: BrowserContext, url: string): Promise<number> {
  const page = await context.newPage();
  const cdp = await context.newCDPSession(page);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  await page.addInitScript(WATCH_HEADING);
  await page.goto(url);
  const answered = await page.waitForFunction(
    () => (window as unknown as { answered?: number }).answered,
    undefined,
    { timeout: 60_000 },
  );
  const time = (await answered.jsonValue()) as number;
  await page.close();
  return time;
}

async function cached(
  browser: Browser,
  prepare: (page: Page) => Promise<void>,
): Promise<BrowserContext> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await prepare(page);
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await page.reload();
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await page.waitForTimeout(1500);
  await page.close();
  await context.setOffline(true);
  return context;
}

/** Touch to painted answer on the walk, each with its entry in the device's database. */
async function touches(browser: Browser, url: string): Promise<number[]> {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  await signIn(page, url);
  await page.getByRole('button', { name: 'Start pre-trip' }).click();
  for (const answer of ['Daylight', 'Dry', 'Above freezing'])
    await page.getByRole('button', { name: answer, exact: true }).click();
  await page.getByRole('button', { name: 'Begin the walk' }).click();
  await page.getByTestId('sound').waitFor();
  const cdp = await context.newCDPSession(page);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  const times: number[] = [];
  for (let step = 0; step < 10 * TOUCHES && times.length < TOUCHES; step += 1) {
    if (await page.getByTestId('next-stop').count()) {
      await page.getByTestId('next-stop').click();
      continue;
    }
    if (!(await page.getByTestId('sound').count())) {
      // A reading, which is no single touch: on to the next stop.
      await page.keyboard.press('ArrowRight');
      continue;
    }
    await page.waitForTimeout(60);
    times.push((await page.evaluate(TOUCH_SOUND)) as number);
  }
  await context.close();
  return times;
}

export async function benchApp(): Promise<void> {
  const { buildApp } = (await import(join(ROOT, 'scripts', 'build.mjs'))) as {
    buildApp: (folder?: string, source?: string) => Promise<string>;
  };
  const test = await startTestServer();
  const real = await serve(test, await buildApp());
  const empty = await serve(
    test,
    await buildApp(join(ROOT, '.nazar', 'empty-app'), 'bench/empty-app'),
  );
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-background-networking'],
  });
  try {
    heading('First load');
    const ours = await weigh(browser, (page) => signIn(page, real.url));
    const theirs = await weigh(browser, async (page) => {
      await page.goto(empty.url);
      await page.getByRole('heading', { name: 'Today' }).waitFor();
    });
    print('files needed to show Today, compressed', `${(ours / 1000).toFixed(0)} kB`);
    print('empty app of the same stack', `${(theirs / 1000).toFixed(0)} kB`);
    print('ratio', (ours / theirs).toFixed(2), 'at most 1.80');

    heading(`Opened from cache, offline, processor ${SLOWER} times slower`);
    const realContext = await cached(browser, (page) => signIn(page, real.url));
    const emptyContext = await cached(browser, async (page) => {
      await page.goto(empty.url);
      await page.getByRole('heading', { name: 'Today' }).waitFor();
      await page.evaluate(
        async () => void (await navigator.serviceWorker.register('/service-worker.js')),
      );
    });
    const realTimes: number[] = [];
    const emptyTimes: number[] = [];
    for (let round = 0; round < ROUNDS; round += 1) {
      realTimes.push(await openOffline(realContext, `${real.url}/`));
      emptyTimes.push(await openOffline(emptyContext, `${empty.url}/`));
    }
    print('Today, first answer', `${median(realTimes).toFixed(0)} ms`);
    print('empty app, first answer', `${median(emptyTimes).toFixed(0)} ms`);
    print('ratio', (median(realTimes) / median(emptyTimes)).toFixed(2), 'at most 1.50');
    await realContext.close();
    await emptyContext.close();

    heading(`Touch to painted answer on the walk, processor ${SLOWER} times slower`);
    const times = await touches(browser, real.url);
    print('median', `${median(times).toFixed(0)} ms`, 'under 100 ms');
    print('p95', `${percentile(times, 0.95).toFixed(0)} ms`);
  } finally {
    await browser.close();
    real.server.close();
    empty.server.close();
    await test.close();
  }
}
