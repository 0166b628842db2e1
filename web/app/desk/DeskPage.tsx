/** The desk: column, plan, section, side and tally on one screen; stacked on a phone. */
import { Box, Flex } from '@chakra-ui/react';
import { groundModel, type Plan, type SiteRecord, sectionThrough, type Takeoff } from '@cimiento/core';
import { memo, Suspense, useEffect, useMemo, useState } from 'react';
import { useNarrow } from '../drawing/useNarrow.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import { useSender } from '../outbox/useSender.ts';
import { OrderProvider, useOrderOf } from '../stages/dig/useOrder.ts';
import { useAutosave } from '../state/autosave.ts';
import { JobIdProvider } from '../state/jobId.ts';
import { keepOnPhone } from '../state/keepOnPhone.ts';
import { LONGEST_TAKEOFF } from '../state/reckoner.ts';
import { useRecords } from '../state/records.ts';
import { DeskProvider, makeDesk, useDesk, useDeskStore } from '../state/store.ts';
import {
  GroundProvider,
  ShownPlanProvider,
  TakeoffProvider,
  useDrawn,
  useGround,
  useReckoned,
} from '../state/takeoff.ts';
import { useTakeUp } from '../state/takeUp.ts';
import { Button } from '../ui/controls.tsx';
import { later, openAll } from '../ui/later.tsx';
import { SkipLinks } from '../ui/SkipLinks.tsx';
import { GroundColumn } from './column/GroundColumn.tsx';
import { DeskShell } from './DeskShell.tsx';
import { Keys } from './Keys.tsx';
import { LowerView, useLowerHeight } from './LowerView.tsx';
import { PlanView } from './plan/PlanView.tsx';
import { Side } from './Side.tsx';
import { Swiped } from './Swiped.tsx';
import { PLAN_LAYERS, STAGE_TABLE } from './stageTable.tsx';
import { TopBar } from './TopBar.tsx';
import { Tally } from './tally/Tally.tsx';

const InHole = later(() => import('./InHole.tsx'), 'InHole');

/** After the desk is up nothing else is fetched for so long, ms. */
const QUIET_FIRST = 3000;

/** What is placed on the plan is placed by the ground, which is fetched once the desk stands. */
const placing = () => import('../stages/ground/index.ts');

export function DeskPage({
  jobId,
  plan,
  revision,
  records,
  last,
  person,
  asOf,
}: {
  jobId: string;
  /** Id of who is signed in. */
  person: string;
  plan: Plan;
  revision: number;
  records: readonly SiteRecord[];
  /** Up to which the records go. */
  last: number;
  /** When it was so, ms since 1970, of one that came off this phone; null: it is new. */
  asOf: number | null;
}) {
  const [store] = useState(() => {
    const made = makeDesk(plan, revision, records);
    made.setState({ asOf });
    return made;
  });
  const sender = useSender(person);
  useRecords(store, jobId, sender, last);
  useReckoned(store);
  useTakeUp(store, jobId, person);
  useEffect(() => keepOnPhone(store, jobId, person, last), [store, jobId, person, last]);
  // The other stages are fetched while nothing else is to do.
  useEffect(() => {
    const timer = setTimeout(() => void openAll(), QUIET_FIRST);
    return () => clearTimeout(timer);
  }, []);
  useAutosave(store, jobId, person);
  return (
    <JobIdProvider value={jobId}>
      <DeskProvider value={store}>
        <Desk />
      </DeskProvider>
    </JobIdProvider>
  );
}

function Desk() {
  const { t } = useTranslation();
  const { takeoff, plan: shown, calledOff } = useDesk((desk) => desk.worked);
  const tooLong = t('problem.tookTooLong', { limit: `${LONGEST_TAKEOFF / 1000} s` });
  if (!takeoff) return <DeskShell name={shown.name} note={calledOff ? tooLong : t('bar.working')} />;
  return <Worktop takeoff={takeoff} plan={shown} calledOff={calledOff ? tooLong : null} />;
}

