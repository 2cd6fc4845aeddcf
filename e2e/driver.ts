import { expect, type Locator, type Page } from '@playwright/test';

/** What a person does with the app, in the words of the interface. */
export const PINS: Readonly<Record<string, string>> = {
  'Imre Dahl': '2140',
  'Tove Brask': '2180',
  'Oskar Wendt': '2230',
  'Nela Korin': '2240',
  'Rasmus Feld': '7001',
  'Jonah Sterk': '3050',
  'Mirela Aune': '3070',
  'Henk Lorring': '7002',
  'Ilka Moors': '9001',
  'Sanna Veit': '9002',
  'Petra Lunde': '2160',
  'Ivo Stamm': '3110',
  'Joren Falk': '4020',
  'Gustav Ree': '8010',
  'Tarik Brun': '3300',
  'Karl Viken': '9004',
  'Arvid Noll': '2110',
};

const READINGS: readonly (readonly [title: string, typed: string])[] = [
  ['Measure the tread', '13'],
  ['Gauge the pressure', '110'],
  ['Read the odometer', '110000'],
  ['Measure the slope', '5'],
  ['Read the voltage', '14.1'],
  ['Move the wheel', '6'],
  ['Let the air build', '128'],
  ['Released leakage', '1.2'],
  ['Applied leakage', '1.9'],
  ['Fan the pedal', '66'],
  ['Keep fanning', '33'],
  ['Time the build-up', '31'],
  ['Pump down', '106'],
  ['Measure the breakaway', '12.8'],
  ['Measure the cutting edge', '120'],
];

/** Pages of one context share their server, found when the tests began. */
export function address(path: string): string {
  return `${process.env.E2E_URL}${path}`;
}

export const button = (page: Page, name: string | RegExp): Locator =>
  page.getByRole('button', { name, exact: typeof name === 'string' });

export async function signIn(page: Page, name: string): Promise<void> {
  await page.goto(address('/'));
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('PIN').fill(PINS[name]);
  await button(page, 'Sign in').click();
  await expect(page.getByRole('heading', { level: 1, name: /Today|Workshop/ })).toBeVisible();
}

/** A dry day without frost. The clock of the page is wound by us from here on, before a walk watches it. */
export async function sayConditions(page: Page): Promise<void> {
  await ownClock(page);
  for (const said of ['Daylight', 'Dry', 'Above freezing']) await button(page, said).click();
}

export async function beginWalk(
  page: Page,
  rig: RegExp,
  phase: 'Start pre-trip' | 'Start post-trip' = 'Start pre-trip',
): Promise<void> {
  const choice = page.getByRole('button', { name: rig });
  await expect(choice.or(button(page, 'Change rig')).first()).toBeVisible();
  if (await choice.count()) await choice.first().click();
  await button(page, phase).click();
  await sayConditions(page);
  await button(page, 'Begin the walk').click({ timeout: 15_000 });
  await expect(button(page, 'All stops')).toBeVisible();
}

/** Reads and acknowledges every repair that the walk shows at its beginning. */
export async function acknowledgeAll(page: Page): Promise<void> {
  const acknowledge = page.getByRole('button', { name: /^Acknowledge/ });
  while (await acknowledge.count()) {
    const before = await acknowledge.count();
    await acknowledge.first().click();
    await expect(acknowledge).toHaveCount(before - 1);
  }
}

const dock = (page: Page): Locator => page.getByTestId('dock');

/** Title of the check that the dock shows. */
export async function currentCheck(page: Page): Promise<string> {
  return dock(page).getByRole('heading', { level: 2 }).first().innerText();
}

export async function typeReading(page: Page, digits: string): Promise<void> {
  const type = async () => {
    for (const digit of digits) await button(page, digit).click();
    await button(page, 'Keep the reading').click();
  };
  await type();
  // A number that leaps from the last one is typed twice.
  if (await page.getByText('type it once more if it is so').count()) await type();
}

