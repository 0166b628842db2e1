import {
  blankPlan,
  compute,
  firstJob,
  type Lang,
  NOTHING_SAID,
  type Plan,
  pencilledOf,
  type SiteRecord,
  type System,
} from '@cimiento/core';
import { simulatedJob } from '@cimiento/simulators';
import { describe, expect, it } from 'vitest';
import { en } from '../messages/en.ts';
import { es } from '../messages/es.ts';
import { makeI18n, wordsOf as wording } from '../messages/i18n.ts';
import { demoJob } from '../server/jobs.server.ts';
import { makeFormat } from '../ui/format.tsx';
import { basePdf } from './base-sheet.server.tsx';
import { digSheet } from './dig/dig-sheet.server.tsx';
import { rowsOf } from './dig/rows.ts';
import type { SheetInput } from './frame.tsx';
import { inspectionPdf } from './inspection-sheet.server.tsx';
import { lettersOf, missingFrom } from './read-back.server.ts';
import { recordPdf } from './record-sheet.server.tsx';

/** The words of every page. */
const wordsOf = async (pdf: Uint8Array): Promise<string[]> =>
  (await lettersOf(pdf)).map((items) =>
    items
      .map(({ text }) => text)
      .join(' ')
      .replace(/\s+/g, ' '),
  );

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
const sheet = async (plan: Plan, wanted: Wanted = {}) => (await digSheet(inputOf(plan, wanted))).pdf;

