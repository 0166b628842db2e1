/** The head of the desk: job, holds, undo, files, and how a person likes to read. */
import { Box, Flex } from '@chakra-ui/react';
import { Check, ChevronLeft, CloudUpload, Redo2, Undo2 } from 'lucide-react';
import { memo, Suspense, useRef, useState } from 'react';
import { Link, useRouteLoaderData } from 'react-router';
import { useNarrow } from '../drawing/useNarrow.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import type { loader as rootLoader } from '../root.tsx';
import { useJobId } from '../state/jobId.ts';
import { type Saving, useDesk, useDeskStore } from '../state/store.ts';
import { useTakeoff } from '../state/takeoff.ts';
import { Bare, Button, Heading } from '../ui/controls.tsx';
import { later } from '../ui/later.tsx';
import { Menu } from '../ui/Menu.tsx';
import { SheetLink } from '../ui/SheetLink.tsx';
import { SaveState } from './SaveState.tsx';

const UnsaidList = later(() => import('./UnsaidList.tsx'), 'UnsaidList');
const KeysDialog = later(() => import('./KeysDialog.tsx'), 'KeysDialog');

const Preferences = later(() => import('../ui/Preferences.tsx'), 'Preferences');

export const TopBar = memo(function TopBar() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const jobId = useJobId();
  const name = useDesk((desk) => desk.plan.name);
  const place = useDesk((desk) => desk.plan.place);
  const canUndo = useDesk((desk) => desk.past.length > 0);
  const canRedo = useDesk((desk) => desk.future.length > 0);
  const root = useRouteLoaderData<typeof rootLoader>('root');
  const edit = store.getState().edit;
  const narrow = useNarrow();
  const sheet = <SheetLink href={`/jobs/${jobId}/dig-sheet.pdf`}>{t('bar.digSheet')}</SheetLink>;
  const redo = (
    <Button size="sm" disabled={!canRedo} onClick={() => store.getState().redo()}>
      <Redo2 size={15} aria-hidden /> {t('bar.redo')}
    </Button>
  );
  const bar = (
    <Flex
      as="header"
      align="center"
      gap={{ base: 2, lg: 3 }}
      px={{ base: 2, lg: 3 }}
      py={1.5}
      wrap="nowrap"
      borderBottomWidth="2px"
      borderStyle="solid"
      borderColor="ink"
      bg="sheet"
    >
      <Link to="/jobs" aria-label={t('bar.jobs')} style={{ textDecoration: 'none', color: 'inherit' }}>
        {narrow ? (
          <Flex minW="32px" minH="44px" align="center">
            <ChevronLeft size={24} aria-hidden />
          </Flex>
        ) : (
          <Heading as="span" fontSize="xl" letterSpacing="0.04em">
            CIMIENTO
          </Heading>
        )}
      </Link>
      <Box minW={0} flex={{ base: '1 1 0', lg: '0 1 15rem' }}>
        <Bare
          aria-label={t('jobs.name')}
          defaultValue={name}
          key={`n${name}`}
          maxLength={80}
          fontWeight={600}
          fontSize="md"
          onBlur={(event) => {
            const { value } = event.target;
            if (value.trim())
              edit((d) => {
                d.name = value.trim();
              });
            else event.target.value = name;
          }}
        />
        <Bare
          display={{ base: 'none', lg: 'block' }}
          aria-label={t('jobs.place')}
          defaultValue={place}
          key={`p${place}`}
          placeholder={t('jobs.noPlace')}
          maxLength={120}
          fontSize="sm"
          color="soft"
          onBlur={(event) => {
            const { value } = event.target;
            edit((d) => {
              d.place = value.trim();
            });
          }}
        />
      </Box>
      {narrow ? (
        <>
          <SavedMark />
          <Holds />
          <Button
            size="sm"
            aria-label={t('bar.undo')}
            disabled={!canUndo}
            onClick={() => store.getState().undo()}
          >
            <Undo2 size={20} aria-hidden />
          </Button>
        </>
      ) : (
        <>
          <Flex flex="1" align="center" gap={2}>
            <SaveState />
            <Box flex="1" />
            <Unsaid />
            <Holds />
            <Flex gap={1}>
              <Button size="sm" disabled={!canUndo} onClick={() => store.getState().undo()}>
                <Undo2 size={15} aria-hidden /> {t('bar.undo')}
              </Button>
              {redo}
            </Flex>
          </Flex>
          <Button asChild size="sm" look="main">
            {sheet}
          </Button>
        </>
      )}
      <Menu name={t(narrow ? 'hole.menu' : 'bar.more')}>
        {narrow && (
          <>
            <Button asChild look="main">
              {sheet}
            </Button>
            {redo}
            <Unsaid />
          </>
        )}
        <a href={`/hole?job=${jobId}`} data-to-hole>
          {t('hole.into')}
        </a>
        <a href={`/jobs/${jobId}/plan.json`}>{t('bar.planFile')}</a>
        <a href={`/jobs/${jobId}/takeoff.csv`}>{t('bar.csv')}</a>
        <a href={`/jobs/${jobId}/takeoff.json`}>{t('bar.json')}</a>
        <KeysButton />
        {root && (
          <Suspense fallback={null}>
            <Preferences chosen={root.preferences} />
          </Suspense>
        )}
      </Menu>
    </Flex>
  );
  return narrow ? (
    <>
      {bar}
      <Trouble />
    </>
  ) : (
    bar
  );
});

