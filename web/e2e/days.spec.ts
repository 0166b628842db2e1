/** The board of days: tasks the plan makes of itself, typed, dragged and pinned; weather; what is late and why; bays; a day on one page. */
import { nextDayOf, type Plan } from '@cimiento/core';
import type { Page } from '@playwright/test';
import type { Demo } from '../app/server/jobs.server.ts';
import { base, expect, newJob, prefer, signIn, stage } from './helpers.ts';
import { test } from './slowly.ts';

/** The day the demos' records end, and the next: they are looked at as they stood. */
const DAY = '2026-10-15';

async function jobOf(page: Page, demo: Demo): Promise<string> {
  await newJob(page, demo);
  return new URL(page.url()).pathname.split('/').at(-1)!;
}
/** The board as it stood on a day, once it works things out itself. */
async function boardOf(page: Page, job: string, day = DAY) {
  await page.goto(`${base()}/jobs/${job}/days?day=${day}`);
  await expect(page.locator('[data-live=true]')).toBeVisible();
  await expect(page.locator('[data-days]')).toBeVisible();
}
const bar = (page: Page, task: string) => page.locator(`[data-task="${task}"]`);
/** The day a task begins, by the day its column is of. */
const begins = async (page: Page, task: string): Promise<string> =>
  (await bar(page, task).getAttribute('data-begins'))!;
const list = (page: Page, name: string) => page.locator(`[data-list=${name}]`);
const unfold = (page: Page, title: string) => page.locator('summary').filter({ hasText: title }).click();

interface Whole {
  readonly revision: number;
  readonly plan: Plan;
}
/** A job's plan as it is saved, to be changed; and kept. */
const wholeOf = async (page: Page, job: string): Promise<Whole> =>
  (await (await page.request.get(`${base()}/jobs/${job}/whole`)).json()) as Whole;
async function keep(page: Page, job: string, revision: number, plan: Plan) {
  const saved = await page.request.post(`${base()}/jobs/${job}/revisions?base=${revision}`, {
    data: plan,
    headers: { origin: base() },
  });
  expect(saved.status(), await saved.text()).toBe(200);
}

/** Weather typed as a file: rain of each day from the first on, mm, with a low and a high. */
const weather = (
  from: string,
  days: readonly (readonly [rain: number, low: number, high: number])[],
): string => {
  let day = from;
  const lines = days.map(([rain, low, high]) => {
    const line = `${day},${rain},${low},${high}`;
    day = nextDayOf(day);
    return line;
  });
  return ['date,rain_mm,low_c,high_c', ...lines].join('\n');
};
async function putWeather(page: Page, csv: string) {
  await page.locator('[data-file=weather]').setInputFiles({
    name: 'weather.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(csv),
  });
}