const Worktop = memo(function Worktop({
  takeoff,
  plan,
  calledOff,
}: {
  takeoff: Takeoff;
  /** What the takeoff is of. */
  plan: Plan;
  calledOff: string | null;
}) {
  const { t } = useTranslation();
  const [sheet, setSheet] = useState(false);
  const narrow = useNarrow();
  const order = useOrderOf(plan);
  const newest = useMemo(() => ({ plan, takeoff }), [plan, takeoff]);
  const drawn = useDrawn(newest);
  return (
    <Answers of={newest}>
      <OrderProvider value={order}>
        <Box
          data-desk="live"
          display={{ base: 'flex', lg: 'grid' }}
          flexDirection="column"
          h={{ lg: '100vh' }}
          minH="100vh"
          gridTemplateColumns="10.25rem minmax(0, 1fr) 18.75rem"
          gridTemplateRows="auto minmax(0, 1fr) auto"
        >
          <title>{`${plan.name} · Cimiento`}</title>
          <Box gridColumn="1 / -1" order={0}>
            <Box as="h1" srOnly>
              {plan.name}
            </Box>
            <SkipLinks to={{ numbers: '[data-side]', stages: '[data-stages]', drawings: 'main' }} />
            <TopBar />
            {calledOff && (
              <Box role="alert" bg="heldWash" color="held" px={3} py={1.5} fontSize="sm" data-called-off>
                {calledOff}
              </Box>
            )}
          </Box>
          <Box
            gridRow={{ lg: '2 / 4' }}
            gridColumn={{ lg: '1' }}
            display={{ base: 'none', lg: 'block' }}
            minH={0}
            overflowY="auto"
          >
            <GroundColumn />
          </Box>
          {/* On a phone what one asks in the hole stands before all else. */}
          {narrow && (
            <Box order={1}>
              <Suspense fallback={<Box minH="120px" />}>
                <InHole />
              </Suspense>
            </Box>
          )}
          <Answers of={drawn}>
            <Drawings narrow={narrow} plan={drawn.plan} takeoff={drawn.takeoff} />
          </Answers>
          <Box
            gridColumn={{ lg: '3' }}
            minH={0}
            borderLeftWidth={{ lg: '1px' }}
            borderStyle="solid"
            borderColor="edge"
            order={{ base: 3, lg: 0 }}
            pb={{ base: 16, lg: 0 }}
          >
            <Side />
          </Box>
          <Box gridColumn={{ lg: '2 / 4' }} order={{ base: 2, lg: 0 }}>
            <Tally />
          </Box>
          <Box
            display={{ base: 'block', lg: 'none' }}
            position="fixed"
            left={0}
            right={0}
            bottom={0}
            zIndex={10}
            bg="sheet"
            borderTopWidth="2px"
            borderStyle="solid"
            borderColor="ink"
            className="no-print"
          >
            {sheet && (
              <Box maxH="62vh" overflowY="auto">
                <GroundColumn onPick={() => setSheet(false)} />
              </Box>
            )}
            <Button
              w="full"
              look="main"
              borderRadius={0}
              aria-expanded={sheet}
              onClick={() => setSheet(!sheet)}
            >
              {t(sheet ? 'column.close' : 'column.open')} · <StageName />
            </Button>
          </Box>
          <Keys />
        </Box>
      </OrderProvider>
    </Answers>
  );
});

interface Answered {
  readonly plan: Plan;
  readonly takeoff: Takeoff;
}

/** A plan, its ground and what was worked out of it, for all that is shown inside. */
function Answers({ of: { plan, takeoff }, children }: { of: Answered; children: React.ReactNode }) {
  return (
    <GroundProvider value={groundModel(plan)}>
      <TakeoffProvider value={takeoff}>
        <ShownPlanProvider value={plan}>{children}</ShownPlanProvider>
      </TakeoffProvider>
    </GroundProvider>
  );
}

/** Plan and what stands under it: drawn anew only when there is something new to draw. */
const Drawings = memo(function Drawings({ plan, takeoff, narrow }: Answered & { narrow: boolean }) {
  const { t } = useTranslation();
  const picked = useDesk((desk) => desk.picked);
  const lowerHeight = useLowerHeight();
  // With nothing picked the plan still shows no cut, and the section shows the ground.
  const index = plan.elements.findIndex((e) => e.id === picked);
  // While a worker catches up the takeoff may still be of the plan before.
  const matched = index >= 0 && takeoff.elements[index]?.id === picked ? index : -1;
  const section = useMemo(
    () => (matched >= 0 ? sectionThrough(plan, takeoff, matched, 0, groundModel(plan)) : null),
    [plan, takeoff, matched],
  );
  const stage = useDesk((desk) => desk.stage);
  const store = useDeskStore();
  const model = useGround();
  const { Tool, beforeAll } = STAGE_TABLE[stage];
  const drawn = (
    <PlanView
      section={section}
      layers={PLAN_LAYERS}
      Tool={Tool}
      spoken={!beforeAll}
      onPlace={(at) => void placing().then(({ placeAt }) => placeAt(store, at, model.level))}
    />
  );
  const cut = (
    <LowerView element={matched >= 0 ? plan.elements[matched] : undefined} index={matched} near={section} />
  );
  if (narrow)
    return (
      <Box as="main" order={1} minW={0}>
        <Swiped
          label={t('hole.drawings')}
          panes={[
            { name: t('hole.section'), height: lowerHeight, content: cut },
            { name: t('hole.plan'), height: '340px', content: drawn },
          ]}
        />
      </Box>
    );
  return (
    <Flex as="main" direction="column" minH={0} gridColumn="2">
      <Box flex="1.16" minH={0}>
        {drawn}
      </Box>
      <Box flex="1" minH={0} borderTopWidth="1px" borderStyle="solid" borderColor="edge">
        {cut}
      </Box>
    </Flex>
  );
});

function StageName() {
  const { t } = useTranslation();
  return t(`stage.${useDesk((desk) => desk.stage)}`);
}