const QUIET: ReadonlySet<Saving['state']> = new Set(['saved', 'unsaved', 'saving']);

/** On a phone that all is saved is a tick; what went wrong takes a row of its own. */
function SavedMark() {
  const { t } = useTranslation();
  const state = useDesk((desk) => desk.saving.state);
  const n = useDesk((desk) => desk.base.revision);
  const old = useDesk((desk) => desk.asOf !== null);
  // What may be old takes a row of its own, under the bar.
  if (!QUIET.has(state) || (old && state === 'saved')) return null;
  const Icon = state === 'saved' ? Check : CloudUpload;
  return (
    <Box as="span" color="soft" flexShrink={0} data-saving={state}>
      <Icon size={18} role="img" aria-label={t(`saving.${state as 'saved' | 'unsaved' | 'saving'}`, { n })} />
    </Box>
  );
}

function Trouble() {
  const quiet = useDesk(
    ({ saving, kept, asOf, unkept }) =>
      QUIET.has(saving.state) && kept && unkept.length === 0 && (asOf === null || saving.state !== 'saved'),
  );
  return quiet ? null : (
    <Box px={3} py={1.5} bg="heldWash">
      <SaveState />
    </Box>
  );
}

/** The keys without a key: where single keys are put to rest no key brings their list back. */
function KeysButton() {
  const { t } = useTranslation();
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button size="sm" look="quiet" onClick={() => setOpen(true)}>
        {t('bar.keys')}
      </Button>
      {open && (
        <Suspense fallback={null}>
          <KeysDialog what="keys" onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}

/** How much nobody has said yet; opens to each, one press from being settled. */
function Unsaid() {
  const { t } = useTranslation();
  const count = useDesk((desk) => desk.plan.assumed.length);
  const [open, setOpen] = useState(false);
  if (count === 0) return null;
  return (
    <>
      <Button size="sm" look="quiet" onClick={() => setOpen(true)} data-unsaid={count}>
        {t('pencil.count', { count })}
      </Button>
      {open && (
        <Suspense fallback={null}>
          <UnsaidList onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}

function Holds() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const holds = useTakeoff().cautions.filter((c) => c.weight === 'stop');
  const turn = useRef(0);
  if (holds.length === 0) return null;
  // To one after the other, each where it is lifted and with what it is of picked.
  const go = () => {
    const hold = holds[turn.current % holds.length]!;
    turn.current++;
    if (hold.elements.length === 1) store.getState().pick(hold.elements[0]!);
    store.getState().go(hold.stage);
  };
  return (
    <Button
      size="sm"
      look="held"
      flexShrink={0}
      whiteSpace="nowrap"
      onClick={go}
      data-hold-count={holds.length}
    >
      {t('caution.count', { count: holds.length })}
    </Button>
  );
}
