/** One day in lines: the same on screen and paper. */
import { type DayPlan, type Days, elementName } from '@cimiento/core';
import { callGroups, callText, type Saying, taskText, watchText } from './names.ts';

export interface DayPart {
  readonly key: 'on' | 'stops' | 'comes' | 'order' | 'watch' | 'waits';
  readonly title: string;
  readonly held: boolean;
  readonly lines: readonly { readonly text: string; readonly aside: string }[];
}

/** Lines of one part at most; the rest is counted. */
const MOST = 14;

export function dayLines(
  saying: Saying,
  days: Pick<Days, 'tasks'>,
  on: DayPlan,
): { readonly said: string | null; readonly parts: readonly DayPart[] } {
  const { t, format, plan } = saying;
  const line = (text: string, aside = '') => ({ text, aside });
  const who = (resource: string | null, people: number): string =>
    resource === 'machine'
      ? t('daysPage.tomorrow.machine')
      : resource === 'trucks'
        ? t('daysPage.tomorrow.trucks')
        : t('daysPage.tomorrow.people', { count: people });
  const amount = (quantity: number | null, unit: (typeof on.on)[number]['task']['unit']) =>
    quantity === null || unit === null
      ? ''
      : unit === 'count'
        ? t('daysPage.loads', { count: quantity })
        : format.text(quantity, unit);
  const all: readonly DayPart[] = [
    {
      key: 'on',
      title: t('daysPage.tomorrow.on'),
      held: false,
      // Trucks stand under what comes.
      lines: on.on
        .filter(({ task }) => task.kind !== 'haul')
        .map(({ task, depth, string }) =>
          line(
            [
              `${task.begins.slice(0, 10) === on.day ? `${task.begins.slice(11)} ` : ''}${taskText(saying, task)}`,
              ...(depth === null
                ? []
                : [
                    t('daysPage.tomorrow.deep', {
                      depth: format.text(depth, 'level'),
                      string: string ?? t('daysPage.tomorrow.ownString'),
                    }),
                  ]),
              who(task.resource, task.people),
            ].join(' · '),
            task.kind === 'setout' ? '' : amount(task.quantity, task.unit),
          ),
        ),
    },
    {
      key: 'stops',
      title: t('daysPage.tomorrow.stops'),
      held: true,
      lines: on.stops.map(({ kind, name, element, role }) =>
        line(
          `${[kind === 'own' ? name : t(`hold.kind.${kind}`), ...(element === null ? [] : [elementName(plan, element)])].join(' ')}: ${t(`hold.role.${role}`)}`,
        ),
      ),
    },
    {
      key: 'comes',
      title: t('daysPage.tomorrow.comes'),
      held: false,
      lines: callGroups(on.comes).map((group) => line(callText(saying, days, group, false))),
    },
    {
      key: 'order',
      title: t('daysPage.tomorrow.order'),
      held: false,
      lines: callGroups(on.order)
        .filter(({ first }) => first.day !== on.day)
        .map((group) => line(callText(saying, days, group, true))),
    },
    {
      key: 'watch',
      title: t('daysPage.tomorrow.watch'),
      held: on.watch.some(({ code }) => code === 'still' || code === 'flood' || code === 'protect'),
      lines: on.watch.map((watch) => line(watchText(saying, watch))),
    },
    {
      key: 'waits',
      title: t('daysPage.tomorrow.waits'),
      held: false,
      // Who comes to look stands under what comes.
      lines: on.waits.filter(({ passes }) => passes > 0).map((task) => line(taskText(saying, task))),
    },
  ];
  return {
    said: on.lost
      ? t('daysPage.tomorrow.lost')
      : !on.worked
        ? t('daysPage.tomorrow.offDay')
        : on.on.length === 0
          ? t('daysPage.tomorrow.nothing')
          : null,
    parts: all
      .filter(({ lines }) => lines.length > 0)
      .map((part) =>
        part.lines.length <= MOST
          ? part
          : { ...part, lines: [...part.lines.slice(0, MOST - 1), line(`+ ${part.lines.length - MOST + 1}`)] },
      ),
  };
}
