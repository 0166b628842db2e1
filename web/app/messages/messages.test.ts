import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import {
  AREA_USES,
  CAUSES,
  COMPACTOR_IDS,
  compute,
  DRAWN_LAYERS,
  ELEMENT_KINDS,
  FIGURE_IDS,
  KINDS,
  type Plan,
  RULE_SETS,
  SLOWED,
  SOIL_KINDS,
  STRIP_USES,
  SUPPORTS,
  WRITTEN,
} from '@cimiento/core';
import { readPlan } from '@cimiento/formats';
import { describe, expect, it } from 'vitest';
import { STAGES } from '../desk/stages.ts';
import { makeFormat } from '../parts/format.tsx';
import { cautionText, problemText } from '../parts/words.ts';
import { DEMOS } from '../server/jobs.server.ts';
import { en } from './en.ts';
import { es } from './es.ts';
import { makeI18n } from './i18n.ts';
import { wordsOf } from './useTranslation.ts';

type Tree = { readonly [key: string]: string | Tree };
const flat = (tree: Tree, at = ''): [string, string][] =>
  Object.entries(tree).flatMap(
    ([key, value]) =>
      (typeof value === 'string' ? [[`${at}${key}`, value]] : flat(value, `${at}${key}.`)) as [
        string,
        string,
      ][],
  );
const english = new Map(flat(en));
const spanish = new Map(flat(es));
const holes = (text: string) => [...text.matchAll(/\{\{(\w+)\}\}/g)].map((m) => m[1]).sort();
const known = (key: string) => english.has(key) || english.has(`${key}_other`);

function* sources(folder: string): Generator<string> {
  for (const name of readdirSync(folder)) {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) yield* sources(path);
    else if (/\.tsx?$/.test(name) && !name.includes('.test.')) yield path;
  }
}