describe('the dig sheet', () => {
  it.each([
    ['honey-house', 'en', 'metric', '595.28'],
    ['honey-house', 'es', 'imperial', '612'],
    ['bell-frame', 'es', 'metric', '595.28'],
    ['drying-barn', 'en', 'imperial', '612'],
    ['footbridge', 'en', 'metric', '595.28'],
    ['cheese-vault', 'es', 'imperial', '612'],
  ] as const)(
    'of %s in %s, %s, is on its paper, %s wide, each page of use alone',
    async (demo, lang, system, width) => {
      const { plan, records } = await demoJob(demo);
      const pdf = await sheet(plan, { records, lang, system });
      const bytes = Buffer.from(pdf).toString('latin1');
      expect(bytes.startsWith('%PDF-')).toBe(true);
      expect(bytes).toContain(`/MediaBox [0 0 ${width}`);
      expect(bytes).toContain(lang === 'es' ? '/Lang (es)' : '/Lang (en)');
      const words = lang === 'es' ? es : en;
      const takeoff = compute(plan, records);
      const stops = takeoff.cautions.filter(({ weight }) => weight === 'stop');
      const pages = await wordsOf(pdf);
      for (const page of pages) {
        expect(page).toContain(plan.name);
        expect(page).toContain(words.caution.defer.title);
        if (stops.length > 0) expect(page).toMatch(new RegExp(`${stops.length} (hold|paro)`, 'i'));
      }
      // Stops come before the plan that could be dug by.
      if (stops.length > 0)
        expect(pages[0]!.indexOf(`${words.caution.stop} ·`)).toBeLessThan(pages[0]!.indexOf(words.sheet.key));
      // A card for each thing dug otherwise, under its own string.
      const rows = rowsOf(plan, takeoff, makeFormat(lang, system));
      const cards = pages.filter((page) => page.includes(words.sheet.tops));
      expect(cards).toHaveLength(Math.ceil(rows.length / 3));
    },
  );
  it.each([
    ['honey-house', 'metric'],
    ['honey-house', 'imperial'],
    ['drying-barn', 'metric'],
    ['cheese-vault', 'imperial'],
    ['reading-room', 'metric'],
    ['footbridge', 'imperial'],
  ] as const)(
    'of %s, %s: no letters lie over others, and depths are read at arm’s length',
    async (demo, system) => {
      const { plan, records } = await demoJob(demo);
      const pages = await lettersOf(await sheet(plan, { records, system }));
      const takeoff = compute(plan, records);
      const format = makeFormat('en', system);
      for (const { formation, info } of rowsOf(plan, takeoff, format)) {
        const depth = format.parts(
          info.string.level - formation,
          'length',
          system === 'metric' ? { decimals: 3 } : {},
        ).number;
        const large = pages.flat().filter(({ text, height }) => text.startsWith(depth) && height >= 20);
        expect(large.length, depth).toBeGreaterThanOrEqual(2);
      }
      // Letters reach from a little under their line to about three quarters of their size over it.
      const covered = pages.flatMap((page) => {
        const said = page.filter(({ text }) => text.trim() !== '');
        return said.flatMap((p, i) =>
          said
            .slice(i + 1)
            .filter(
              (q) =>
                p.x < q.x + q.width - 1 &&
                q.x < p.x + p.width - 1 &&
                p.y < q.y + 0.66 * q.height &&
                q.y < p.y + 0.66 * p.height,
            )
            .map((q) => `“${p.text}” over “${q.text}”`),
        );
      });
      expect(covered).toEqual([]);
    },
  );
  it('of a job that stands on assumptions writes them in pencil; once they are settled in ink', async () => {
    const said = {
      ...NOTHING_SAID,
      kind: 'pads',
      length: 8,
      width: 4,
      frost: 0.95,
      water: 1.2,
    } as const;
    const plan = firstJob('Pencil', 'metric', said);
    const grey = async (of: Plan) => (await wordsOf(await sheet(of))).join(' ');
    expect(await grey(plan)).toContain(en.sheet.pencilMark);
    expect(await grey({ ...plan, assumed: [] })).not.toContain(en.sheet.pencilMark);
    const [info] = compute(plan, []).elements;
    expect(pencilledOf(plan, info!)).toEqual({ depth: true, width: true, sides: true });
    expect(pencilledOf({ ...plan, assumed: [] }, info!)).toEqual({
      depth: false,
      width: false,
      sides: false,
    });
  });
  it('counts the pages there are where one ran on', async () => {
    const { plan } = await demoJob('honey-house');
    // A contact that takes half a page pushes the last page over.
    plan.emergencyContact =
      `${'Site office, by the gate, ask for whoever keeps the keys. '.repeat(3)}`.trim();
    plan.elements.forEach((element, i) => {
      element.name = `${element.name} of the long wall by the old road ${i}`;
    });
    const pages = await wordsOf(await sheet(plan));
    for (const [i, page] of pages.entries()) expect(page).toContain(`Page ${i + 1} of ${pages.length}`);
  });
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
      const pages = await wordsOf((await basePdf(inputOf(plan, { records, lang }))).pdf);
      const all = pages.join(' ');
      const words = (lang === 'es' ? es : en).proof.state;
      for (const state of ['toCome', 'failed', 'released'] as const) expect(all).toContain(words[state]);
      expect(all).toContain('Eng. Sol');
      // 1839/2019, then 1933 and 1946 after the rework.
      expect(all).toMatch(/91[.,]1\s?%.*95[.,]7\s?%.*96[.,]4\s?%/);
    },
  );
  it.each(['metric', 'imperial'] as const)(
    'in %s heads its table once a bed and page, and no head stands alone at a page’s end',
    async (system) => {
      const { plan, records } = await demoJob('honey-house');
      const pages = await lettersOf((await basePdf(inputOf(plan, { records, system }))).pdf);
      const { beds } = compute(plan, records);
      const heads = pages.map((page) => page.filter(({ text }) => text === en.baseSheet.lift));
      const runOn = heads.filter((own, i) => i > 0 && own.length > 0).length;
      const all = heads.flat().length;
      expect(all).toBeGreaterThanOrEqual(beds.length);
      expect(all).toBeLessThanOrEqual(beds.length + runOn);
      for (const [i, own] of heads.entries())
        for (const head of own) {
          const under = pages[i]!.filter(({ y }) => y < head.y && y > 40).map(({ text }) => text);
          expect(under.some((text) => / 1 of | 2 of /.test(text))).toBe(true);
        }
    },
  );
  it('of a job without beds says so', async () => {
    const pages = await wordsOf((await basePdf(inputOf(blankPlan('Empty', 'metric'), {}))).pdf);
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
    const [page] = await wordsOf(
      (await recordPdf({ ...inputOf(plan, { records }), zone: 'America/Denver' })).pdf,
    );
    expect(page).toMatch(/30 Apr 2026\s+21:30/);
    expect(page).toContain('America/Denver');
    expect(page).toMatch(/taken back: seen number\s+1/);
  });

  it('prints everything in the order of time, whatever order it comes in', async () => {
    const { plan } = await demoJob('bell-frame');
    const records = Array.from({ length: 120 }, (_, i) => record(i));
    const shuffled = [...records.slice(60), ...records.slice(0, 60).reverse()];
    const pages = await wordsOf((await recordPdf(inputOf(plan, { records: shuffled }))).pdf);
    expect(pages.length).toBeGreaterThan(2);
    const found = [...pages.join(' ').matchAll(/seen number (\d+)\./g)].map((match) => Number(match[1]));
    expect(found).toEqual(records.map((_, i) => i));
  });
  it('of a job on which nothing was logged says so', async () => {
    const { plan } = await demoJob('bell-frame');
    const pages = await wordsOf((await recordPdf(inputOf(plan, {}))).pdf);
    expect(pages).toHaveLength(1);
    expect(pages[0]).toContain(en.record.none);
  });
});

describe('the inspection sheet', () => {
  it('says who let what be covered, every shot in a word, and what others have ordered; read back whole', async () => {
    const { plan, records } = await demoJob('honey-house');
    const printed = await inspectionPdf(inputOf(plan, { records }));
    expect((await missingFrom(printed)).texts).toEqual([]);
    const text = (await wordsOf(printed.pdf)).join(' ').replace(/\s+/g, ' ');
    expect(text).toContain('Bottom T1');
    expect(text).toContain('released: R. Vado, inspector');
    expect(text).toContain('corner 6 made up with lean, seen');
    expect(text).toContain('58 low: make up');
    expect(text).toMatch(/T4: width: 750 mm in place of 600 mm/);
    const nothing = await inspectionPdf(inputOf(blankPlan('Empty', 'metric'), { lang: 'es' }));
    expect((await wordsOf(nothing.pdf)).length).toBe(1);
  });
});