test('a house’s days: drawn by place and day, late and why, called by when; typed, dragged, pinned and undone', {
  tag: '@journey',
}, async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
  const job = await jobOf(page, 'honey-house');
  // From the job itself it is a link away.
  await stage(page, 'log');
  await page.locator('[data-side]').getByRole('link', { name: 'Days' }).click();
  await expect(page).toHaveURL(new RegExp(`/jobs/${job}/days$`));
  // Long after the last record it offers to look at it as it stood. Pressed once the page has come to rest.
  await expect(page.locator('[data-live=true]')).toBeVisible();
  await page.getByRole('link', { name: 'Look at it as it stood then' }).click();
  await expect(page.locator(`[data-as-of="${DAY}"]`)).toBeVisible();
  await expect(page.locator('[data-live=true]')).toBeVisible();
  // What was shot is dug, and stands there no longer.
  await expect(bar(page, 'dig/T1')).toHaveCount(0);
  await expect(page.locator('[data-row="e:T2"]').locator('[data-task="bed/T2"]')).toHaveCount(1);
  expect(Number(await bar(page, 'pour/footings').getAttribute('data-late'))).toBeGreaterThan(0);
  await expect(list(page, 'late')).toContainText(/Not logged as done/);
  await expect(list(page, 'calls')).toContainText(/stone, .*m³ for/);
  // The forecast takes Friday.
  await expect(page.locator('[data-day="2026-10-16"]')).toHaveAttribute('data-lost', 'true');
  await expect(list(page, 'watch')).toContainText(/14\smm of rain, nobody works outside/);

  // A rate typed moves it; undone it is as it was.
  const before = await page.locator('[data-ends]').getAttribute('data-ends');
  await bar(page, 'bed/T2').click();
  const panel = page.locator('[data-task-panel="bed/T2"]');
  await panel.getByLabel('Hours').fill('60');
  await panel.getByLabel('Hours').blur();
  await expect(page.locator('[data-ends]')).not.toHaveAttribute('data-ends', before!);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('[data-ends]')).toHaveAttribute('data-ends', before!);

  // Dragged two columns on it is pinned there; the arrow key nudges it by one more.
  const from = await begins(page, 'forms/T1');
  const box = (await bar(page, 'forms/T1').boundingBox())!;
  await page.mouse.move(box.x + 20, box.y + 8);
  await page.mouse.down();
  await page.mouse.move(box.x + 90, box.y + 8, { steps: 6 });
  await page.mouse.move(box.x + 20 + 2 * 68, box.y + 8, { steps: 6 });
  await page.mouse.up();
  const two = nextDayOf(nextDayOf(from));
  await expect(bar(page, 'forms/T1')).toHaveAttribute('data-begins', two);
  await bar(page, 'forms/T1').focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.locator('[data-task-panel="forms/T1"]').locator('#pin')).toHaveValue(nextDayOf(two));
  await page.getByRole('button', { name: 'As soon as it can' }).click();
  await expect(bar(page, 'forms/T1')).toHaveAttribute('data-begins', from);
  await expect(page.locator('[data-saving=saved]')).toBeVisible();

  // Tasks that wait for one another are said to, where it was typed; nothing typed is lost.
  await page.locator('[data-task-panel="forms/T1"]').getByLabel('Comes after').selectOption('pour/footings');
  await expect(page.getByRole('alert').first()).toContainText(/wait for one another/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('[data-days]')).toBeVisible();
  const csv = await (await page.request.get(`${base()}/jobs/${job}/days.csv`)).text();
  expect(csv).toContain('task,element,pour,begins,ends');

  await prefer(page, { lang: 'es-ES' });
  await boardOf(page, job);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Días de');
  await expect(bar(page, 'pour/footings')).toContainText(/hormigonar|verter/);
  await expect(list(page, 'watch')).toContainText(/de lluvia/);
});

test('weather on it: a storm takes Thursday, frozen ground trebles the strip, a gap in a file is named', async ({
  page,
}) => {
  await signIn(page);
  await prefer(page, {});
  const job = await jobOf(page, 'bell-frame');
  // Topsoil off the whole of it, and a first day.
  const { plan, revision } = await wholeOf(page, job);
  plan.days.start = '2026-11-02';
  plan.prices.machineHour = 62;
  plan.dig.frozenRate = 1 / 3;
  plan.site.strips = [
    {
      id: 'strip-1',
      name: 'S1',
      kind: 'topsoil',
      points: [
        [-6, -6],
        [16, -6],
        [16, 16],
        [-6, 16],
      ],
      thickness: 0.2,
      level: null,
      area: null,
    },
  ];
  await keep(page, job, revision, plan);

  await boardOf(page, job, '2026-11-02');
  await unfold(page, 'Weather');
  const hours = async () => {
    await bar(page, 'strip').focus();
    return Number(await bar(page, 'strip').getAttribute('data-hours'));
  };
  const thawed = await hours();
  await putWeather(
    page,
    weather(
      '2026-11-02',
      [
        [0, -18, -10],
        [0, -18, -10],
      ].map(([r, l, h]) => [r!, l!, h!] as const),
    ),
  );
  await expect(page.locator('[data-weather="2"]')).toBeVisible();
  // Frozen deeper than the topsoil is thick it takes three times as long, which is said in hours and money.
  await putWeather(
    page,
    weather(
      '2026-11-02',
      Array.from({ length: 20 }, () => [0, -24, -14] as const),
    ),
  );
  await expect(page.locator('[data-weather="20"]')).toBeVisible();
  const [first] = [await begins(page, 'strip')];
  await bar(page, 'strip').focus();
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowRight');
  await expect.poll(async () => (await begins(page, 'strip')) > first!).toBe(true);
  await expect.poll(async () => Math.round((10 * (await hours())) / thawed)).toBe(30);
  await expect(list(page, 'watch')).toContainText(/Frozen ground: .*\sh more of the machine, .*\d/);

  // A storm on Thursday: nobody works, what was to be done then is done on Friday.
  await putWeather(
    page,
    weather(
      '2026-11-02',
      [
        [0, 4, 9],
        [0, 4, 9],
        [0, 4, 9],
        [35, 4, 9],
        [0, 4, 9],
      ].map(([r, l, h]) => [r!, l!, h!] as const),
    ),
  );
  await expect(page.locator('[data-day="2026-11-05"]')).toHaveAttribute('data-lost', 'true');
  await expect(page.locator('[data-begins="2026-11-05"][data-worked=true]')).toHaveCount(0);
  await expect(list(page, 'watch')).toContainText(/of rain, nobody works outside/);

  // A file with a day missing is not taken, and what stood stays.
  await putWeather(page, 'date,rain_mm\n2026-11-02,0\n2026-11-04,3');
  await expect(page.getByText(/The weather has no 2026-11-03/)).toBeVisible();
  await expect(page.locator('[data-weather="5"]')).toBeVisible();
  // The forecast that ships with the program answers too.
  await page.getByRole('button', { name: 'Ten days from the forecast' }).click();
  await expect(page.locator('[data-weather="10"]')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('[data-weather="5"]')).toBeVisible();

  // A week without a working day is said at the week.
  await unfold(page, 'Hours, people');
  const week = page.locator('[data-hours] fieldset, [data-hours] [aria-label="Days worked"]').first();
  for (const name of ['Mon', 'Tue', 'Wed', 'Thu', 'Fri'])
    await week.getByRole('button', { name, exact: true }).click();
  await expect(page.getByRole('alert').first()).toContainText(/No day of the week is worked/);
});

