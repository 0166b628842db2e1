import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { blankPlan, FIELDS, type Plan, planChanges, WORDINGS } from '@cimiento/core';
import { PlanSchema } from '@cimiento/core/schema';
import { readPlan } from '@cimiento/formats';
import { describe, expect, it } from 'vitest';
import { en } from '../messages/en.ts';
import { es } from '../messages/es.ts';
import { makeI18n, wordsOf } from '../messages/i18n.ts';
import { DEMOS } from '../server/jobs.server.ts';
import { changeText } from './changes.ts';
import { makeFormat } from './format.tsx';

const demo = (name: string): Plan => {
  const read = readPlan(readFileSync(join(import.meta.dirname, `../../../demo/${name}.json`), 'utf8'));
  if (!read.ok) throw new Error(name);
  return read.plan;
};
const words = (lang: 'en' | 'es', system: 'metric' | 'imperial' = 'metric') => ({
  t: wordsOf(makeI18n(lang, lang === 'en' ? en : es)),
  format: makeFormat(lang, system),
});
const say = (plan: Plan, edit: (plan: Plan) => void, lang: 'en' | 'es' = 'en') => {
  const after = structuredClone(plan);
  edit(after);
  const { t, format } = words(lang);
  return planChanges(plan, after).map((change) => {
    const { what, from, to } = changeText(t, format, after, change);
    return `${what}: ${from === undefined ? '' : `${from} → `}${to}`.replaceAll('\u00a0', ' ');
  });
};

describe('a change in words', () => {
  const house = demo('honey-house');

  it('names the thing, the field and both values with their unit', () => {
    const [first] = house.elements;
    expect(say(house, (p) => Object.assign(p.elements[0]!, { width: 0.8 }))).toEqual([
      `${first!.name}: Width: 600 mm → 800 mm`,
    ]);
    expect(
      say(house, (p) => {
        p.levels.string += 0.1;
        p.dig.corners = 'rounded';
        p.dig.cramped = true;
        p.elements = p.elements.slice(1);
      }),
    ).toEqual([
      'String level: 100.500 m → 100.600 m',
      'Corners: mitred → rounded',
      'Little room to swing: no → yes',
      `${first!.name}: What is dug: removed`,
    ]);
    expect(say(house, (p) => Object.assign(p.dig, { room: 0.5 }), 'es')).toEqual([
      `${es.dig.room}: 300 mm → 500 mm`,
    ]);
  });

  it('shows no pointer, key or id of any plan turned into any other, in both languages', () => {
    const plans = [...DEMOS.map(demo), blankPlan('x', 'metric'), blankPlan('x', 'imperial')];
    for (const lang of ['en', 'es'] as const) {
      const { t, format } = words(lang);
      for (const from of plans)
        for (const to of plans)
          for (const change of planChanges(from, to)) {
            const said = changeText(t, format, to, change);
            expect(`${change.path}: ${said.what} ${said.from ?? ''} ${said.to}`).not.toMatch(
              /: .*(\{\{|undefined|\[object|(^| )[a-z]+\.[a-z]+\.)/,
            );
            expect([change.path, said.what]).not.toEqual([change.path, t('fields.unknown')]);
          }
    }
  });

  it('has a name for every field of the tables, and words for every choice of the schema', () => {
    for (const lang of ['en', 'es'] as const) {
      const i18n = makeI18n(lang, lang === 'en' ? en : es);
      const said: readonly { readonly label: string }[] = [
        ...Object.values(FIELDS),
        ...Object.values(WORDINGS),
      ];
      const labels = said.map((field) => field.label);
      expect(labels.filter((label) => !i18n.exists(label))).toEqual([]);
      const missing: string[] = [];
      const walk = (schema: Node, path: string): void => {
        for (const one of schema.anyOf ?? []) walk(one, path);
        for (const [key, one] of Object.entries(schema.properties ?? {})) walk(one, `${path}/${key}`);
        if (schema.items) walk(schema.items, `${path}/*`);
        const wording = Object.entries(WORDINGS).find(([pattern]) => pattern === path)?.[1];
        if (wording && 'choice' in wording)
          for (const value of schema.enum ?? [])
            if (!i18n.exists(`${wording.choice}.${value}`)) missing.push(`${wording.choice}.${value}`);
      };
      walk(PlanSchema as Node, '');
      expect(missing).toEqual([]);
    }
  });
});

interface Node {
  readonly anyOf?: readonly Node[];
  readonly properties?: Readonly<Record<string, Node>>;
  readonly items?: Node;
  readonly enum?: readonly string[];
}