/** Starts the engine step by step: gates, a short crank, oil pressure in time. */
export async function startEngine(page: Page): Promise<void> {
  const go = page.getByTestId('start-go');
  for (const title of ['Yes', 'Yes', 'Yes', 'Yes', 'I crank now', 'It runs', 'Pressure is up'])
    await go.filter({ hasText: title }).click();
  await expect(page.getByText('It idles. Oil pressure came in time.')).toBeVisible();
  await button(page, 'Close').last().click();
}

/** Types the code of the tag that is asked for, as it stands on the printed sheet. */
export async function typeTag(page: Page): Promise<void> {
  const { tags, units } = await (
    await page.context().request.get(address('/api/reference'))
  ).json();
  const title = await page.getByRole('heading', { name: /^Read the tag · / }).innerText();
  const [, number, stop] = /· (\S+) (.*)$/.exec(title) ?? [];
  const unit = units.find((each: { number: string }) => each.number === number);
  const zone = stop.toLowerCase().replaceAll(' ', '-');
  const tag = tags.find(
    (each: { unitId: string; zoneId: string }) => each.unitId === unit.id && each.zoneId === zone,
  );
  await page.getByLabel('Code on the tag').fill(tag.code);
  await button(page, 'I stand here').click();
}

const wound = new WeakMap<Page, { by: number }>();

/**
 * Takes the clock of the page over, and the time of the server as the page sees it. While it is taken over the page reads 1970 for a
 * moment: a walk that runs then would enter that its phone was set, so it is done before one begins.
 */
export async function ownClock(page: Page): Promise<{ by: number }> {
  const known = wound.get(page);
  if (known) return known;
  const clock = { by: 0 };
  wound.set(page, clock);
  await page.route('**/api/reference', async (route) => {
    // Without a network there is no answer to change; one that comes when the test is over is nobody's, its page has gone.
    const response = await route.fetch().catch(() => undefined);
    const body = await response?.json().catch(() => undefined);
    if (!response || !body) return route.abort().catch(() => undefined);
    const json = { ...body, serverTime: body.serverTime + clock.by };
    return route.fulfill({ response, json }).catch(() => undefined);
  });
  await page.clock.install({ time: Date.now() });
  return clock;
}

/** Winds the clock on, as a phone that lay in the pocket would find it. */
export async function windOn(page: Page, milliseconds: number): Promise<void> {
  const clock = await ownClock(page);
  clock.by += milliseconds;
  await page.clock.fastForward(milliseconds);
}

/** Does, waits for and vouches for all that comes before the present check. */
export async function takeSteps(page: Page): Promise<void> {
  const step = page.getByTestId('step');
  // What is there at this moment, without waiting for what may be gone.
  const words = async () => (await step.allInnerTexts()).join();
  for (let count = 0; count < 20; count += 1) {
    const before = await words();
    // What another check decides is for whoever asked.
    if (before === '' || (await page.getByTestId('step-first').count())) return;
    // A clock may end at this very moment, and the question with it.
    if (await page.getByTestId('step-done').count()) {
      const done = await page
        .getByTestId('step-done')
        .click({ timeout: 5_000 })
        .then(
          () => true,
          () => false,
        );
      // Not touched, since it went or the machine was slow: what stands there now is looked at anew.
      if (!done) continue;
    } else if (await page.getByTestId('step-open').count()) {
      await page.getByTestId('step-open').click();
      if (await page.getByTestId('start-go').count()) await startEngine(page);
      else await typeTag(page);
    } else await windOn(page, 181_000);
    await expect
      .poll(words, { intervals: [15, 15, 30, 30, 60, 120], timeout: 30_000 })
      .not.toBe(before);
  }
}

/** Steps through a cycle: every gate answered with yes, every hold waited for, every step good. */
export async function playCycle(page: Page): Promise<void> {
  await page.getByTestId('play').click();
  const next = page
    .getByRole('button', { name: /^(Zone is clear, begin|Yes|Good, next step)$/ })
    .last();
  for (let count = 0; count < 40 && (await next.count()); count += 1) {
    const words = async () => (await page.getByRole('dialog').allInnerTexts()).join();
    const before = await words();
    // A hold is counted down by a clock that nobody can set.
    if (await next.isDisabled()) await windOn(page, 200_000);
    else await next.click();
    await expect.poll(words, { intervals: [15, 30, 60, 120] }).not.toBe(before);
  }
}

