/** Tasks, things and pours as the board of days calls them. */
import {
  type Days,
  type DayTask,
  elementName,
  type Plan,
  type ToCall,
  type Watch,
  type Why,
} from '@cimiento/core';
import { coded, type Say } from '../messages/keys.ts';
import { weekdayText as dayText } from '../ui/days.ts';
import type { Format } from '../ui/format.tsx';

export interface Saying {
  readonly t: Say;
  readonly format: Format;
  readonly plan: Plan;
}

/** A pour by its kind, and the pass or rise it is; as somebody named it. */
function pourText({ t, plan }: Pick<Saying, 't' | 'plan'>, id: string): string {
  const own = plan.pour.together.find((one) => one.id === id);
  if (own) return own.name;
  const [kind = id, number] = id.split('.');
  const known = t(coded(`pours.kind.${kind}`));
  const what = known.startsWith('pours.') ? elementName(plan, kind) : known;
  return number ? `${what} ${number}` : what;
}

/** What a task is at: an element, a pour, or the job. */
export const placeText = (saying: Saying, { element, pour }: Pick<DayTask, 'element' | 'pour'>): string =>
  element !== null
    ? elementName(saying.plan, element)
    : pour !== null
      ? pourText(saying, pour)
      : saying.t('daysPage.job');

const kindText = ({ t }: Pick<Saying, 't'>, { kind, pass }: Pick<DayTask, 'kind' | 'pass'>): string => {
  const what = t(`daysPage.kind.${kind}`);
  return pass === null ? what : t('daysPage.taskPass', { what, n: pass });
};

/** A task: what is done, and at what. */
export const taskText = (saying: Saying, task: DayTask): string =>
  task.element === null && task.pour === null
    ? kindText(saying, task)
    : `${kindText(saying, task)} ${placeText(saying, task)}`;

export const taskNamed = (saying: Saying, { tasks }: Pick<Days, 'tasks'>, id: string): string => {
  const task = tasks.find((one) => one.id === id);
  return task ? taskText(saying, task) : id;
};

/** Why a task is late. */
export function whyText(saying: Saying, days: Pick<Days, 'tasks'>, { code, day, task }: Why): string {
  const { t, format } = saying;
  const why = t(`daysPage.why.${code}`, { day: day === null ? '' : dayText(format.lang, day) });
  return task === null ? why : t('daysPage.whyOf', { task: taskNamed(saying, days, task), why });
}

/** Things by name, the first of many. */
function someNames({ t, plan }: Pick<Saying, 't' | 'plan'>, ids: readonly string[]): string {
  const names = [...new Set(ids)].map((id) => elementName(plan, id));
  return names.length <= 4
    ? names.join(', ')
    : t('daysPage.lateMore', { names: names.slice(0, 3).join(', '), count: names.length - 3 });
}

/** What the weather does, in words. */
export function watchText(saying: Saying, { code, day, elements, pour, amount, until }: Watch): string {
  const { t, format, plan } = saying;
  const value = amount ?? 0;
  const on = dayText(format.lang, day);
  const names = someNames(saying, elements);
  const end = until === null ? '' : dayText(format.lang, until);
  const cast = pour === null ? '' : pourText(saying, pour);
  switch (code) {
    case 'rain':
      return t('daysPage.see.rain', { day: on, rain: format.text(value, 'size') });
    case 'flood':
      return t('daysPage.see.flood', { day: on, depth: format.text(value, 'size'), names, until: end });
    case 'still':
      return t('daysPage.see.still', { day: on, depth: format.text(value, 'size'), names });
    case 'trimLater':
      return t('daysPage.see.trimLater', { names, until: end });
    case 'protect':
      return t('daysPage.see.protect', { day: on, pour: cast, low: format.text(value, 'temperature') });
    case 'heat':
      return t('daysPage.see.heat', { day: on, pour: cast, high: format.text(value, 'temperature') });
    case 'thaw':
      return t('daysPage.see.thaw', { day: on, depth: format.text(value, 'length'), pour: cast });
    case 'frost': {
      const hours = format.text(value, 'hours');
      const { machineHour, currency } = plan.prices;
      return machineHour === null
        ? t('daysPage.see.frost', { hours })
        : t('daysPage.see.frostMoney', {
            hours,
            money: `${currency} ${format.text(value * machineHour, 'price', { decimals: 0 })}`.trim(),
          });
    }
  }
}

/** What is ordered together, or who is called, for the same day. */
export interface CallGroup {
  readonly key: string;
  readonly first: ToCall;
  readonly calls: readonly ToCall[];
}

/** Calls for one thing on one day, together. */
export function callGroups(calls: readonly ToCall[]): CallGroup[] {
  const groups = new Map<string, ToCall[]>();
  for (const call of calls) {
    const key = `${call.by} ${call.day} ${call.what} ${call.role ?? ''}`;
    const own = groups.get(key);
    if (own) own.push(call);
    else groups.set(key, [call]);
  }
  return [...groups].map(([key, own]) => ({ key, first: own[0]!, calls: own }));
}

/** What is ordered, or who is called, and for what. */
export function callText(
  saying: Saying,
  days: Pick<Days, 'tasks'>,
  { first, calls }: CallGroup,
  withDay: boolean,
): string {
  const { t, format } = saying;
  const what = first.role === null ? t(`daysPage.call.${first.what}`) : t(`hold.role.${first.role}`);
  const all = calls.reduce<number | null>(
    (sum, { quantity }) => (quantity === null ? sum : (sum ?? 0) + quantity),
    null,
  );
  const amount =
    all === null
      ? what
      : t('daysPage.callAmount', {
          what,
          quantity:
            first.what === 'trucks' ? t('daysPage.loads', { count: all }) : format.text(all, 'volume'),
        });
  const tasks = calls.map(({ task }) => days.tasks.find(({ id }) => id === task));
  const names = tasks.map((task, i) =>
    task ? (calls.length > 1 ? placeText(saying, task) : taskText(saying, task)) : calls[i]!.task,
  );
  const shown =
    names.length <= 4
      ? names.join(', ')
      : t('daysPage.lateMore', { names: names.slice(0, 3).join(', '), count: names.length - 3 });
  const values = { what: amount, task: shown, day: dayText(format.lang, first.day) };
  return t(withDay && first.day !== first.by ? 'daysPage.callLine' : 'daysPage.callToday', values);
}
