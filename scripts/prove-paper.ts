/**
 * Prints every sheet of every demo in every language and both systems, in three drawn orders, all by this
 * one process, and reads each back from the finished file. `npm run prove:paper [-- seed]`
 */
import { LANGS, type System } from '@cimiento/core';
import { seeded } from '../core/src/random/index.ts';
import { loadMessages, makeI18n, wordsOf } from '../web/app/messages/i18n.ts';
import { missingFrom } from '../web/app/paper/read-back.server.ts';
import { SHEET_IDS, SHEETS } from '../web/app/paper/sheets.ts';
import { DEMOS, demoJob } from '../web/app/server/jobs.server.ts';

const ORDERS = 3;
const SYSTEMS: readonly System[] = ['metric', 'imperial'];
const seed = Number(process.argv[2] ?? 1);
const next = seeded(seed);

const all = DEMOS.flatMap((demo) =>
  SHEET_IDS.flatMap((sheet) =>
    LANGS.flatMap((lang) => SYSTEMS.map((system) => ({ demo, sheet, lang, system }))),
  ),
);
const jobs = new Map(await Promise.all(DEMOS.map(async (demo) => [demo, await demoJob(demo)] as const)));
let wrong = 0;
let texts = 0;
const start = performance.now();
for (let order = 1; order <= ORDERS; order++) {
  const drawn = all
    .map((one) => ({ one, at: next() }))
    .sort((p, q) => p.at - q.at)
    .map(({ one }) => one);
  for (const [i, { demo, sheet, lang, system }] of drawn.entries()) {
    const t = wordsOf(makeI18n(lang, await loadMessages(lang)));
    const printed = await SHEETS[sheet].make({
      ...jobs.get(demo)!,
      revision: 1,
      savedAt: new Date(Date.UTC(2026, 0, 1)),
      lang,
      system,
      zone: 'UTC',
      t,
    });
    texts += printed.said.length;
    const missing = await missingFrom(printed);
    if (missing.texts.length > 0 || missing.over !== '') {
      wrong++;
      console.log(
        `order ${order}, ${i}: ${sheet} ${demo} ${lang} ${system}`,
        JSON.stringify(missing).slice(0, 400),
      );
    }
    if (i % 100 === 99) console.log(`order ${order}: ${i + 1} of ${drawn.length}`);
  }
}
const seconds = ((performance.now() - start) / 1000).toFixed(0);
console.log(
  `seed ${seed}: ${ORDERS * all.length} sheets, ${texts} texts read back in ${seconds} s: ${wrong} sheets wrong`,
);
process.exitCode = wrong > 0 ? 1 : 0;