describe('messages', () => {
  it('have the same keys and the same blanks in both languages', () => {
    expect([...spanish.keys()].sort()).toEqual([...english.keys()].sort());
    for (const [key, text] of english) expect([key, holes(spanish.get(key)!)]).toEqual([key, holes(text)]);
  });

  it.each(['en', 'es'])('of %s are in one file each: none writes over another’s', async (lang) => {
    const folder = join(import.meta.dirname, lang);
    const files: Record<string, object>[] = await Promise.all(
      readdirSync(folder).map((name) => import(join(folder, name))),
    );
    const keys = files.flatMap((file) => Object.values(file).flatMap((words) => Object.keys(words)));
    expect(keys.sort()).toEqual(Object.keys(lang === 'en' ? en : es).sort());
  });

  it('say something different in Spanish unless the word is the same', () => {
    const same = [...english].filter(
      ([key, text]) =>
        spanish.get(key) === text &&
        !/^base$/i.test(text) &&
        /[a-z]{4}/i.test(text.replace(/\{\{\w+\}\}/g, '')),
    );
    expect(same.map(([key]) => key)).toEqual([]);
  });

  it('hold every key the screens ask for', () => {
    const missing: string[] = [];
    for (const file of sources(join(import.meta.dirname, '..')))
      for (const [, key] of readFileSync(file, 'utf8').matchAll(/\bt\(\s*'([\w.-]+)'/g))
        if (!known(key!)) missing.push(key!);
    expect(missing).toEqual([]);
  });

  it('hold the words of every code the core may give', () => {
    const codes = [
      ...SOIL_KINDS.map((kind) => `soil.${kind}`),
      ...FIGURE_IDS.map((id) => `tally.${id}.name`),
      ...CAUSES.map((cause) => `work.overdig.${cause}`),
      ...SUPPORTS.map((support) => `ways.${support}`),
      ...AREA_USES.map((use) => `site.use.${use}`),
      ...STRIP_USES.map((use) => `dig.uses.${use}`),
      ...RULE_SETS.map((rules) => `dig.rules.${rules}`),
      ...ELEMENT_KINDS.flatMap((kind) => [
        `kinds.title.${kind}`,
        `kinds.name.${kind}`,
        `kinds.count.${kind}_one`,
      ]),
      ...DRAWN_LAYERS.map((layer) => `drawing.drawn.${layer}`),
      ...Object.keys(SLOWED).map((what) => `machine.slow.${what}`),
      ...COMPACTOR_IDS.map((id) => `compactor.${id}`),
      ...STAGES.map((stage) => `stage.${stage}`),
      ...['frost', 'bearing', 'stack', 'course', 'cover', 'drawn', 'instruction'].flatMap((rule) => [
        `rule.${rule}`,
        `decides.${rule}`,
      ]),
      ...['empty', 'tooLong', 'notANumber', 'unknownUnit', 'notFinite', 'range'].map(
        (code) => `field.${code}`,
      ),
    ];
    expect(codes.filter((code) => !known(code))).toEqual([]);
    expect(Object.keys(WRITTEN).every((kind) => kind in KINDS)).toBe(true);
  });
});

describe('what the core says', () => {
  const plans = DEMOS.map((name): Plan => {
    const read = readPlan(readFileSync(join(import.meta.dirname, `../../../demo/${name}.json`), 'utf8'));
    if (!read.ok) throw new Error(name);
    return read.plan;
  });

  it('becomes words in both languages and units, with no blank left open', () => {
    for (const lang of ['en', 'es'] as const)
      for (const system of ['metric', 'imperial'] as const)
        for (const plan of plans) {
          const t = wordsOf(makeI18n(lang, lang === 'en' ? en : es));
          const format = makeFormat(lang, system);
          const deeper = {
            ...plan,
            levels: {
              ...plan.levels,
              instructions: [
                {
                  id: 'w',
                  level: plan.levels.string - 9,
                  width: 0.9,
                  who: 'Eng. Sol',
                  when: '',
                  why: '',
                  elements: [],
                },
              ],
            },
          };
          // Heaps in the way and too near, a plot too small, a gate too narrow, held sides.
          const cramped: Plan = {
            ...deeper,
            dig: { ...plan.dig, support: 'shore' },
            site: {
              boundary: [
                [0, 0],
                [6, 0],
                [6, 5],
                [0, 5],
              ],
              gates: [{ id: 'g', name: 'Gate', at: [3, 0], width: 1 }],
              paths: [
                {
                  id: 'p',
                  name: 'Track',
                  width: 2,
                  points: [
                    [0, 1],
                    [9, 1],
                  ],
                },
              ],
              areas: [
                {
                  id: 'a',
                  name: 'Heap',
                  use: 'spoil',
                  points: [
                    [0, 0],
                    [9, 0],
                    [9, 9],
                    [0, 9],
                  ],
                },
              ],
            },
          };
          const crampedCodes = compute(cramped).cautions.map((caution) => caution.code);
          for (const code of ['rehandle', 'areaOutside', 'outsidePlot', 'gate', 'reach', 'shored'])
            expect(crampedCodes).toContain(code);
          for (const takeoff of [compute(plan), compute(deeper), compute(cramped)]) {
            for (const caution of takeoff.cautions) {
              const said = cautionText(t, format, caution);
              expect(`${said.title} ${said.text}`).not.toMatch(/\{\{|caution\.|NaN|–(?!\d)/);
            }
            for (const figure of Object.values(takeoff.figures))
              for (const working of figure.workings) {
                expect(known(`work.${working.step}`), working.step).toBe(true);
                for (const input of working.inputs)
                  expect(known(`input.${input.name}`), input.name).toBe(true);
              }
          }
          const broken = compute({ ...plan, ground: { ...plan.ground, knownTo: 0.1 } });
          expect(problemText(t, format, broken.problems[0]!)).not.toMatch(/\{\{|problem\./);
        }
  });
});
