/** A server that dies as often as this within a minute has something that no new start mends. */
const MOST_DEATHS = 5;
const MINUTE = 60_000;

/**
 * Runs a server and starts it again when it dies, saying so, until it is told to stop or dies too often.
 * @param {() => import('node:child_process').ChildProcess} start
 * @param {(words: string) => void} say
 * @returns {{ ended: Promise<number>, stop: (signal: NodeJS.Signals) => void }} exit code: 0 when it was told to stop and did
 */
export function supervise(start, say) {
  let child;
  let stopping = false;
  let deaths = [];
  const ended = new Promise((done) => {
    const run = () => {
      if (stopping) {
        done(0);
        return;
      }
      child = start();
      child.on('close', (code, signal) => {
        if (stopping) {
          done(code ?? 0);
          return;
        }
        const now = Date.now();
        deaths = [...deaths.filter((at) => at > now - MINUTE), now];
        const why = signal ? `by ${signal}` : `with exit code ${code}`;
        if (deaths.length >= MOST_DEATHS) {
          say(`the server ended ${why}, ${MOST_DEATHS} times in a minute; giving up`);
          done(code || 1);
          return;
        }
        say(`the server ended ${why}; starting it again`);
        setTimeout(run, 1000 * deaths.length);
      });
    };
    run();
  });
  return {
    ended,
    stop: (signal) => {
      stopping = true;
      child.kill(signal);
    },
  };
}
