import { AS_SHIPPED } from '@nazar/core/depot-content';
import { closeHeavy, doHeavy, TooBusy } from './pool';

afterAll(() => closeHeavy());

it('answers what was asked, and an error as an error', async () => {
  expect(await doHeavy('catalogue-file', { format: 'something else' })).toMatchObject({
    ok: false,
    faults: [{ code: 'not-this-format', at: 'format' }],
  });
  await expect(doHeavy('report-pdf', {} as never)).rejects.toThrow();
  // The thread goes on after it.
  expect(await doHeavy('content-faults', AS_SHIPPED)).toEqual([]);
});

it('takes so much and no more, says so, and does what it took', async () => {
  const answers = await Promise.allSettled(
    Array.from({ length: 60 }, () => doHeavy('content-faults', AS_SHIPPED)),
  );
  const refused = answers.filter((each) => each.status === 'rejected');
  expect(refused.length).toBeGreaterThan(20);
  for (const { reason } of refused) expect(reason).toBeInstanceOf(TooBusy);
  for (const answer of answers) if (answer.status === 'fulfilled') expect(answer.value).toEqual([]);
  expect(await doHeavy('content-faults', AS_SHIPPED)).toEqual([]);
});
