/** Something that is done again and again while the server runs. */
export interface Job {
  readonly name: string;
  /** Milliseconds between the end of one run and the beginning of the next. */
  readonly every: number;
  /** Does it; resolves with a word for the log, or nothing. */
  readonly run: (now: Date) => Promise<string | undefined>;
}

/** How a job does, for whoever looks after the server. */
export interface JobState {
  readonly name: string;
  readonly lastRun: string | null;
  readonly lastGood: string | null;
  /** Runs that failed since the last good one. */
  readonly failures: number;
}

export interface SchedulerParts {
  readonly jobs: readonly Job[];
  readonly now: () => Date;
  readonly log: {
    readonly info: (words: string) => void;
    readonly error: (details: object, words: string) => void;
  };
}

export interface Scheduler {
  /** Runs every job once, one after the other, and then each at its own pace. */
  readonly start: () => Promise<void>;
  readonly stop: () => void;
  readonly states: () => readonly JobState[];
}

/** After a failure it is tried sooner, milliseconds. */
const RETRY = 15_000;

/**
 * One clock for all that the server does by itself. A job that fails is logged, tried again and takes no other with it; none runs
 * twice at a time.
 */
export function makeScheduler({ jobs, now, log }: SchedulerParts): Scheduler {
  const states = new Map<string, JobState>(
    jobs.map(({ name }) => [name, { name, lastRun: null, lastGood: null, failures: 0 }]),
  );
  const timers = new Set<NodeJS.Timeout>();
  let stopped = false;
  const once = async (job: Job): Promise<boolean> => {
    const before = states.get(job.name) as JobState;
    const lastRun = now().toISOString();
    try {
      const words = await job.run(now());
      if (words) log.info(`${job.name}: ${words}`);
      states.set(job.name, { name: job.name, lastRun, lastGood: lastRun, failures: 0 });
      return true;
    } catch (error) {
      states.set(job.name, { ...before, lastRun, failures: before.failures + 1 });
      log.error({ err: error, job: job.name }, `${job.name} failed`);
      return false;
    }
  };
  const later = (job: Job, wait: number): void => {
    if (stopped) return;
    const timer = setTimeout(() => {
      timers.delete(timer);
      void once(job).then((good) => later(job, good ? job.every : Math.min(RETRY, job.every)));
    }, wait);
    timer.unref();
    timers.add(timer);
  };
  return {
    start: async () => {
      for (const job of jobs) {
        const good = await once(job);
        later(job, good ? job.every : Math.min(RETRY, job.every));
      }
    },
    stop: () => {
      stopped = true;
      for (const timer of timers) clearTimeout(timer);
      timers.clear();
    },
    states: () => [...states.values()],
  };
}
