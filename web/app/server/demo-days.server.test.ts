import { checkPlan, compute, programmeOf } from '@cimiento/core';
import { describe, expect, it } from 'vitest';
import { ofToday } from './demo-days.server.ts';
import { DEMOS, demoJob } from './jobs.server.ts';

const weekdayOf = (day: string) => new Date(`${day}T00:00:00Z`).getUTCDay();
const daysIn = (job: object): string[] =>
  [...JSON.stringify(job).matchAll(/"(\d{4}-\d{2}-\d{2})(?:"|T)/g)].map(([, day]) => day!);

describe('a demo of today', () => {
  it.each(DEMOS)('is %s with its days moved by whole weeks, and nothing else', async (demo) => {
    const { plan, records } = await demoJob(demo);
    const now = ofToday({ plan, records }, '2027-06-19');
    const [before, after] = [daysIn({ plan, records }), daysIn(now)];
    expect(after).toHaveLength(before.length);
    const by = new Set(after.map((day, i) => Date.parse(day) - Date.parse(before[i]!)));
    expect(by.size).toBeLessThanOrEqual(1);
    expect(after.map(weekdayOf)).toEqual(before.map(weekdayOf));
    expect(checkPlan(now.plan)).toEqual(checkPlan(plan));
    const values = (takeoff: ReturnType<typeof compute>) =>
      Object.values(takeoff.figures).map(({ value }) => value);
    expect(values(compute(now.plan, now.records))).toEqual(values(compute(plan, records)));
  });

  it('is itself in its own week, and in the middle of its work in any other', async () => {
    const { plan, records } = await demoJob('honey-house');
    expect(ofToday({ plan, records }, '2026-10-18')).toEqual({ plan, records });
    for (const today of ['2026-12-02', '2027-02-28', '2028-02-29', '2026-10-11']) {
      const now = ofToday({ plan, records }, today);
      const days = programmeOf(now.plan, compute(now.plan, now.records), { today, records: now.records });
      const done = days.tasks.filter((task) => task.done >= 1).length;
      expect(done).toBeGreaterThan(0);
      expect(done).toBeLessThan(days.tasks.length);
      expect(Date.parse(today) - Date.parse(now.plan.days.start!)).toBeLessThan(14 * 86_400_000);
    }
  });
});
