/** One day on one page: who, where, what, how deep, what comes, what to order, what to watch, whom to call. */
import { compute, dayPlanOf, dayShifted, digSequence, nextDayOf, programmeOf } from '@cimiento/core';
import { Text, View } from '@react-pdf/renderer';
import { dayLines } from '../days/dayLines.ts';
import { dayText } from '../ui/days.ts';
import { makeFormat } from '../ui/format.tsx';
import { today } from '../ui/today.ts';
import { SheetFrame, type SheetInput } from './frame.tsx';
import { type Printed, print } from './print.server.ts';
import { s } from './style.server.ts';

const RULE = '0.5 solid #9aa5a8';
/** How long an order of digging is looked for, ms. */
const LOOKS = 2000;

const before = (day: string): string => dayShifted(day, -1);

/** The day asked for, and what is on; worked out once, whatever number of times it is laid out. */
function worked({ plan, records, day: asked }: SheetInput) {
  const now = today(plan.water.zone);
  const day = asked ?? nextDayOf(now);
  const from = day < now ? before(day) : now;
  const known = records.filter(({ at }) => at.slice(0, 10) <= from);
  const takeoff = compute(plan, known);
  const until = performance.now() + LOOKS;
  const found = digSequence(plan, takeoff, () => performance.now() < until);
  const order = found.ok ? found.steps.map(({ id }) => id) : [];
  const days = programmeOf(plan, takeoff, { order, today: from, records: known });
  return { day, days, on: dayPlanOf(plan, takeoff, days, day) };
}

function Sheet({ made, ...input }: SheetInput & { made: ReturnType<typeof worked> }) {
  const { plan, lang, system, t } = input;
  const format = makeFormat(lang, system);
  const { day, days, on } = made;
  const { said, parts } = dayLines({ t, format, plan }, days, on);
  return (
    <SheetFrame
      {...input}
      title={t('daysPage.tomorrow.title')}
      problems={days.problems}
      format={format}
      pages={[
        <View key="day" style={{ marginTop: 8 }}>
          <Text style={s.title}>{dayText(lang, day)}</Text>
          {said && <Text style={{ fontSize: 14, fontWeight: 600, marginTop: 4 }}>{said}</Text>}
          {parts.map(({ key, title, lines, held }) => (
            <View
              key={key}
              style={{ marginTop: 10, ...(held && { borderLeft: '3 solid #a02733', paddingLeft: 6 }) }}
              wrap={false}
            >
              <Text style={{ ...s.h, fontSize: 14, ...(held && { color: '#a02733' }) }}>{title}</Text>
              {lines.map(({ text, aside }, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: lines are made once, in order
                <View key={i} style={{ ...s.row, borderBottom: RULE, paddingVertical: 2 }}>
                  <Text style={{ flex: 1, fontSize: 11 }}>{text}</Text>
                  {aside !== '' && <Text style={s.number}>{aside}</Text>}
                </View>
              ))}
            </View>
          ))}
          {plan.emergencyContact !== '' && (
            <Text style={{ marginTop: 12, fontSize: 12, fontWeight: 600 }}>{plan.emergencyContact}</Text>
          )}
        </View>,
      ]}
    />
  );
}

export function tomorrowPdf(input: SheetInput): Promise<Printed> {
  const made = worked(input);
  return print((how) => <Sheet {...input} {...how} made={made} />);
}
