/** Every caution read in a plan that raises it, as crews of five countries read it. */
import { type Caution, HOLD_CODES, type Lang, type System } from '@cimiento/core';
import { describe, expect, it } from 'vitest';
import { CAUTION_CODES } from '../../../core/src/cautions/table.ts';
import { raisedBy } from '../../../core/src/cautions/testing.ts';
import { makeFormat } from '../ui/format.tsx';
import { actText, cautionText } from '../ui/words.ts';
import { loadMessages, makeI18n, wordsOf } from './i18n.ts';

const READERS: readonly (readonly [Lang, System])[] = [
  ['en-US', 'imperial'],
  ['en-GB', 'metric'],
  ['es-ES', 'metric'],
  ['es-MX', 'metric'],
  ['es-PE', 'metric'],
];

/** An act is something to do: it says so in its first word. */
const ACTS = {
  en: /^(Slope|Get|Keep|Raise|Lay|Have|Draw|Hold|Bring|Say|Ask|Dig|Widen|Make|Record|Move|Rework|Test|Take|Enter|Board)\b/,
  es: /^(Talud|Pida|Deje|Suba|Descubra|Que|Abata|Sujete|Baje|Diga|Pregunte|Ensanche|Haga|Anote|Aparte|Rehaga|Ensaye|Saque|Meta|Ponga)(?!\p{L})/u,
};
/** What is said of nobody's numbers: it has none. */
const WITHOUT_FIGURE =
  /^(rescue|ringUnknown|depthUnknown|frostUnknown|waterUnknown|soilAssumed|services|servicesMarked|shored|waterClass|beyondSurvey|slabEngineer|drainNowhere|liftFailed|liftCovered|liftOverridden|floatUnknown|underpinOpen|doubled|surfaceWater|areaOutside|compactorUnsuited|defer)$/;
/** A number in metres, which a reader in feet is never told. */
const METRES = /\d\s(m|mm|cm|m²|m³)(?![\p{L}\d²³/])/u;

const of = (code: string): { raised: ReturnType<typeof raisedBy>; caution: Caution } => {
  const raised = raisedBy(code as (typeof CAUTION_CODES)[number]);
  return { raised, caution: raised.cautions.find((one) => one.code === code)! };
};

describe.each(READERS)('in %s, %s', async (lang, system) => {
  const t = wordsOf(makeI18n(lang, await loadMessages(lang)));
  const format = makeFormat(lang, system);
  const spanish = lang.startsWith('es');

  it.each(CAUTION_CODES)('%s says figure and limit, in its reader’s units and sign', (code) => {
    const { caution } = of(code);
    const { title, text } = cautionText(t, format, caution);
    const said = `${title} ${text}`.replaceAll('\u00a0', ' ');
    expect(said).not.toMatch(/\{\{|caution\.|NaN|undefined/);
    // Every number it was given is told, as a reader of that country writes it.
    for (const [name, [value, kind]] of Object.entries(caution.values ?? {})) {
      const printed = format.text(value, kind).replaceAll('\u00a0', ' ');
      // Of what lies too near the distance is told, or by how much it is too deep: not both.
      const other = code.startsWith('keepOff')
        ? 'by'
        : /^(influence|flood|cutBack)$/.test(code)
          ? 'distance'
          : '';
      if (name !== other && !(code === 'cutBack' && name === 'limit')) expect(said, name).toContain(printed);
    }
    if (!WITHOUT_FIGURE.test(code)) expect(said).toMatch(/\d/);
    if (system === 'imperial') expect(said).not.toMatch(METRES);
    const point = format.text(1.5, 'length').charAt(1);
    expect(said).not.toMatch(point === ',' ? /\d\.\d/ : /\d,\d(?!\d\d)/);
    // A sentence of one thing to do, or a few: no paragraph.
    expect(said.split(/\s+/).length).toBeLessThan(75);
    // A level says that it is one.
    for (const [value, kind] of Object.values(caution.values ?? {}))
      if (kind === 'level') {
        const printed = format.text(value, kind).replaceAll('\u00a0', ' ');
        const before = said.slice(0, said.indexOf(printed)).trim().split(/\s+/).slice(-3).join(' ');
        expect(before).toMatch(spanish ? /nivel|crecida/i : /level/i);
      }
  });

  it.each(HOLD_CODES.filter((code) => code !== 'unproved'))('%s says what lifts it, and who', (code) => {
    const { raised, caution } = of(code);
    const act = actText(t, format, raised.plan, { ...caution, weight: 'stop' });
    expect(act).not.toMatch(/\{\{|act\.|NaN|undefined/);
    expect(act).toMatch(spanish ? ACTS.es : ACTS.en);
    expect(act.split(/\s+/).length).toBeLessThan(18);
    if (system === 'imperial') expect(act).not.toMatch(METRES);
    if (caution.weight === 'stop')
      expect(t(`lifts.${caution.lifts!}`)).toMatch(spanish ? /Solo lo/ : /only by/);
  });
});
