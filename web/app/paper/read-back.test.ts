/**
 * Every sheet, in every language and both systems, printed one after the other by one process, reads back
 * to the letter: what one document did to the faces once cost the next its metres ("2.198" → ".198").
 */
import { LANGS, type Lang, type System } from '@cimiento/core';
import { Font, Text } from '@react-pdf/renderer';
import fc from 'fast-check';
import { createElement } from 'react';
import { describe, expect, it } from 'vitest';
import { drawnCases } from '../../../core/src/testing.ts';
import { loadMessages, makeI18n, wordsOf } from '../messages/i18n.ts';
import { DEMOS, type Demo, demoJob } from '../server/jobs.server.ts';
import { makeFormat } from '../ui/format.tsx';
import { SheetFrame, type SheetInput } from './frame.tsx';
import { type Printed, print } from './print.server.ts';
import { isFigure, missingFrom } from './read-back.server.ts';
import { SHEET_IDS, SHEETS, type SheetId } from './sheets.ts';
import { FACES } from './style.server.ts';

async function inputOf(demo: Demo, lang: Lang, system: System): Promise<SheetInput> {
  const t = wordsOf(makeI18n(lang, await loadMessages(lang)));
  const job = await demoJob(demo);
  return { ...job, lang, system, t, revision: 3, savedAt: new Date('2026-11-24T08:00:00Z'), zone: 'UTC' };
}
const whole = { texts: [], over: '' };
const reads = async (sheet: SheetId, demo: Demo, lang: Lang, system: System) =>
  missingFrom(await SHEETS[sheet].make(await inputOf(demo, lang, system)));

/** A page of texts in the narrow face. */
async function page(...texts: string[]): Promise<Printed> {
  const input = await inputOf('bell-frame', 'en', 'metric');
  const lines = texts.map((text) =>
    createElement(Text, { key: text, style: { fontFamily: 'Figures', fontSize: 14 } }, text),
  );
  return print(() =>
    SheetFrame({ ...input, title: 'x', problems: [], format: makeFormat('en', 'metric'), pages: [lines] }),
  );
}

/** As in a process that has printed nothing yet. */
function freshFaces(): void {
  const all = Font.getRegisteredFonts();
  for (const { fontFamily } of FACES)
    for (const source of all[fontFamily]!.sources as unknown as {
      data: unknown;
      loadResultPromise: unknown;
    }[])
      Object.assign(source, { data: null, loadResultPromise: null });
}

describe('a printed sheet', () => {
  it('in metres keeps its metres after one that used "·" before any "."', async () => {
    freshFaces();
    expect(await missingFrom(await page('B1 · T1', 'ñandú'))).toEqual(whole);
    expect(await reads('dig', 'honey-house', 'en', 'metric')).toEqual(whole);
  }, 60_000);

  it('of drawn texts reads back, in whatever order letters are first used', async () => {
    const letter = fc.constantFrom(...'0123456789.,·…–-⁄/½ñÑéÉíóúü:;"\'’ fil()%°×±²³µ');
    await fc.assert(
      fc.asyncProperty(
        fc.uniqueArray(fc.string({ unit: letter, minLength: 3, maxLength: 12 }), { maxLength: 8 }),
        async (texts) => {
          freshFaces();
          expect(await missingFrom(await page(...texts))).toMatchObject(whole);
        },
      ),
      { numRuns: drawnCases(40), seed: 7 },
    );
  }, 60_000);

  it('of every kind, language and system reads back in drawn orders', async () => {
    const all = SHEET_IDS.flatMap((sheet) =>
      LANGS.flatMap((lang) => (['metric', 'imperial'] as const).map((system) => ({ sheet, lang, system }))),
    );
    await fc.assert(
      fc.asyncProperty(
        fc.shuffledSubarray(all, { minLength: 7, maxLength: 10 }),
        fc.constantFrom(...DEMOS),
        async (order, demo) => {
          for (const { sheet, lang, system } of order)
            expect(await reads(sheet, demo, lang, system), `${sheet} ${demo} ${lang} ${system}`).toEqual(
              whole,
            );
        },
      ),
      { numRuns: drawnCases(8), seed: 11, endOnFailure: true },
    );
  }, 300_000);

  it('that lost a digit, a point or a row is not whole; what it lacks is named', async () => {
    const printed = await SHEETS.dig.make(await inputOf('honey-house', 'en', 'metric'));
    const depth = printed.said.find(({ text }) => /^\d\.\d{2,3}\sm$/.test(text))!;
    for (const wrong of [depth.text.slice(1), depth.text.replace('.', ''), `1${depth.text}`]) {
      const said = printed.said.map((one) => (one === depth ? { ...one, text: wrong } : one));
      const missing = await missingFrom({ ...printed, said });
      expect({ missing: missing.texts.length, over: missing.over }, wrong).not.toEqual({
        missing: 0,
        over: '',
      });
    }
    const more = [...printed.said, { text: '9.876 m', everyPage: false, cut: false }];
    const { texts } = await missingFrom({ ...printed, said: more });
    expect(texts.filter(isFigure)).toEqual(['9.876 m']);
  }, 60_000);
});