/** Goes through what comes first, and through the checks that decide it, until something can be answered or gone on from. */
async function comeToAnswer(page: Page): Promise<void> {
  const step = page.getByTestId('step');
  const asked = page
    .getByTestId(/^(next-check|next-stop|leave-out|play|sound|looks-repaired|count)$/)
    .or(dock(page).getByRole('button', { name: /^Measure/ }));
  for (let count = 0; count < 10; count += 1) {
    await expect(step.or(asked).first()).toBeVisible();
    if ((await step.count()) === 0) return;
    await takeSteps(page);
    // Another check comes first: it is answered, and this one later.
    if (await page.getByTestId('step-first').count()) await page.getByTestId('step-first').click();
  }
  throw new Error(`Still not to be answered: ${await dock(page).innerText()}`);
}

/** Answers the present check as sound, or measures it well; false when nothing is left at this stop. */
export async function answerOne(page: Page): Promise<boolean> {
  if (await page.getByTestId('next-stop').count()) return false;
  if (await page.getByTestId('next-check').count()) await page.getByTestId('next-check').click();
  await comeToAnswer(page);
  const title = await currentCheck(page);
  // A start that was made step by step has answered its own check.
  if (await page.getByTestId('next-check').count()) return true;
  if (await page.getByTestId('next-stop').count()) return false;
  if (await page.getByTestId('leave-out').count()) {
    await page.getByTestId('leave-out').click();
  } else if (await page.getByTestId('play').count()) {
    await playCycle(page);
  } else if (await page.getByTestId('sound').count()) {
    await page.getByTestId('sound').click();
  } else if (await page.getByTestId('looks-repaired').count()) {
    await page.getByTestId('looks-repaired').click();
  } else if (await page.getByTestId('count').count()) {
    await page.getByTestId('count').click();
    await button(page, 'All are there').click();
    for (const date of await page.getByLabel(/^Good until/).all()) await date.fill('2099-12-31');
    await button(page, 'Keep the count').click();
  } else {
    const reading = READINGS.find(([start]) => title.startsWith(start));
    if (!reading)
      throw new Error(
        `No reading is prepared for "${title}", where the screen says: ${await dock(page).innerText()}`,
      );
    await dock(page)
      .getByRole('button', { name: /^Measure/ })
      .click();
    await typeReading(page, reading[1]);
  }
  await expect
    .poll(
      async () =>
        (await page.getByTestId('next-stop').count()) > 0 || (await currentCheck(page)) !== title,
      { intervals: [15, 15, 30, 30, 60, 120] },
    )
    .toBe(true);
  return true;
}

export async function answerStop(page: Page): Promise<void> {
  while (await answerOne(page));
}

/** Goes on until `stopTitle` is reached, or to the verdict. */
export async function walkOn(page: Page, stopTitle?: string): Promise<void> {
  for (;;) {
    if (stopTitle && (await page.getByRole('heading', { level: 1 }).innerText()) === stopTitle)
      return;
    await answerStop(page);
    const next = page.getByTestId('next-stop');
    const last = (await next.innerText()) === 'To the verdict';
    await next.click();
    if (last) {
      await expect(page.getByRole('heading', { level: 1, name: 'Verdict' })).toBeVisible();
      return;
    }
  }
}

/** Goes on to the verdict, stop by stop: what can be called sound together is, once its least time has passed. */
export async function walkByRest(page: Page): Promise<void> {
  for (;;) {
    while ((await page.getByTestId('next-stop').count()) === 0) {
      await takeSteps(page);
      if (await page.getByTestId('rest-wait').count()) await windOn(page, 4 * 60_000);
      const rest = page.getByTestId('rest');
      if (await rest.count()) {
        const words = await rest.innerText();
        await rest.click();
        await expect
          .poll(async () => (await rest.allInnerTexts()).join(), { intervals: [30, 60, 120] })
          .not.toBe(words);
        continue;
      }
      await windOn(page, 30_000);
      await answerStop(page);
    }
    const next = page.getByTestId('next-stop');
    const last = (await next.innerText()) === 'To the verdict';
    await next.click();
    if (last) return;
  }
}

