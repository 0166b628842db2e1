/** People of a crew in the browser: a second person by link, what they may, and what stays when they go. */
import type { Browser, Page } from '@playwright/test';
import { base, expect, field, prefer, signIn, stage, type } from './helpers.ts';
import { test } from './slowly.ts';

let made = 0;
const mark = () => `${Date.now().toString(36)}${process.pid}${made++}`;

const freshPage = async (browser: Browser): Promise<Page> => {
  const page = await (await browser.newContext({ locale: 'en-GB' })).newPage();
  await prefer(page, {});
  return page;
};

/** A crew of its own with its lead signed in. */
async function founded(page: Page): Promise<{ email: string; password: string }> {
  const person = { email: `lead-${mark()}@crew.example`, password: 'a-long-password' };
  const answer = await page.request.post(`${base()}/join`, {
    form: { crew: 'Ditch and Sons', name: 'Nerea', ...person },
    maxRedirects: 0,
  });
  expect(answer.status()).toBe(302);
  return person;
}

async function linkFrom(page: Page): Promise<string> {
  await page.goto(`${base()}/crew`);
  await page.getByRole('button', { name: 'Make a link' }).click();
  return page.locator('[data-link]').innerText();
}

/** Comes in by a link through the page itself. */
async function comeIn(page: Page, link: string, name: string): Promise<string> {
  const email = `${name.toLowerCase()}-${mark()}@crew.example`;
  await page.goto(link);
  await page.getByLabel('Your name').fill(name);
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill('long-enough');
  await page.getByRole('button', { name: 'Come in' }).click();
  await expect(page.getByRole('heading', { name: 'Day board' })).toBeVisible();
  return email;
}

test('a second person comes in by link, logs, changes a plan once let, leaves; what they logged stays', {
  tag: '@journey',
}, async ({ page, browser }) => {
  await prefer(page, {});
  await founded(page);
  const job = await page.request.post(`${base()}/jobs`, {
    form: { intent: 'demo', demo: 'bell-frame' },
    maxRedirects: 0,
  });
  const url = base() + job.headers().location!;
  const link = await linkFrom(page);
  const hand = await freshPage(browser);
  await comeIn(hand, link, 'Tobias');

  // The link is used up: a third finds it said.
  const third = await freshPage(browser);
  expect((await third.goto(link))!.status()).toBe(410);
  await expect(third.getByRole('alert')).toContainText('come in by this link already');

  // They log; a plan they may not save, and are told; what was typed stays.
  await hand.goto(url);
  await hand.locator('[data-desk=live]').waitFor();
  // Said before anything is typed.
  await expect(hand.locator('[data-saving]')).toContainText('a lead changes the plan');
  await stage(hand, 'log');
  const note = hand.locator('[data-log-note]');
  await note.getByRole('textbox').fill('water stood a hand deep at P3');
  await note.getByRole('button').click();
  await expect(hand.locator('[data-records]')).toContainText('a hand deep');
  await stage(hand, 'ground');
  await type(hand, 'ground.frost.local', '1.40 m');
  await expect(hand.locator('[data-saving]')).toContainText('only a lead changes plans');
  await expect(field(hand, 'ground.frost.local')).toHaveValue(/1\.40/);
  const kept = await (await page.request.get(`${url}/plan.json`)).json();
  expect(JSON.stringify(kept)).not.toContain('"local":1.4,');

  // Their lead lets them, and it goes.
  await page.goto(`${base()}/crew`);
  await page.getByLabel('Crew may change plans too').click();
  await expect(page.getByLabel('Crew may change plans too')).toBeChecked();
  await type(hand, 'ground.frost.local', '1.45 m');
  await expect(hand.locator('[data-saving=saved]')).toBeVisible();

  // Taken out they are signed out at once; their record keeps their name.
  await page.getByRole('button', { name: 'Take Tobias out of the crew' }).click();
  await page.getByRole('button', { name: 'Yes, do it' }).click();
  await expect(page.locator('[data-person=Tobias]')).toHaveCount(0);
  await hand.goto(`${base()}/jobs`);
  await expect(hand).toHaveURL(/sign-in/);
  await page.goto(url);
  await page.locator('[data-desk=live]').waitFor();
  await stage(page, 'log');
  await expect(page.locator('[data-records]')).toContainText('a hand deep');
  await expect(page.locator('[data-records]')).toContainText('Tobias');
});

