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
  HAZARD_KINDS,
  HOLD_CODES,
  KINDS,
  LANGS,
  type Lang,
  type Plan,
  RULE_SETS,
  SLOWS,
  SOIL_KINDS,
  STRIP_USES,
  SUPPORTS,
  WRITTEN,
} from '@cimiento/core';
import { readPlan } from '@cimiento/formats';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMOS } from '../server/jobs.server.ts';
import { STAGES } from '../state/stages.ts';
import { makeFormat } from '../ui/format.tsx';
import { cautionText, problemText } from '../ui/words.ts';
import { en } from './en.ts';
import { es } from './es.ts';
import { loadMessages, makeI18n, wordsOf } from './i18n.ts';
import { inWords } from './words/rules.ts';

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
    // By what they are looked up by: those of one head may come in two files, early and late.
    const flat = (words: object, head = ''): string[] =>
      Object.entries(words).flatMap(([key, value]) =>
        typeof value === 'object' && value !== null ? flat(value, `${head}${key}.`) : [`${head}${key}`],
      );
    const keys = files.flatMap((file) => Object.values(file).flatMap((words) => flat(words)));
    expect(keys.sort()).toEqual(flat(lang === 'en' ? en : es).sort());
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
      ...ELEMENT_KINDS.flatMap((kind) => [`kinds.title.${kind}`, `kinds.count.${kind}_one`]),
      ...DRAWN_LAYERS.map((layer) => `drawing.drawn.${layer}`),
      ...SLOWS.map((what) => `machine.slow.${what}`),
      ...COMPACTOR_IDS.map((id) => `compactor.${id}`),
      ...HOLD_CODES.map((code) => `hold.${code}`),
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

  it('becomes words in every language and both units, with no blank left open', async () => {
    const says = await Promise.all(
      LANGS.map(async (lang) => ({ lang, t: wordsOf(makeI18n(lang, await loadMessages(lang))) })),
    );
    for (const plan of plans) {
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
          ways: [],
          strips: [],
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
      const takeoffs = [plan, deeper, cramped].map((one) => compute(one));
      const broken = compute({ ...plan, ground: { ...plan.ground, knownTo: 0.1 } });
      for (const figure of takeoffs.flatMap((takeoff) => Object.values(takeoff.figures)))
        for (const working of figure.workings) {
          expect(known(`work.${working.step}`), working.step).toBe(true);
          // It is also said in a sentence, whose blanks are what it goes by.
          const given = [...working.inputs.map(({ name }) => name), 'value'];
          if (working.value !== 0)
            expect(
              holes(english.get(`said.${working.step}`) ?? '{{none}}').filter(
                (hole) => !given.includes(hole!),
              ),
              working.step,
            ).toEqual([]);
          for (const input of working.inputs)
            expect(known(`${input.line ? 'work' : 'input'}.${input.name}`), input.name).toBe(true);
        }
      for (const { lang, t } of says)
        for (const system of ['metric', 'imperial'] as const) {
          const format = makeFormat(lang, system);
          for (const caution of takeoffs.flatMap(({ cautions }) => cautions)) {
            const said = cautionText(t, format, caution);
            expect(`${said.title} ${said.text}`).not.toMatch(/\{\{|caution\.|NaN|–(?!\d)/);
          }
          expect(problemText(t, format, broken.problems[0]!)).not.toMatch(/\{\{|problem\./);
        }
    }
  });
});

describe('whatever befalls a plan', () => {
  const plans = DEMOS.map((name): Plan => {
    const read = readPlan(readFileSync(join(import.meta.dirname, `../../../demo/${name}.json`), 'utf8'));
    if (!read.ok) throw new Error(name);
    return read.plan;
  });
  const metres = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  /** What makes a plan worse, or wrong: soils, water, frost, sides, hazards of every kind, levels far off. */
  const harm = fc.record({
    plan: fc.constantFrom(...plans),
    frost: fc.option(metres(0.1, 2.5)),
    water: fc.option(metres(-4, 1)),
    soil: fc.constantFrom(...SOIL_KINDS),
    slope: metres(0, 2),
    support: fc.constantFrom(...SUPPORTS),
    hazards: fc.array(fc.tuple(fc.constantFrom(...HAZARD_KINDS), metres(-6, 6), metres(-3, 1)), {
      maxLength: 4,
    }),
    confined: fc.option(fc.tuple(metres(-6, -2), metres(-2, 1))),
    knownTo: metres(0.1, 8),
    string: metres(-3, 3),
    word: fc.option(metres(-9, 2)),
  });

  it('is told in every language and both units: no key, no blank, no pointer', async () => {
    const says = await Promise.all(
      LANGS.map(async (lang) => ({ lang, t: wordsOf(makeI18n(lang, await loadMessages(lang))) })),
    );
    const raised = new Set<string>();
    fc.assert(
      fc.property(harm, (h) => {
        const base = h.plan.levels.string;
        const harmed: Plan = {
          ...h.plan,
          assumed: ['/ground/logs/0', '/levels/cover'],
          ground: {
            ...h.plan.ground,
            soils: h.plan.ground.soils.map((soil, i) => (i === 0 ? soil : { ...soil, kind: h.soil })),
            water: h.water === null ? null : base + h.water,
            frost: { ...h.plan.ground.frost, local: h.frost, climate: null },
            confined: h.confined && { top: base + h.confined[0], level: base + h.confined[1] },
            knownTo: h.knownTo,
            hazards: h.hazards.map(([kind, x, level], i) => ({
              id: `h${i}`,
              name: `H${i}`,
              kind,
              points: [
                [x, -5],
                [x, 9],
              ],
              keepOff: 3,
              depth: kind === 'service' ? 0.8 : null,
              level: base + level,
              projection: 0.3,
              crossing: null,
            })),
          },
          levels: {
            ...h.plan.levels,
            string: base + h.string,
            instructions:
              h.word === null
                ? []
                : [
                    {
                      id: 'w',
                      level: base + h.word,
                      width: 0.9,
                      who: 'Eng. Sol',
                      when: '',
                      why: '',
                      elements: [],
                    },
                  ],
          },
          dig: { ...h.plan.dig, slope: h.slope, support: h.support },
        };
        const { cautions, problems } = compute(harmed);
        for (const { code } of [...cautions, ...problems]) raised.add(code);
        for (const { t, lang } of says) {
          const format = makeFormat(lang, lang === 'en-US' ? 'imperial' : 'metric');
          for (const caution of cautions) {
            const said = cautionText(t, format, caution);
            expect(`${said.title} ${said.text}`).not.toMatch(/\{\{|caution\.|NaN|undefined/);
          }
          for (const problem of problems)
            expect(problemText(t, format, problem)).not.toMatch(
              /\{\{|problem\.|NaN|undefined|\/(elements|ground|levels|dig|water)\//,
            );
        }
      }),
      { numRuns: 60 },
    );
    expect(raised.size).toBeGreaterThan(24);
  });
});

describe('a crew’s own words', () => {
  const told = async (lang: Lang) => new Map(flat(await loadMessages(lang)));
  const COUNTRIES = LANGS.filter((lang) => lang.includes('-'));

  it.each(COUNTRIES)('of %s keep every key and every blank', async (lang) => {
    const words = await told(lang);
    expect([...words.keys()].sort()).toEqual([...english.keys()].sort());
    for (const [key, text] of words) {
      expect([key, holes(text)]).toEqual([key, holes(english.get(key)!)]);
      expect(text.trim()).not.toBe('');
    }
  });

  // What a crew there calls it, and what it never says.
  it.each([
    ['en-US', 'tally.lean.name', 'Mud slab', /\b(lean concrete|blinding|formation|trial pits?|haul away)\b/i],
    ['en-US', 'staff.formation', 'subgrade', /\b(set.out|neighbours?|membrane|datum)\b/i],
    ['en-US', 'boards.title', 'Batter boards and strings', /\bbatter batter\b/i],
    ['en-GB', 'tally.lean.name', 'Blinding', /\blean concrete\b|\brising rising\b/i],
    ['en-GB', 'boards.title', 'Profiles and strings', /\bhaul away\b/i],
    ['en-GB', 'work.lifts', 'Lifts', /\bmembrane\b|\blayers? and layers?\b/i],
    ['en-GB', 'trucks.title', 'Tippers', /\btippers? (mixer|concrete)\b/i],
    ['en-US', 'trucks.title', 'Dump trucks', /\bdownpipes?\b|\bring(s|ing)? (the|who|a)\b|0\.075/i],
    ['en-US', 'pour.truck', 'Concrete truck', /\bconcrete dump\b|\bpetrol\b/i],
    ['es-ES', 'tally.lean.name', 'Hormigón de limpieza', /\b(hormigón pobre|cucharón|acá|caño)(?!\p{L})/iu],
    ['es-MX', 'tally.lean.name', 'Plantilla', /hormigón|calicata|entib|recalce|pobre(?!\p{L})/iu],
    ['es-MX', 'site.log', 'Pozo a cielo abierto {{name}}', /\b(la|una|las|otras) pozos? a cielo/i],
    ['es-MX', 'dig.uses.underpin', 'una recimentación', /\b(un|el|del|al) recimentación/i],
    ['es-PE', 'tally.lean.name', 'Solado', /hormigón|recalce|pobre(?!\p{L})/iu],
    ['es-ES', 'pours.title', 'Hormigonados', /\b(col(ar|ad[ao]s?)|se cuela|vacia(r|d[ao]s?))(?!\p{L})/iu],
    ['es-MX', 'pours.title', 'Colados', /hormigon|\b(el|del|un) plantilla/iu],
    ['es-PE', 'pours.title', 'Vaciados', /hormigon|\bcolad[ao]s?(?!\p{L})/iu],
    ['es-ES', 'pours.kind.pads', 'Zapatas aisladas', /\b(lote|solado|plantilla|predio)(?!\p{L})/iu],
    ['es-ES', 'sheet.title', 'Hoja de excavación', /hoja de zanja|sección a–a|tierra negra/iu],
    ['es-ES', 'bedMaterial.crushed', 'Grava machacada', /piedra triturada|vibroapisonador/iu],
    ['es-MX', 'bedMaterial.crushed', 'Grava triturada', /encofrad|vibroapisonador|parcela|costes/iu],
    ['es-MX', 'hold.kind.pour', 'Antes de colar', /\b(el|del|un) cimbra/iu],
    ['es-PE', 'bedMaterial.crushed', 'Piedra chancada', /vibroapisonador|parcela|costes/iu],
    ['es-PE', 'hold.kind.pour', 'Antes de vaciar', /\b(la|una) lote\b/iu],
    ['es-PE', 'dig.uses.underpin', 'una calzadura', /\b(un|el|del|al) calzadura/i],
  ] as const)('of %s call %s “%s” and leave nothing of the plain term', async (lang, key, text, never) => {
    const words = await told(lang);
    expect(words.get(key)).toBe(text);
    expect([...words].filter(([, said]) => never.test(said.replace(/\{\{\w+\}\}/g, '')))).toEqual([]);
  });

  // One concept has one word, and none of them is of one country alone.
  it.each(LANGS.filter((lang) => lang.startsWith('es')))(
    'of %s say no word of the River Plate, and one for a hold',
    async (lang) => {
      const never =
        /(?<!\p{L})(bañados?|matriculad[oa]s?|veredas?|playón|baldes?|cloacas?|acá|ALTO|altos? (propio|nuevo)|personas? competentes?|muévela|excavacion)(?!\p{L})/u;
      const words = await told(lang);
      expect([...words].filter(([, said]) => never.test(said.replace(/\{\{\w+\}\}/g, '')))).toEqual([]);
      expect(words.get('caution.stop')).toBe('PARO');
      expect(words.get('hold.role.competent')).toBe('responsable en obra');
    },
  );

  it('never send concrete in what carries soil', async () => {
    for (const lang of COUNTRIES.filter((one) => one.startsWith('en')))
      for (const [key, said] of await told(lang))
        if (/^(pour|pours|said\.(pour|concrete))/.test(key)) expect(said).not.toMatch(/dump truck|tipper/i);
  });

  // Grains and sieves are told in millimetres everywhere; a ton is told by what it weighs.
  const IN_ONE_UNIT =
    /^(field\.whichTon|soils\.finer|filter\.stoneAsks|problem\.gradingWild|.*\.clean(10|20))$/;

  it.each(LANGS)(
    'of %s write no size, weight or heat in one unit alone: it comes in the reader’s',
    async (lang) => {
      const fixed = /(?<![\w.,])\d+([.,]\d+)?(–\d+)?\s?(mm|cm|m|km|kg|°C|°F|ft|lb|tsf|kPa)(?![\p{L}\d³²/])/u;
      const found = [...(await told(lang))].filter(
        ([key, text]) => fixed.test(text.replace(/\{\{\w+\}\}/g, '')) && !IN_ONE_UNIT.test(key),
      );
      expect(found).toEqual([]);
    },
  );

  it('touch whole words alone, keep capitals, and never what stands in blanks', () => {
    const rules = [{ from: 'pad', to: 'spread footing' }];
    expect(inWords('k', 'Pad, padlock, pad {{pad}} keypad', rules)).toBe(
      'Spread footing, padlock, spread footing {{pad}} keypad',
    );
    expect(inWords('a.b', 'pad', [{ ...rules[0]!, keys: /^c/ }])).toBe('pad');
  });

  it('write numbers with the sign of their country', () => {
    const said = (lang: Lang) => makeFormat(lang, 'metric').text(1.5, 'length').charAt(1);
    expect(LANGS.map(said).join('')).toBe('...,,..');
  });
});
