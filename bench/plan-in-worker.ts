import { planWalk } from '@nazar/core/planner';
import { composeLargest } from './largest-rig';

/** Plans the largest rig; the same file is the page and its worker. */
const isWorker = typeof document === 'undefined';

if (isWorker) {
  const rig = composeLargest();
  planWalk({ rig, phase: 'pre-trip', circumstances: [] });
  const began = performance.now();
  planWalk({ rig, phase: 'pre-trip', circumstances: [] });
  postMessage(performance.now() - began);
}

/** Milliseconds of planning in the worker, and of the longest frame of the page meanwhile. */
async function planInWorker(): Promise<{ time: number; longest: number }> {
  const { source } = globalThis as unknown as { source: string };
  const worker = new Worker(URL.createObjectURL(new Blob([source])));
  let longest = 0;
  let last = performance.now();
  let ended = false;
  const watch = () => {
    const now = performance.now();
    longest = Math.max(longest, now - last);
    last = now;
    if (!ended) requestAnimationFrame(watch);
  };
  requestAnimationFrame(watch);
  const time = await new Promise<number>((done) => {
    worker.onmessage = ({ data }: MessageEvent<number>) => done(data);
  });
  ended = true;
  worker.terminate();
  return { time, longest };
}

Object.assign(globalThis, { planInWorker });