test('two logged days move what is left; a late truck moves its pour and the next', async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
  let job = await jobOf(page, 'honey-house');
  const log = async (kind: string, at: string, value: object, element: string | null = null) => {
    const answer = await page.request.post(`${base()}/jobs/${job}/records`, {
      data: [
        {
          id: `days-${kind}-${at}`.replaceAll(/[^\w-]/g, ''),
          kind,
          at,
          by: '',
          element,
          place: null,
          corrects: null,
          value,
        },
      ],
      headers: { origin: base() },
    });
    expect(answer.status(), await answer.text()).toBe(200);
  };
  await boardOf(page, job);
  const ends = () => page.locator('[data-ends]').getAttribute('data-ends');
  const dug = await begins(page, 'dig/T2');
  expect(dug).toBe(DAY);
  for (const day of ['2026-10-15', '2026-10-16'])
    await log('dug', `${day}T15:00:00.000Z`, { machine: 'machine-1', when: day, volume: 120, hours: 8 });
  await boardOf(page, job, '2026-10-17');
  // All of it is dug by now: it is no longer there, and the end has moved with it.
  await expect(bar(page, 'dig/T2')).toHaveCount(0);
  expect(await ends()).toBeTruthy();

  // With nothing before them the pours are due on the first day.
  const bell = await jobOf(page, 'bell-frame');
  const { plan, revision } = await wholeOf(page, bell);
  plan.days.start = DAY;
  await keep(page, bell, revision, plan);
  const csv = await (await page.request.get(`${base()}/jobs/${bell}/days.csv`)).text();
  plan.days.own = csv
    .split('\n')
    .slice(1)
    .flatMap((line) => line.split(',')[0] || [])
    .filter((task) => !/^(pour|cure|stay|fill|formsoff|proof|let)/.test(task))
    .map((task) => ({ task, rate: null, hours: 0, people: null, pin: null, after: [] }));
  await keep(page, bell, revision + 1, plan);
  await boardOf(page, bell);
  const pours = page.locator('[data-task^="pour/"]');
  const titles = () => pours.evaluateAll((all) => all.map((one) => one.getAttribute('title')));
  const [first] = (await titles()) as [string];
  expect(first).toContain('15 Oct 2026, ');
  // Concrete that was due at nine came at five to three: no pour begins before it is placed.
  job = bell;
  await log('delivered', `${DAY}T16:00:00.000Z`, {
    day: DAY,
    of: 'concrete',
    ordered: 1,
    came: 1,
    left: 0,
    due: '09:00',
    arrived: '14:55',
    ticket: '',
  });
  await boardOf(page, bell);
  for (const title of (await titles()) as string[]) {
    const [, time] = /, (\d\d:\d\d) –/.exec(title)!;
    expect(title.includes('15 Oct') ? time! >= '14:55' : true, title).toBe(true);
  }
  expect((await titles())[0]).not.toBe(first);
  await expect(list(page, 'late')).toContainText(/The truck came late/);
});

