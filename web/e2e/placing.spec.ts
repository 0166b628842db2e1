/** Placing: trucks in order and a late one, forms cut, mixed by hand, cured before anything leans on it, a leak test. */
import type { Plan } from '@cimiento/core';
import { expect, type Page } from '@playwright/test';
import { base, newJob, prefer, saved, signIn, stage } from './helpers.ts';
import { test } from './slowly.ts';

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
});

const side = (page: Page) => page.locator('[data-side]');
const unfold = async (page: Page, title: string) => {
  const head = side(page).locator('summary').filter({ hasText: title }).first();
  // Pressed until it stays open: the desk settles meanwhile.
  await expect(async () => {
    const open = await head.evaluate(
      (node) => (node as unknown as { parentElement: { open: boolean } }).parentElement.open,
    );
    if (!open) await head.click();
    expect(
      await head.evaluate(
        (node) => (node as unknown as { parentElement: { open: boolean } }).parentElement.open,
      ),
    ).toBe(true);
  }).toPass();
};
const put = async (page: Page, label: string, value: string) => {
  const field = side(page).getByLabel(label, { exact: true });
  await field.fill(value);
  await field.press('Enter');
};
const lower = (page: Page, name: string) => page.locator(`[role=tab][data-lower=${name}]`).click();

const jobOf = async (page: Page, demo: Parameters<typeof newJob>[1]): Promise<string> => {
  await newJob(page, demo);
  return new URL(page.url()).pathname.split('/').at(-1)!;
};

/** Changes a job's plan as it is saved. */
async function change(page: Page, job: string, recipe: (plan: Plan) => void) {
  const whole = (await (await page.request.get(`${base()}/jobs/${job}/whole`)).json()) as {
    readonly revision: number;
    readonly plan: Plan;
  };
  recipe(whole.plan);
  const kept = await page.request.post(`${base()}/jobs/${job}/revisions?base=${whole.revision}`, {
    data: whole.plan,
    headers: { origin: base() },
  });
  return { status: kept.status(), said: await kept.text() };
}

