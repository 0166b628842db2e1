/**
 * The main journey in every engine people have on their phones: sign in, a job, a number pressed and typed,
 * the night, the order, a note, a shot in the hole, the sheet. Debian's own browsers by their standard
 * protocols; one that is not installed is told, and fails where all are wanted (`--all`).
 */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { DEMO_PERSON } from '../web/db/demo-people.ts';
import serve from '../web/e2e/serve.ts';
import { blink } from './engines/blink.ts';
import { gecko } from './engines/gecko.ts';
import { type Hands, until } from './engines/hands.ts';
import { DRIVER, webkit } from './engines/webkit.ts';

const ENGINES = [
  { name: 'Blink', open: blink, needs: '/usr/bin/chromium-headless-shell' },
  { name: 'Gecko', open: gecko, needs: '/usr/bin/firefox-esr' },
  { name: 'WebKit', open: webkit, needs: DRIVER },
] as const;

const wanted = process.argv.slice(2).filter((one) => !one.startsWith('--'));
const all = process.argv.includes('--all');
const pictures = process.env.PICTURES ?? null;

/** A page that has come rests after so long, ms. */
const RESTS = 2000;

const typedIn = (selector: string) => `document.querySelector(${JSON.stringify(selector)})?.value`;
const textOf = (selector: string) => `document.querySelector(${JSON.stringify(selector)})?.textContent`;

async function journey(hands: Hands, base: string): Promise<void> {
  const shot = async (name: string) => {
    if (pictures) await hands.shot(join(pictures, `${hands.name}-${name}.png`));
  };
  await hands.open(`${base}/sign-in`);
  await hands.press('input[name=email]');
  await hands.type(DEMO_PERSON.email);
  await hands.key('Tab');
  await hands.type(DEMO_PERSON.password);
  await hands.key('Enter');
  await until(hands, `document.querySelector('[data-jobs]') !== null`);
  await hands.press('form:has(select[name=demo]) button[type=submit]');
  await until(hands, `document.querySelector('[data-desk=live]') !== null`);

  // A number pressed is selected: what is typed takes its place, and every key of it.
  await hands.press('[data-stage=levels]');
  const string = '[data-side] [data-quantity="levels.string"]';
  await hands.press(string);
  const before = await hands.ask<string>(typedIn(string));
  const part = await hands.ask<[number, number]>(
    `[document.activeElement.selectionStart, document.activeElement.selectionEnd]`,
  );
  if (part[0] !== 0 || part[1] !== before.length)
    throw new Error(`${hands.name}: selected ${part} of ${before}`);
  await hands.type('100.75');
  await until(hands, `${typedIn(string)} === '100.75'`);
  await hands.key('Enter');
  await until(hands, `document.querySelector('[data-saving=saved]') !== null`);
  await shot('number');

  await hands.press('[data-stage=water]');
  await hands.press('[role=tab][data-lower=night]');
  await until(hands, `document.querySelector('[data-lower=night][aria-selected=true]') !== null`);
  await until(hands, `document.querySelector('main svg path') !== null`);
  await shot('night');
  await hands.press('[data-stage=dig]');
  await hands.press('[role=tab][data-lower=order]');
  await until(hands, `document.querySelector('[data-step]') !== null`);
  await shot('order');
  await hands.press('[data-stage=log]');
  await hands.press('[data-log-note] input');
  await hands.type('Boulder in the east end');
  await hands.press('[data-log-note] button');
  await until(hands, `${textOf('[data-record=note]')}?.includes('Boulder')`);

  const job = await hands.ask<string>(`location.pathname.split('/').pop()`);
  const answer = `fetch('/jobs/${job}/dig-sheet.pdf').then((made) => { window.sheet = made.status })`;
  await hands.ask(`void (${answer})`);
  await until(hands, 'window.sheet === 200');

  await hands.open(`${base}/hole?job=${job}`);
  await until(hands, `document.querySelector('[data-go]') !== null`);
  const things = await hands.ask<string[]>(
    `[...document.querySelectorAll('[data-go]')].map((one) => one.getAttribute('data-go'))`,
  );
  // The first of which not all is shot.
  for (const thing of things) {
    await hands.open(`${base}/hole?job=${job}&at=${thing}`);
    await until(hands, `document.querySelector('[data-point]') !== null`);
    if (await hands.ask<boolean>(`document.querySelector('[data-point="-1"]') === null`)) break;
  }
  // What is worked out anew may put another line over the keys.
  await new Promise((done) => setTimeout(done, RESTS));
  const reading = await hands.ask<string>(textOf('[data-wanted-reading]'));
  const shown = String(Math.round(Number(/[\d.]+/.exec(reading)?.[0]) * 1000) + 4);
  for (const figure of shown) {
    const key = `[...document.querySelectorAll('[data-keypad] button')].findIndex((one) => one.textContent === '${figure}')`;
    const at = (await until<number>(hands, `${key} + 1`)) as number;
    await hands.ask(
      `document.querySelectorAll('[data-keypad] button')[${at - 1}].setAttribute('data-next-figure', '')`,
    );
    await hands.press('[data-next-figure]');
    await hands.ask(`document.querySelector('[data-next-figure]').removeAttribute('data-next-figure')`);
  }
  await hands.press('[data-log]');
  await until(hands, `${textOf('[data-verdict-text]')}?.length > 0`);
  await shot('shot');
  if (pictures) await dark(hands, `${base}/jobs/${job}`, shot);
}

