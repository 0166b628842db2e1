import { createRequire } from 'node:module';
import { pathToFileURL } from 'node:url';
import { blankPlan, type Lang, type Plan, type SiteRecord, type System } from '@cimiento/core';
import { simulatedJob } from '@cimiento/simulators';
import { describe, expect, it } from 'vitest';
import { en } from '../messages/en.ts';
import { es } from '../messages/es.ts';
import { makeI18n } from '../messages/i18n.ts';
import { wordsOf as wording } from '../messages/useTranslation.ts';
import { demoJob } from '../server/jobs.server.ts';
import { basePdf } from './base-sheet.server.tsx';
import type { SheetInput } from './frame.tsx';
import { recordPdf } from './record-sheet.server.tsx';
import { digSheet } from './sheet.server.tsx';

const require = createRequire(import.meta.url);

/** The words of every page, as a reader of the PDF finds them. */
async function wordsOf(pdf: Uint8Array): Promise<string[]> {
  const { getDocument } = (await import(
    pathToFileURL(require.resolve('pdfjs-dist/legacy/build/pdf.mjs')).href
  )) as typeof import('pdfjs-dist');
  const read = await getDocument({ data: new Uint8Array(pdf), useSystemFonts: false, verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let n = 1; n <= read.numPages; n++) {
    const { items } = await (await read.getPage(n)).getTextContent();
    pages.push(
      items
        .map((item) => ('str' in item ? item.str : ''))
        .join(' ')
        .replace(/\s+/g, ' '),
    );
  }
  return pages;
}

interface Wanted {
  readonly records?: readonly SiteRecord[];
  readonly lang?: Lang;
  readonly system?: System;
}
function inputOf(plan: Plan, { records = [], lang = 'en', system = plan.system }: Wanted): SheetInput {
  const t = wording(makeI18n(lang, lang === 'en' ? en : es));
  return {
    plan,
    records,
    revision: 3,
    savedAt: new Date('2026-11-24T08:00:00Z'),
    lang,
    system,
    zone: 'UTC',
    t,
  };
}
const sheet = async (plan: Plan, wanted: Wanted = {}) => digSheet(inputOf(plan, wanted));

describe('the dig sheet', () => {
  it.each([
    ['honey-house', 'en', 'metric', '595.28', 2],
    ['honey-house', 'es', 'imperial', '612', 2],
    ['bell-frame', 'es', 'metric', '595.28', 1],
    ['bell-frame', 'en', 'imperial', '612', 1],
  ] as const)(
    'of %s in %s, %s, is on its paper, %s wide, %i pages',
    async (demo, lang, system, width, count) => {
      const pdf = await sheet((await demoJob(demo)).plan, { lang, system });
      const bytes = Buffer.from(pdf).toString('latin1');
      expect(bytes.startsWith('%PDF-')).toBe(true);
      expect(bytes).toContain(`/MediaBox [0 0 ${width}`);
      expect(bytes).toContain(lang === 'es' ? '/Lang (es)' : '/Lang (en)');
      const pages = await wordsOf(pdf);
      expect(pages).toHaveLength(count);
      expect(pages.join(' ')).toContain((lang === 'es' ? es : en).caution.defer.title);
    },
  );
  it('of an empty job still says who decides', async () => {
    const pages = await wordsOf(await sheet(blankPlan('Empty', 'metric')));
    expect(pages).toHaveLength(1);
    expect(pages[0]).toContain(en.caution.defer.title);
    expect(pages[0]).toContain(en.caution.defer.text.slice(0, 40));
  });
  it('of a large job runs on: every element is on some page, and the last still says who decides', async () => {
    const plan = simulatedJob(80);
    const pages = await wordsOf(await sheet(plan));
    expect(pages.length).toBeGreaterThan(1);
    const all = ` ${pages.join(' ')} `;
    for (const { name } of plan.elements) expect(all).toMatch(new RegExp(`[ ,]${name}[ ,]`));
    expect(all).toContain(en.caution.defer.title);
  });
});

describe('the base sheet', () => {
  it.each(['en', 'es'] as const)(
    'of the Reading room in %s tells every lift, its tests and who released it',
    async (lang) => {
      const { plan, records } = await demoJob('reading-room');
      const pages = await wordsOf(await basePdf(inputOf(plan, { records, lang })));
      const all = pages.join(' ');
      const words = (lang === 'es' ? es : en).proof.state;
      for (const state of ['open', 'failed', 'released'] as const) expect(all).toContain(words[state]);
      expect(all).toContain('Eng. Sol');
      // 1839/2019, then 1933 and 1946 after the rework.
      expect(all).toMatch(/91[.,]1\s?%.*95[.,]7\s?%.*96[.,]4\s?%/);
    },
  );
  it('of a job without beds says so', async () => {
    const pages = await wordsOf(await basePdf(inputOf(blankPlan('Empty', 'metric'), {})));
    expect(pages).toHaveLength(1);
    expect(pages[0]).toContain(en.proof.noLifts);
  });
});

describe('the record sheet', () => {
  const record = (n: number, more: Partial<SiteRecord> = {}): SiteRecord =>
    ({
      id: `r${n}`,
      kind: 'note',
      at: new Date(Date.UTC(2026, 4, 1, 6, n)).toISOString(),
      by: 'Ana Sol',
      element: null,
      place: null,
      corrects: null,
      value: { text: `seen number ${n}.` },
      ...more,
    }) as SiteRecord;

  it('tells the time by the reader’s clock, and what was taken back', async () => {
    const { plan } = await demoJob('bell-frame');
    const at = '2026-05-01T03:30:00.000Z';
    const records = [record(1, { at }), record(2, { corrects: 'r1', value: null })];
    const [page] = await wordsOf(await recordPdf({ ...inputOf(plan, { records }), zone: 'America/Denver' }));
    expect(page).toMatch(/30 Apr 2026\s+21:30/);
    expect(page).toContain('America/Denver');
    expect(page).toMatch(/taken back: seen number\s+1/);
  });

  it('prints everything in the order of time, whatever order it comes in', async () => {
    const { plan } = await demoJob('bell-frame');
    const records = Array.from({ length: 120 }, (_, i) => record(i));
    const shuffled = [...records.slice(60), ...records.slice(0, 60).reverse()];
    const pages = await wordsOf(await recordPdf(inputOf(plan, { records: shuffled })));
    expect(pages.length).toBeGreaterThan(2);
    const found = [...pages.join(' ').matchAll(/seen number (\d+)\./g)].map((match) => Number(match[1]));
    expect(found).toEqual(records.map((_, i) => i));
  });
  it('of a job on which nothing was logged says so', async () => {
    const { plan } = await demoJob('bell-frame');
    const pages = await wordsOf(await recordPdf(inputOf(plan, {})));
    expect(pages).toHaveLength(1);
    expect(pages[0]).toContain(en.record.none);
  });
});
