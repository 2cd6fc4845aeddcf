import { policiesFor } from '@nazar/core/grading';
import { assess, fold } from '@nazar/core/inspection';
import { answerSound, begunOf, faultOf, makeLog, walkId } from '@nazar/core/testing';
import { heading, median, percentile, print } from './figures';
import { composeLargest } from './largest-rig';

const ROUNDS = 60;

/** How long it takes to say how the largest rig stands: all sound, half of it faulty, nothing looked at. */
export function benchJudging(): void {
  heading('judging');
  const rig = composeLargest();
  const policies = policiesFor(['two-step']);
  const states = {
    'all sound': () => true,
    'every second check faulty': (index: number) => index % 2 === 0,
    'nothing looked at': () => undefined,
  };
  for (const [name, isSound] of Object.entries(states)) {
    const log = makeLog();
    log.add('begun', begunOf(rig));
    rig.instances.forEach((instance, index) => {
      const sound = isSound(index);
      if (sound) answerSound(log, instance);
      else if (sound === false)
        log.add('faulted', faultOf(instance, instance.check.symptoms[0].id));
      else log.add('answered', { key: instance.key, outcome: 'not-looked', reason: 'Snow' });
    });
    const inspection = fold(walkId, log.events);
    const request = { inspection, rig, policiesOf: () => policies, known: [], unread: [] };
    const times: number[] = [];
    for (let round = 0; round < ROUNDS; round += 1) {
      const began = performance.now();
      void assess(request).verdict;
      times.push(performance.now() - began);
    }
    const [half, most] = [median(times), percentile(times, 0.95)];
    print(
      `assess ${rig.instances.length} checks, ${name}`,
      `${half.toFixed(1)} ms, p95 ${most.toFixed(1)} ms`,
    );
  }
}
