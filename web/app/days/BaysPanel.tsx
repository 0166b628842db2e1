/** Bays under old walls: how far each is, which keep which shut, and what may be logged of it next. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import { type Days, elementName, outOf, type Plan, ROLES, type Takeoff } from '@cimiento/core';
import { useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { useLog } from '../state/records.ts';
import { Button, Heading, Input, Select, Small } from '../ui/controls.tsx';
import { dayText } from '../ui/days.ts';
import { useFormat } from '../ui/format.tsx';

type Bay = Days['bays'][number];
type Step = NonNullable<Bay['next']> | 'refused';

/** How each state looks: colour, pattern, and its word. */
const BAY_LOOKS: Readonly<
  Record<Bay['state'], { readonly bg: string; readonly color?: string; readonly dashed?: true }>
> = {
  toCome: { bg: 'paper', dashed: true },
  open: { bg: 'earthWash' },
  refused: { bg: 'heldWash', color: 'held' },
  seen: { bg: 'chalkWash' },
  poured: { bg: 'waterWash' },
  cured: { bg: 'waterWash' },
  packed: { bg: 'placedWash' },
  released: { bg: 'placed', color: 'paper' },
};

export function BaysPanel({
  element,
  days,
  plan,
  bays: made,
  locked,
}: {
  element: string;
  days: Days;
  plan: Plan;
  bays: NonNullable<Takeoff['elements'][number]['bays']> | null;
  locked: boolean;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const [at, setAt] = useState<number | null>(null);
  const own = days.bays.filter((bay) => bay.element === element);
  const picked = own.find(({ bay }) => bay === at) ?? null;
  const underpin = plan.elements.find(({ id }) => id === element);
  const out = underpin && 'out' in underpin ? underpin.out : null;
  const posts = underpin && 'posts' in underpin ? underpin.posts : [];
  const goes = out && made ? outOf(out, made.total) : null;
  const last = days.tasks
    .filter((task) => task.element === element)
    .reduce((end, { ends }) => (ends > end ? ends : end), '');
  const first = days.tasks
    .filter((task) => task.element === element && task.done < 1)
    .reduce((begin, { begins }) => (begin === '' || begins < begin ? begins : begin), '');
  const weeks =
    first === ''
      ? 0
      : Math.ceil((Date.parse(`${last.slice(0, 10)}Z`) - Date.parse(`${first.slice(0, 10)}Z`)) / 604_800_000);
  const trucks = days.tasks.filter(
    ({ kind, pour }) => kind === 'pour' && pour?.startsWith('underpinning'),
  ).length;
  return (
    <Stack as="section" gap={2} data-bays={element}>
      <Heading>{t('daysPage.bays.title', { name: elementName(plan, element) })}</Heading>
      <Flex overflowX="auto" pb={1}>
        {own.map((bay) => {
          const look = BAY_LOOKS[bay.state];
          return (
            <Box
              key={bay.bay}
              asChild
              minW="84px"
              minH="64px"
              px={1}
              py={1}
              bg={look.bg}
              color={look.color ?? 'ink'}
              borderWidth="1.5px"
              borderStyle={look.dashed ? 'dashed' : 'solid'}
              borderColor={bay.state === 'refused' ? 'held' : 'ink'}
              outline={bay.bay === at ? '3px solid var(--chakra-colors-chalk)' : undefined}
              textAlign="center"
              fontSize="sm"
              lineHeight="1.25"
            >
              <button
                type="button"
                aria-pressed={bay.bay === at}
                data-bay={bay.bay}
                data-state={bay.state}
                onClick={() => setAt(bay.bay === at ? null : bay.bay)}
              >
                <Box fontFamily="figure" fontWeight={700} fontSize="lg">
                  {bay.bay}
                </Box>
                <Box>{t(`underpin.state.${bay.state}`)}</Box>
                <Box fontSize="xs" opacity={0.85}>
                  {t('underpin.pass', { n: bay.pass })}
                </Box>
              </button>
            </Box>
          );
        })}
      </Flex>
      {picked && <OneBay key={picked.bay} bay={picked} locked={locked} />}
      <Small>
        {goes
          ? [
              t('daysPage.bays.out', { loose: format.text(goes.loose, 'volume') }),
              ...(out?.by === 'barrow' ? [t('daysPage.bays.barrows', { count: goes.trips })] : []),
              ...(out?.by === 'bins' ? [t('daysPage.bays.bins', { count: goes.trips })] : []),
              format.text(goes.hours, 'hours'),
            ].join(' · ')
          : t('daysPage.bays.outNobody')}
      </Small>
      {weeks > 0 && <Small>{t('daysPage.bays.weeks', { weeks, trucks })}</Small>}
      {posts.length > 0 && (
        <Small>{t('daysPage.bays.posts', { names: posts.map(({ name }) => name).join(', ') })}</Small>
      )}
    </Stack>
  );
}

/** What is known of one bay, and what may be logged next. */
function OneBay({ bay, locked }: { bay: Bay; locked: boolean }) {
  const { t } = useTranslation();
  const format = useFormat();
  const log = useLog();
  const [who, setWho] = useState('');
  const [role, setRole] = useState<(typeof ROLES)[number]>('engineer');
  const [what, setWhat] = useState('');
  const looks = bay.next === 'seen' || bay.next === 'released';
  const put = (state: Step) => {
    if (state === 'pour') return;
    log('bay', { bay: bay.bay, state, who: who.trim(), role, what: what.trim() }, { element: bay.element });
    setWhat('');
  };
  const named = who.trim() !== '';
  return (
    <Stack
      gap={1.5}
      borderLeftWidth="4px"
      borderStyle="solid"
      borderColor="ink"
      pl={3}
      data-one-bay={bay.bay}
    >
      <Box fontWeight={600}>
        {t('underpin.bayNumber', { n: bay.bay })} · {t(`underpin.state.${bay.state}`)}
        {bay.state === 'poured' &&
          bay.cures &&
          ` · ${t('daysPage.bays.curesTill', { day: dayText(format.lang, bay.cures) })}`}
      </Box>
      {bay.keptBy.length > 0 && bay.state !== 'released' && (
        <Box color="held" fontWeight={600}>
          {t('daysPage.bays.keptBy', { bays: bay.keptBy.join(', ') })}
        </Box>
      )}
      {bay.what && (
        <Box>
          {bay.who}: {bay.what}
        </Box>
      )}
      {looks && !locked && (
        <Flex gap={2} wrap="wrap">
          <Box flex="1 1 140px">
            <label htmlFor="bay-who">{t('daysPage.bays.who')}</label>
            <Input id="bay-who" value={who} maxLength={80} onChange={({ target }) => setWho(target.value)} />
          </Box>
          <Box flex="1 1 120px">
            <label htmlFor="bay-role">{t('daysPage.bays.role')}</label>
            <Select
              id="bay-role"
              value={role}
              onChange={({ target }) => setRole(ROLES.find((one) => one === target.value) ?? 'engineer')}
            >
              {ROLES.map((one) => (
                <option key={one} value={one}>
                  {t(`hold.role.${one}`)}
                </option>
              ))}
            </Select>
          </Box>
          {bay.next === 'seen' && (
            <Box flex="1 1 100%">
              <label htmlFor="bay-what">{t('daysPage.bays.what')}</label>
              <Input
                id="bay-what"
                value={what}
                maxLength={400}
                onChange={({ target }) => setWhat(target.value)}
              />
            </Box>
          )}
        </Flex>
      )}
      {!locked && (
        <Flex gap={2} wrap="wrap">
          {bay.next === 'pour' ? (
            <Small>{t('daysPage.bays.act.pour')}</Small>
          ) : (
            bay.next && (
              <Button look="main" disabled={looks && !named} onClick={() => put(bay.next!)}>
                {t(`daysPage.bays.act.${bay.next}`)}
              </Button>
            )
          )}
          {bay.next === 'seen' && (
            <Button disabled={!named || what.trim() === ''} onClick={() => put('refused')}>
              {t('daysPage.bays.act.refused')}
            </Button>
          )}
        </Flex>
      )}
    </Stack>
  );
}
