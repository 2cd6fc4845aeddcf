import { makeScheduler, type Job } from './scheduler';

const logged: string[] = [];
const log = {
  info: (words: string) => void logged.push(words),
  error: (_: object, words: string) => void logged.push(words),
};
const now = () => new Date(Date.now());

beforeEach(() => {
  logged.length = 0;
  jest.useFakeTimers({ now: Date.parse('2026-11-26T06:00:00Z') });
});
afterEach(() => jest.useRealTimers());

const counting = (name: string, every: number, fails: () => boolean = () => false) => {
  const runs: string[] = [];
  const job: Job = {
    name,
    every,
    run: (at) => {
      runs.push(at.toISOString().slice(11, 19));
      return fails() ? Promise.reject(new Error('no')) : Promise.resolve(undefined);
    },
  };
  return { job, runs };
};

it('does everything once at the start, in order, and then each at its own pace', async () => {
  const often = counting('often', 60_000);
  const seldom = counting('seldom', 180_000);
  const scheduler = makeScheduler({ jobs: [often.job, seldom.job], now, log });
  await scheduler.start();
  await jest.advanceTimersByTimeAsync(185_000);
  scheduler.stop();
  expect(often.runs).toEqual(['06:00:00', '06:01:00', '06:02:00', '06:03:00']);
  expect(seldom.runs).toEqual(['06:00:00', '06:03:00']);
});

it('logs a job that fails, tries it sooner, and lets no other wait for it', async () => {
  let broken = true;
  const bad = counting('bad', 60_000, () => broken);
  const good = counting('good', 60_000);
  const scheduler = makeScheduler({ jobs: [bad.job, good.job], now, log });
  await scheduler.start();
  await jest.advanceTimersByTimeAsync(31_000);
  expect(bad.runs).toEqual(['06:00:00', '06:00:15', '06:00:30']);
  expect(scheduler.states()).toMatchObject([
    { name: 'bad', failures: 3, lastGood: null },
    { name: 'good', failures: 0, lastGood: '2026-11-26T06:00:00.000Z' },
  ]);
  expect(logged).toEqual(['bad failed', 'bad failed', 'bad failed']);
  broken = false;
  await jest.advanceTimersByTimeAsync(15_000);
  expect(scheduler.states()[0]).toMatchObject({ failures: 0 });
  await jest.advanceTimersByTimeAsync(58_000);
  expect(bad.runs).toHaveLength(4);
  scheduler.stop();
});

it('never runs a job twice at a time, however long it takes', async () => {
  let running = 0;
  let most = 0;
  const slow: Job = {
    name: 'slow',
    every: 1000,
    run: async () => {
      running += 1;
      most = Math.max(most, running);
      await new Promise((done) => setTimeout(done, 5000));
      running -= 1;
      return undefined;
    },
  };
  const scheduler = makeScheduler({ jobs: [slow], now, log });
  const started = scheduler.start();
  await jest.advanceTimersByTimeAsync(30_000);
  await started;
  scheduler.stop();
  expect(most).toBe(1);
});

it('does nothing more once it is stopped', async () => {
  const { job, runs } = counting('often', 1000);
  const scheduler = makeScheduler({ jobs: [job], now, log });
  await scheduler.start();
  scheduler.stop();
  await jest.advanceTimersByTimeAsync(10_000);
  expect(runs).toHaveLength(1);
});
