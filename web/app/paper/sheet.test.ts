import { blankPlan, type Plan } from '@cimiento/core';
import { simulatedJob } from '@cimiento/simulators';
import { describe, expect, it } from 'vitest';
import { en } from '../messages/en.ts';
import { es } from '../messages/es.ts';
import { makeI18n } from '../messages/i18n.ts';
import { demoPlan } from '../server/jobs.server.ts';
import { digSheet } from './sheet.server.tsx';

const sheet = async (plan: Plan, lang: 'en' | 'es' = 'en', system = plan.system) => {
  const { t } = makeI18n(lang, lang === 'en' ? en : es);
  const pdf = await digSheet({
    plan,
    revision: 3,
    savedAt: new Date('2026-11-24T08:00:00Z'),
    lang,
    system,
    t,
  });
  return Buffer.from(pdf).toString('latin1');
};
const pages = (pdf: string) =>
  Number(/\/Type \/Pages\b[^>]*\/Count (\d+)|\/Count (\d+)/.exec(pdf)?.slice(1).find(Boolean));

describe('the dig sheet', () => {
  it.each([
    ['honey-house', 'en', 'metric', '595.28'],
    ['honey-house', 'es', 'imperial', '612'],
    ['bell-frame', 'es', 'metric', '595.28'],
    ['bell-frame', 'en', 'imperial', '612'],
  ] as const)('of %s in %s, %s, is one page of its paper', async (demo, lang, system, width) => {
    const pdf = await sheet(await demoPlan(demo), lang, system);
    expect(pdf.startsWith('%PDF-')).toBe(true);
    expect(pages(pdf)).toBe(1);
    expect(pdf).toContain(`/MediaBox [0 0 ${width}`);
    expect(pdf).toContain(lang === 'es' ? '/Lang (es)' : '/Lang (en)');
  });
  it('of an empty job still says who decides, and of a large one runs on', async () => {
    expect(pages(await sheet(blankPlan('Empty', 'metric')))).toBe(1);
    expect(pages(await sheet(simulatedJob(80)))).toBeGreaterThanOrEqual(1);
  });
});
