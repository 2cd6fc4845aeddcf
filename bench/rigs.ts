import { gzipSync } from 'node:zlib';
import { heading, median, percentile, print } from './figures';
import { bundle, inBrowser } from './in-browser';
import { timeComposing } from './largest-rig';

const ROUNDS = 300;
const FIRST = 20;
const SLOWER = 4;

/** Composing the largest rig, here and in a browser on a slowed processor; there the very first time counts too. */
export async function benchRigs(): Promise<void> {
  heading('Rigs');
  const { checks, times } = timeComposing(ROUNDS);
  const warm = times.slice(FIRST);
  print(
    `the largest rig, ${checks} checks, composed`,
    `${median(warm).toFixed(2)} ms`,
    'under 30 ms',
  );
  print('p95', `${percentile(warm, 0.95).toFixed(2)} ms`);
  const slow = await inBrowser('largest-rig.ts', SLOWER, (page) =>
    page.evaluate<number[]>('timeComposing(40).times'),
  );
  print(`in Chromium, ${SLOWER} times slower`, `${median(slow).toFixed(2)} ms`, 'under 120 ms');
  const size = gzipSync(await bundle('../core/catalogue/index.ts')).length / 1000;
  print('the catalogue, compressed', `${size.toFixed(0)} kB`, 'under 120 kB');
  print('the first time', `${slow[0].toFixed(2)} ms`, 'under 120 ms');
}
