/** A job in the hole: what stops it first, then the plan and the list to pick from. */
import { Box, Flex } from '@chakra-ui/react';
import type { Lang, System } from '@cimiento/core';
import { type HoleView, isOpen, permitTroubles } from '@cimiento/core';
import { lazy, Suspense, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { useTranslation } from '../messages/useTranslation.ts';
import type { Sender } from '../outbox/sender.ts';
import type { Asker } from '../state/ask/asker.ts';
import { JobIdProvider } from '../state/jobId.ts';
import { DeskProvider, useDesk } from '../state/store.ts';
import { FormatProvider, useFormat } from '../ui/format.tsx';
import { wordsNow } from '../ui/later.tsx';
import { today } from '../ui/today.ts';
import { handOn, setSounds, soundsOn } from './answers.ts';
import { MiniPlan } from './MiniPlan.tsx';
import { Press, Word } from './parts.tsx';
import { Status } from './Status.tsx';
import { Stops } from './Stops.tsx';
import { ThingView } from './ThingView.tsx';
import { type Opened, useHole } from './useHole.ts';
import { useWhere } from './where.ts';

/** A screen that is fetched when it is first gone to, with the words that came after the first. */
const screen = <M extends object, K extends keyof M>(open: () => Promise<M>, name: K) =>
  lazy(async () => {
    const [made] = await Promise.all([open(), wordsNow().catch(() => {})]);
    return { default: made[name] as never };
  }) as unknown as M[K];

const HoldsView = screen(() => import('./HoldsView.tsx'), 'HoldsView');
const HoldView = screen(() => import('./HoldsView.tsx'), 'HoldView');
const MorningView = screen(() => import('./MorningView.tsx'), 'MorningView');
const ChangeView = screen(() => import('./ChangeView.tsx'), 'ChangeView');
const LevelsView = screen(() => import('./LevelsView.tsx'), 'LevelsView');
const PapersView = screen(() => import('./PapersView.tsx'), 'PapersView');
const DayView = screen(() => import('./DayView.tsx'), 'DayView');
const PhotoView = screen(() => import('./PhotoView.tsx'), 'PhotoView');
const DepthView = screen(() => import('./DepthView.tsx'), 'DepthView');

export function JobView({
  opened,
  jobId,
  person,
  program,
  sender,
  lang,
  system,
}: {
  opened: Opened;
  jobId: string;
  person: string;
  program: string;
  sender: Sender;
  lang: Lang;
  /** Null: in the job’s own units. */
  system: System | null;
}) {
  const { view, asker } = useHole(opened, jobId, person, program, sender);
  const own = useStore(opened.store, (desk) => desk.plan.system);
  return (
    <FormatProvider lang={lang} system={system ?? own}>
      <JobIdProvider value={jobId}>
        <DeskProvider value={opened.store}>
          <Inside view={view} asker={asker} sender={sender} opened={opened} jobId={jobId} />
        </DeskProvider>
      </JobIdProvider>
    </FormatProvider>
  );
}

function Inside({
  view,
  asker,
  sender,
  opened,
  jobId,
}: {
  view: HoleView | null;
  asker: Asker;
  sender: Sender;
  opened: Opened;
  jobId: string;
}) {
  const { t } = useTranslation();
  const { where, go } = useWhere();
  const name = useDesk((desk) => desk.plan.name);
  const currency = useDesk((desk) => desk.plan.prices.currency);
  const thing = view?.things.find(({ id }) => id === where.at) ?? null;
  const back = () => {
    if (where.doing) go({ doing: null, hold: null });
    else if (where.at) go({ at: null });
    else go({ job: null });
  };
  const hold =
    view?.holds.find(
      (one) =>
        one.hold === where.hold && (one.element === where.at || (one.element === null && where.at === null)),
    ) ?? view?.holds.find((one) => one.hold === where.hold && one.element === null);
  return (
    <Box as="main" maxW="480px" mx="auto" minH="100vh" bg="paper" color="ink" pb={6} data-hole={jobId}>
      <title>{`${name} · Cimiento`}</title>
      <Flex align="center" gap={1} px={1} minH="56px">
        <Press look="quiet" w="56px" flex="none" aria-label={t('inHole.back')} onClick={back} fontSize="2xl">
          ‹
        </Press>
        <Box as="h1" flex="1" minW={0} truncate fontWeight={600} fontSize="lg">
          {thing ? thing.name : name}
        </Box>
        {view && <Count view={view} />}
      </Flex>
      <Status sender={sender} store={opened.store} />
      {!view ? (
        <Box p={4} fontSize="lg" role="status">
          {t('inHole.working')}
        </Box>
      ) : (
        <Suspense fallback={<Box p={4}>{t('inHole.reading')}</Box>}>
          <Box mt={2}>
            {where.doing === 'holds' ? (
              <HoldsView view={view} />
            ) : where.doing === 'hold' && hold ? (
              <HoldView key={`${hold.hold}/${hold.element}`} view={view} hold={hold} />
            ) : where.doing === 'morning' ? (
              <MorningView view={view} onDone={back} />
            ) : where.doing === 'change' ? (
              <ChangeView view={view} at={where.at} asker={asker} />
            ) : where.doing === 'levels' ? (
              <LevelsView view={view} onDone={back} />
            ) : where.doing === 'papers' ? (
              <PapersView />
            ) : where.doing === 'day' ? (
              <DayView jobId={jobId} onPhoto={() => go({ doing: 'photo' })} />
            ) : where.doing === 'photo' ? (
              <PhotoView key={where.at} view={view} at={where.at} />
            ) : where.doing === 'depth' && thing ? (
              <DepthView thing={thing} onDone={back} />
            ) : thing ? (
              <ThingView
                key={thing.id}
                thing={thing}
                view={view}
                store={opened.store}
                asker={asker}
                currency={currency}
              />
            ) : (
              <Overview view={view} jobId={jobId} />
            )}
          </Box>
        </Suspense>
      )}
    </Box>
  );
}

/** How many looks are open: pressed, they are listed. */
function Count({ view }: { view: HoleView }) {
  const { t } = useTranslation();
  const { go } = useWhere();
  const open = view.holds.filter((hold) => hold.due && isOpen(hold)).length;
  return (
    <Press
      look="held"
      w="auto"
      flex="none"
      minH="48px"
      fontSize="md"
      onClick={() => go({ doing: 'holds' })}
      data-hold-count={open}
    >
      {t('hold.count', { count: open })}
    </Press>
  );
}

function Overview({ view, jobId }: { view: HoleView; jobId: string }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { go } = useWhere();
  const name = useDesk((desk) => desk.plan.name);
  const [more, setMore] = useState(false);
  const [sounds, setOn] = useState(soundsOn);
  const shot = useMemo(() => view.things.filter(({ shots }) => shots.length > 0).length, [view]);
  const text = view.things
    .map(
      (thing) =>
        `${thing.name}: ${format.text(thing.fromString, 'length', format.system === 'metric' ? { decimals: 3 } : {})}`,
    )
    .join('\n');
  const shareSheet = async () => {
    const answer = await fetch(`/jobs/${jobId}/dig-sheet.pdf`).catch(() => null);
    const file = answer?.ok
      ? new File([await answer.blob()], `${name}.pdf`, { type: 'application/pdf' })
      : undefined;
    await handOn({ title: name, text: `${name}\n${text}`, ...(file && { file }) });
  };
  return (
    <Box display="grid" gap={2.5} px={3} data-overview data-shot={shot}>
      <Stops view={view} element={null} />
      {view.stops.length === 0 && view.holds.every((hold) => hold.state !== 'refused') && (
        <Word>{t('inHole.nothingStops')}</Word>
      )}
      <Papers view={view} />
      <MiniPlan things={view.things} picked={null} onPick={(id) => go({ at: id })} label={t('inHole.list')} />
      <Box
        as="ul"
        listStyleType="none"
        display="grid"
        gridTemplateColumns="1fr 1fr"
        gap={1.5}
        aria-label={t('inHole.list')}
      >
        {view.things.map((thing) => (
          <li key={thing.id}>
            <Press justifyContent="space-between" onClick={() => go({ at: thing.id })} data-go={thing.id}>
              <span>{thing.name}</span>
              <Box as="span" fontFamily="figure" fontSize="xl">
                {format.text(thing.fromString, 'length', format.system === 'metric' ? { decimals: 3 } : {})}
              </Box>
            </Press>
          </li>
        ))}
      </Box>
      <Flex gap={2}>
        <Press onClick={() => go({ doing: 'morning' })}>{t('morning.title')}</Press>
        <Press onClick={() => go({ doing: 'day' })}>{t('inHole.day')}</Press>
        <Press onClick={() => go({ doing: 'change' })}>{t('change.title')}</Press>
      </Flex>
      <Press look="quiet" aria-expanded={more} onClick={() => setMore(!more)}>
        {t(more ? 'inHole.less' : 'inHole.more')}
      </Press>
      {more && (
        <Box display="grid" gap={2}>
          <Press onClick={() => go({ doing: 'levels' })}>{t('shot.setup')}</Press>
          <Press onClick={() => go({ doing: 'papers' })}>
            {t('way.list')} · {t('permit.list')}
          </Press>
          <Press onClick={() => void handOn({ title: name, text: `${name}\n${text}` })}>
            {t('inHole.share')}
          </Press>
          <Press onClick={() => void shareSheet()}>{t('inHole.shareSheet')}</Press>
          <Press
            aria-pressed={sounds}
            onClick={() => {
              setSounds(!sounds);
              setOn(!sounds);
            }}
          >
            {t('inHole.sound')}
          </Press>
          <DeskLink jobId={jobId} />
        </Box>
      )}
    </Box>
  );
}

/** Ways in that are too tight and papers that are wanting: counted, and listed when pressed. */
function Papers({ view }: { view: HoleView }) {
  const { t } = useTranslation();
  const { go } = useWhere();
  const plan = useDesk((desk) => desk.plan);
  const count = view.ways.length + permitTroubles(plan, today(plan.water.zone)).length;
  if (count === 0) return null;
  return (
    <Word tone="stop" data-papers={String(count)} onPress={() => go({ doing: 'papers' })}>
      {t('way.troubles', { count })}
    </Word>
  );
}

function DeskLink({ jobId }: { jobId: string }) {
  const { t } = useTranslation();
  return (
    <Box textAlign="center" fontSize="lg" minH="48px" pt={2}>
      <a href={`/jobs/${jobId}`}>{t('inHole.desk')}</a>
    </Box>
  );
}