test('bays in three passes: one refused keeps its pass from being cast; the engineer’s word opens the next', async ({
  page,
}) => {
  await signIn(page);
  await prefer(page, {});
  const job = await jobOf(page, 'chapel-porch');
  await boardOf(page, job);
  const bay = (n: number) => page.locator(`[data-bay="${n}"]`);
  await expect(bay(1)).toHaveAttribute('data-state', 'released');
  await expect(bay(5)).toHaveAttribute('data-state', 'refused');
  await expect(bay(3)).toHaveAttribute('data-state', 'toCome');
  await bay(3).click();
  const one = page.locator('[data-one-bay]');
  await expect(one).toContainText(/shut by 2, 5, 8/);
  await expect(one.getByRole('button')).toHaveCount(0);
  // Seen already, bay 2 is not cast while 5 of its pass is refused.
  await bay(2).click();
  await expect(one).toContainText(/shut by 5/);
  const before = await begins(page, 'pour/underpinning.2');
  await bay(5).click();
  await expect(one).toContainText('loose under the old footing');
  await expect(one.getByRole('button', { name: 'Seen' })).toBeDisabled();
  await one.getByLabel('Who looked').fill('Eng. Sol');
  await one.getByRole('button', { name: 'Seen' }).click();
  // What is logged now is of today: the board of that day is as it stood.
  await page.goto(`${base()}/jobs/${job}/days`);
  await expect(page.locator('[data-live=true]')).toBeVisible();
  await expect(bay(5)).toHaveAttribute('data-state', 'seen');
  await bay(8).click();
  await one.getByRole('button', { name: 'Dug' }).click();
  await expect(bay(8)).toHaveAttribute('data-state', 'open');
  await one.getByLabel('Who looked').fill('Eng. Sol');
  await one.getByLabel('What is to be done').fill('wet, pump it');
  await one.getByRole('button', { name: 'Refuse' }).click();
  await expect(bay(8)).toHaveAttribute('data-state', 'refused');
  await bay(2).click();
  await expect(one).toContainText(/shut by 8/);
  expect((await begins(page, 'pour/underpinning.2')) > before).toBe(true);
  // On the desk's plan they stand by how far they are.
  await expect(page.locator('[data-saving=saved]')).toBeVisible();
  await page.goto(`${base()}/jobs/${job}`);
  await expect(page.locator('[data-bay-state=refused]')).toHaveCount(1);
  await expect(page.locator('[data-bay-state=released]')).toHaveCount(3);
});

test('the day of the crew across jobs, and a day of one on one page: on a phone, and printed', {
  tag: '@journey',
}, async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
  const job = await jobOf(page, 'honey-house');
  await page.goto(`${base()}/jobs`);
  await page.getByRole('link', { name: 'The day', exact: true }).click();
  await expect(page).toHaveURL(/\/today$/);
  await page.goto(`${base()}/today?day=${DAY}`);
  // The crew of the tests has many of its name.
  const own = page.locator('[data-job-day]').filter({ has: page.locator(`a[href*="${job}"]`) });
  // Each comes when it is worked out, one after another.
  await expect(own.locator('[data-part=on]')).toContainText(
    /dig T5 · 2\.198\sm from the string · the machine/,
    { timeout: 60_000 },
  );
  await expect(own.locator('[data-part=comes]')).toContainText(/trucks, \d+ loads/);
  await expect(own.locator('[data-part=watch]')).toContainText(/14\smm of rain/);
  await expect(page.getByText(/Without a first day: .*Bell frame/)).toBeVisible();

  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${base()}/jobs/${job}/tomorrow?day=2026-10-19`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('19 Oct 2026, Honey house');
  await expect(page.locator('[data-part=comes]')).toContainText(/trucks/);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  const printed = await page.request.get(`${base()}/jobs/${job}/tomorrow-sheet.pdf?day=2026-10-19`);
  expect(printed.headers()['content-type']).toContain('application/pdf');
});