test('a truck two hours late leaves a joint, drawn and told; by a longer time there is none; where none may be it says stop', {
  tag: '@journey',
}, async ({ page }) => {
  const job = await jobOf(page, 'honey-house');
  await stage(page, 'pour');
  await lower(page, 'placing');
  await unfold(page, 'Placing');
  await side(page).getByLabel('Pour', { exact: true }).selectOption('footings');
  const second = side(page).locator('[data-truck="2"]');
  await expect(second).toHaveAttribute('data-gap', '120');
  await expect(second).toContainText('comes 09:48');
  await expect(side(page).locator('[data-joint]').first()).toContainText(
    /Joint: T\d against T\d, 1\d\d min, truck 2/,
  );
  await expect(page.locator('[data-joint-drawn]').first()).toBeVisible();
  await expect(page.locator('[data-nothing-came="120"]')).toBeVisible();
  // One clock plays trucks and places.
  await page.getByRole('slider').fill('3');
  await expect(page.locator('[data-places]')).toHaveAttribute('data-placed', '3');
  await expect(page.locator('[data-now]')).toHaveAttribute('data-now', /^07:3/);

  // Not so late, nothing; taken back, it is there again.
  await put(page, 'Late, Truck 2', '15 min');
  await expect(second).toHaveAttribute('data-gap', '15');
  await expect(side(page).locator('[data-joint]')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(side(page).locator('[data-joint]').first()).toBeVisible();
  // In the heat sooner: half as long for every 11 degrees.
  await unfold(page, 'How it comes and is placed');
  await put(page, 'A face stays fresh, in mild weather', '4 h');
  await expect(side(page).locator('[data-joint]')).toHaveCount(0);
  await put(page, 'Concrete comes at', '42');
  await expect(side(page).locator('[data-joint]').first()).toBeVisible();
  await side(page).getByLabel('No joint may fall in T1').check();
  await expect(side(page).locator('[data-joint][data-banned=true]').first()).toContainText(
    'ask the engineer',
  );
  // What cannot be is said at its field.
  await put(page, 'Concrete comes at', '60');
  await expect(
    side(page)
      .getByText(/45(\.0)?\s*°C/)
      .first(),
  ).toBeVisible();
  await saved(page);

  // Shorter than one unloading: by its field, and not saved.
  const short = await change(page, job, (plan) => {
    plan.pour.placing.rate = 6;
    plan.pour.placing.open = 0.5;
  });
  expect(short.status).toBe(422);
  expect(short.said).toContain('/pour/placing/open');
  const pdf = await page.request.get(`${base()}/jobs/${job}/pour-sheet.pdf?pour=footings`);
  expect(pdf.headers()['content-type']).toContain('application/pdf');
});

test('the porch is mixed by hand: bags, sand, stone, barrows, rounds a day', async ({ page }) => {
  await newJob(page, 'honey-house');
  await stage(page, 'pour');
  await unfold(page, 'By hand');
  const porch = side(page).locator('[data-by-hand=porch]');
  await expect(porch).toContainText(/Porch: \d+ bags/);
  const before = Number(/(\d+) bags/.exec((await porch.textContent())!)![1]);
  await put(page, 'A bag', '50 kg');
  await expect
    .poll(async () => Number(/(\d+) bags/.exec((await porch.textContent())!)![1]))
    .toBe(Math.ceil(before / 2));
  await expect(porch).toContainText(/barrows/);
  await expect(porch).toContainText(/3 people: \d+ batches a day/);
  // No cement is no concrete.
  await put(page, 'Cement, parts', '0');
  await expect(side(page).getByText(/0\.5/).first()).toBeVisible();
});

test('a ring of twelve bends is cut from stock: mitred, lapped, its pins under the string', async ({
  page,
}) => {
  const job = await jobOf(page, 'honey-house');
  const cross = [
    [4, 0],
    [8, 0],
    [8, 4],
    [12, 4],
    [12, 8],
    [8, 8],
    [8, 12],
    [4, 12],
    [4, 8],
    [0, 8],
    [0, 4],
    [4, 4],
  ] as const;
  const kept = await change(page, job, (plan) => {
    const ring = plan.elements.find(({ id }) => id === 'T1');
    if (ring?.kind !== 'strip') throw new Error('T1 is a strip.');
    plan.elements = [{ ...ring, points: cross.map(([x, y]) => [x, y] as const), closed: true, width: 0.6 }];
    plan.pour.together = [];
    plan.pour.orders = [];
    plan.pour.placing.delays = [];
    plan.pour.forms.corner = 'mitred';
    plan.water.pumps = [];
    plan.ground.obstructions = [];
    plan.pour.steel = [];
    plan.pour.fittings = [];
    plan.levels.instructions = [];
    plan.dig.order = [];
    plan.backfill.floors = [];
    plan.backfill.oneSided = [];
    plan.water.drained = [];
  });
  expect(kept.status, kept.said).toBe(200);
  await page.reload();
  await stage(page, 'pour');
  await unfold(page, 'Forms and pins');
  const set = side(page).locator('[data-form-set]').first();
  await expect(set).toContainText('24 boards');
  await set.locator('summary').click();
  await expect(set.locator('[data-cut-list] li').first()).toContainText(/of 4\.20\sm/);
  await expect(set).toContainText(/joints? of boards longer than any stock/);
  await unfold(page, 'Boards, stock and what holds them');
  await side(page).getByLabel('At corners').selectOption('lapped');
  await expect(set).toContainText('24 boards');
  // Stock that reaches no stake is refused by its field.
  await put(page, 'A stake every', '1.5 m');
  await put(page, 'Stock length', '1.2 m');
  await expect(
    side(page)
      .getByText(/do not reach from one stake to the next/)
      .first(),
  ).toBeVisible();
  await put(page, 'Stock length', '3 m');
  await expect(set.locator('[data-cut-list] li').first()).toContainText(/of 3\.00\sm/);
  await expect(side(page).locator('[data-pins]')).toContainText(/\d+ level pins/);
  const pdf = await page.request.get(`${base()}/jobs/${job}/cut-list.pdf`);
  expect(pdf.headers()['content-type']).toContain('application/pdf');
});

test('a cure makes ready to ask and lets nothing go; a box that leaks is said', async ({ page }) => {
  await newJob(page, 'cheese-vault');
  await stage(page, 'pour');
  await unfold(page, 'Cure');
  const walls = side(page).locator('[data-cure=boxWalls]');
  await expect(walls).toContainText(/5 of 7 days wet/);
  await expect(walls).toContainText(/missed/);
  const fill = walls.locator('[data-ready-to=fill]');
  await expect(fill).toHaveAttribute('data-due', 'true');
  await expect(fill).toHaveAttribute('data-let', 'false');
  await expect(fill).toContainText('engineer');
  await expect(walls.locator('[data-ready-to=load]')).toContainText('nobody said how many days');
  await unfold(page, 'Leak test');
  const leak = side(page).locator('[data-leak=B1]');
  await expect(leak).toHaveAttribute('data-state', 'standing');
  await put(page, 'Water over the bottom', '1.95 m');
  await leak.getByRole('button', { name: 'Log it' }).click();
  await expect(leak).toHaveAttribute('data-state', 'leaks');
  await expect(leak).toContainText('find it before anything is filled');
});