/**
 * Goes to a check of a place that the plan may come to several times, and does what comes before it, other checks too.
 * @param stop words of the place in the list of all stops
 */
export async function goToCheckAt(page: Page, stop: RegExp, title: RegExp): Promise<void> {
  const row = page
    .getByRole('list', { name: 'Checks of this stop' })
    .getByRole('button', { name: title });
  for (let count = 0; count < 12; count += 1) {
    let found = false;
    for (let at = 0; !found; at += 1) {
      await button(page, 'All stops').click();
      const places = page.getByRole('button', { name: stop });
      await places.nth(at).click();
      found = (await row.count()) > 0;
    }
    // An engine that was started a moment ago has the rest planned anew: the check may stand at another stop by now.
    const reached = await row
      .first()
      .click({ timeout: 3_000 })
      .then(() => true)
      .catch(() => false);
    if (!reached) continue;
    await takeSteps(page);
    const first = page.getByTestId('step-first');
    if ((await first.count()) === 0) return;
    await first.click();
    await answerOne(page);
  }
  throw new Error(`Too much comes before ${title.source}.`);
}

/** Walks by the plan, answering whatever comes before it, until this check is asked. */
export async function walkToCheck(page: Page, title: RegExp): Promise<void> {
  for (let count = 0; count < 200; count += 1) {
    if (await page.getByTestId('next-stop').count()) {
      await page.getByTestId('next-stop').click();
      continue;
    }
    if (await page.getByTestId('next-check').count()) await page.getByTestId('next-check').click();
    await takeSteps(page);
    if (await page.getByTestId('next-stop').count()) continue;
    if (title.test(await currentCheck(page))) return;
    await answerOne(page);
  }
  throw new Error(`The walk never asked for ${title.source}.`);
}

/** Goes to a check of this stop by its words, and does what comes before it. */
export async function goToCheck(page: Page, title: RegExp): Promise<void> {
  await page
    .getByRole('list', { name: 'Checks of this stop' })
    .getByRole('button', { name: title })
    .first()
    .click();
  await takeSteps(page);
}

export async function drawSignature(page: Page): Promise<void> {
  const pad = page.getByRole('img', { name: 'Pad for your signature' });
  await expect(pad).toBeVisible();
  // What still stands out is brought in first, one after the other.
  const out = page.locator('[data-testid^="put-back-"], [data-testid="all-stowed"]');
  const left = async () => (await out.allInnerTexts()).join();
  for (let before = await left(); before !== ''; before = await left()) {
    await out.first().click();
    await expect.poll(left).not.toBe(before);
  }
  await pad.scrollIntoViewIfNeeded();
  const box = await pad.boundingBox();
  if (!box) throw new Error('The pad cannot be seen.');
  await page.mouse.move(box.x + 30, box.y + 70);
  await page.mouse.down();
  for (let step = 1; step < 24; step += 1)
    await page.mouse.move(box.x + 30 + step * 9, box.y + 70 + Math.sin(step) * 35);
  await page.mouse.up();
}

export const saving = (page: Page): Locator => page.getByTestId('saving');

/** A picture made in the page itself. */
export async function makePicture(page: Page, width = 1600, height = 1200): Promise<Buffer> {
  const data = await page.evaluate(
    ([w, h]) => {
      const canvas = document.createElement('canvas');
      canvas.width = w;
      canvas.height = h;
      const context = canvas.getContext('2d');
      if (context) {
        context.fillStyle = '#54606a';
        context.fillRect(0, 0, w, h);
        context.fillStyle = '#c06030';
        context.fillRect(w * 0.4, h * 0.2, w * 0.06, h * 0.6);
      }
      return canvas.toDataURL('image/jpeg', 0.8).split(',')[1];
    },
    [width, height] as const,
  );
  return Buffer.from(data, 'base64');
}