/** What only a picture shows: the night's colours on what the browser draws itself, and the heads of a phone. */
async function dark(hands: Hands, job: string, shot: (name: string) => Promise<void>): Promise<void> {
  const prefs = encodeURIComponent(JSON.stringify({ lang: 'en', theme: 'night', system: 'metric' }));
  await hands.ask(`void (document.cookie = 'cimiento_prefs=${prefs}; Path=/')`);
  await hands.open(job);
  await until(hands, `document.querySelector('[data-desk=live]') !== null`);
  for (const stage of ['ground', 'base', 'water']) {
    await hands.press(`[data-stage=${stage}]`);
    await new Promise((done) => setTimeout(done, RESTS));
    await shot(`dark-${stage}`);
  }
  await hands.size(390, 844);
  await hands.open(job);
  await until(hands, `document.querySelector('[data-desk=live]') !== null`);
  // The one press on a phone's desk that opens and shuts.
  await hands.press('button[aria-expanded=false]');
  await hands.press('[data-stage=water]');
  await hands.press('[role=tab][data-lower=night]');
  await until(hands, `document.querySelector('[data-lower=night][aria-selected=true]') !== null`);
  await hands.ask(`document.querySelector('[data-lower=night]').scrollIntoView({ block: 'center' })`);
  await new Promise((done) => setTimeout(done, RESTS));
  await shot('dark-phone');
}

/** @returns what went wrong, null: nothing */
async function driven(open: () => Promise<Hands>): Promise<string | null> {
  let hands: Hands | null = null;
  try {
    hands = await open();
    await journey(hands, process.env.BASE_URL ?? '');
    return null;
  } catch (error) {
    if (pictures && hands) await hands.shot(join(pictures, `${hands.name}-failed.png`)).catch(() => {});
    return error instanceof Error ? error.message : String(error);
  } finally {
    await hands?.close().catch(() => {});
  }
}

const stop = await serve();
let passed = 0;
let failed = 0;
for (const { name, open, needs } of ENGINES) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  if (!existsSync(needs)) {
    console.log(`${name}: not installed (${needs})`);
    if (all) failed++;
    continue;
  }
  const began = Date.now();
  const took = () => `${((Date.now() - began) / 1000).toFixed(1)} s`;
  const first = await driven(open);
  // On a loaded machine it may be tried a second time; that it was is told.
  const fault = first === null ? null : await driven(open);
  if (fault === null) passed++;
  else failed++;
  if (first !== null) console.error(`${name}: the first time: ${first}`);
  console.log(fault === null ? `${name}: ok (${took()})` : `${name}: FAILED: ${fault}`);
}
await stop();
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed > 0 || passed === 0 ? 1 : 0);