test('the last lead cannot leave, and is told why', async ({ page }) => {
  await prefer(page, {});
  await founded(page);
  await page.goto(`${base()}/crew`);
  await page.getByRole('button', { name: 'Leave the crew' }).click();
  await page.getByRole('button', { name: 'Yes, do it' }).click();
  await expect(page.getByRole('alert')).toContainText('A crew needs a lead');
});

test('a password is changed, and one nobody knows is chosen anew by mail; a stranger is told the same', async ({
  page,
  browser,
}) => {
  await prefer(page, {});
  const { email, password } = await founded(page);
  const phone = await freshPage(browser);
  await signIn(phone, { email, password });
  await page.goto(`${base()}/crew`);
  await page.getByLabel('Password now').fill('not-this-one');
  await page.getByLabel('New password').fill('another-long-one');
  await page.getByRole('button', { name: 'Change the password' }).click();
  await expect(page.getByText('That is not the password.')).toBeVisible();
  await page.getByLabel('Password now').fill(password);
  await page.getByLabel('New password').fill('another-long-one');
  await page.getByRole('button', { name: 'Change the password' }).click();
  await expect(page.getByText('Changed. Every other place')).toBeVisible();
  // The phone is out.
  await phone.goto(`${base()}/jobs`);
  await expect(phone).toHaveURL(/sign-in/);

  await phone.getByRole('link', { name: 'Password forgotten?' }).click();
  await expect(phone.getByRole('heading', { name: 'Another password' })).toBeVisible();
  await phone.getByRole('button', { name: 'Send the link' }).click();
  await expect(phone.getByText('That is not an e-mail address.')).toBeVisible();
  await phone.getByLabel('E-mail').fill(email);
  await phone.getByRole('button', { name: 'Send the link' }).click();
  const told = 'If somebody signs in with that e-mail, a link is on its way to it.';
  await expect(phone.getByText(told)).toBeVisible();
  const stranger = await freshPage(browser);
  await stranger.goto(`${base()}/forgot`);
  await stranger.getByLabel('E-mail').fill(`nobody-${mark()}@crew.example`);
  await stranger.getByRole('button', { name: 'Send the link' }).click();
  await expect(stranger.getByText(told)).toBeVisible();

  await phone.goto(`${base()}/mail`);
  const letter = phone.getByRole('article').filter({ hasText: email });
  await letter.getByRole('link').click();
  await phone.getByLabel('New password').fill('short');
  await phone.getByRole('button', { name: 'Change the password' }).click();
  await expect(phone.getByText('At least 8 characters.')).toBeVisible();
  await phone.getByLabel('New password').fill('chosen-by-the-link');
  await phone.getByRole('button', { name: 'Change the password' }).click();
  await expect(phone.getByText('Sign in with it')).toBeVisible();
  // The link is used, and the page that was signed in is out.
  await phone.reload();
  await expect(phone.getByRole('alert')).toContainText('ended, or was used');
  await page.goto(`${base()}/jobs`);
  await expect(page).toHaveURL(/sign-in/);
  await signIn(page, { email, password: 'chosen-by-the-link' });
});

test('a session is seen and ended from another', async ({ page, browser }) => {
  await prefer(page, {});
  const person = await founded(page);
  const phone = await freshPage(browser);
  await signIn(phone, person);
  await page.goto(`${base()}/crew`);
  const sessions = page.locator('[data-sessions]');
  await expect(sessions).toHaveAttribute('data-sessions', '2');
  await sessions.getByRole('button').click();
  await expect(sessions).toHaveAttribute('data-sessions', '1');
  await phone.goto(`${base()}/jobs`);
  await expect(phone).toHaveURL(/sign-in/);
});
