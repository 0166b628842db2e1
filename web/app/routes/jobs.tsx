import { Box, Flex } from '@chakra-ui/react';
import { blankPlan, type Problem, wholeText } from '@cimiento/core';
import { LONGEST_PLAN, readJob } from '@cimiento/formats';
import { useEffect } from 'react';
import { data, Form, Link, redirect, useRouteLoaderData } from 'react-router';
import { bringBack, createJob, KEPT_DAYS, listJobs, listRemoved, removeJob } from '../../db/queries/jobs.ts';
import { Archive } from '../board/Archive.tsx';
import { Board } from '../board/Board.tsx';
import { BoardStill } from '../board/BoardStill.tsx';
import { NewJob } from '../board/NewJob.tsx';
import { Removed } from '../board/Removed.tsx';
import { Waiting } from '../board/Waiting.tsx';
import { useNarrow } from '../drawing/useNarrow.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import { oneOf, SYSTEMS } from '../preferences.ts';
import type { loader as rootLoader } from '../root.tsx';
import { fieldOf, MOST_BODY } from '../server/body.server.ts';
import { allow } from '../server/can.server.ts';
import { demoToday } from '../server/demo-days.server.ts';
import { readFirst } from '../server/first.server.ts';
import { formOf, preferencesOf, requirePerson, withDatabase } from '../server/http.server.ts';
import { DEMOS, demoJob, savingOf } from '../server/jobs.server.ts';
import { summarise } from '../server/pool.server.ts';
import { catchUp } from '../server/summaries.server.ts';
import { isHere, leaves } from '../state/phone.ts';
import { Button, Heading } from '../ui/controls.tsx';
import { FormatProvider } from '../ui/format.tsx';
import { Menu } from '../ui/Menu.tsx';
import { Preferences } from '../ui/Preferences.tsx';
import { focusOn, SkipLinks } from '../ui/SkipLinks.tsx';
import { useLive } from '../ui/useLive.ts';
import type { Route } from './+types/jobs';

export async function loader({ request }: Route.LoaderArgs) {
  const person = await requirePerson(request);
  allow(person, 'jobs.list');
  const [jobs, removed] = await withDatabase(() =>
    Promise.all([listJobs(person.crewId), listRemoved(person.crewId)]),
  );
  for (const job of jobs) if (job.summary.stale) catchUp(person.crewId, job.id);
  return {
    person: { id: person.id, name: person.name, crew: person.crew },
    jobs,
    removed,
    keptDays: KEPT_DAYS,
    demos: DEMOS,
  };
}

export async function action({ request, context }: Route.ActionArgs) {
  const person = await requirePerson(request);
  allow(person, 'jobs.create');
  const form = await formOf(request, context, MOST_BODY.plan);
  const make = async (saving: ReturnType<typeof savingOf>) =>
    redirect(`/jobs/${await withDatabase(() => createJob(person.crewId, person.id, saving))}`);
  switch (form.get('intent')) {
    case 'blank': {
      const name = wholeText(fieldOf(form, 'name'), 80);
      if (!name)
        return data(
          { intent: 'blank', problems: [{ code: 'blank', path: '/name' }] satisfies Problem[] },
          { status: 400 },
        );
      const system = oneOf(SYSTEMS, form.get('system')) ?? 'metric';
      const plan = {
        ...blankPlan(name, system),
        place: wholeText(fieldOf(form, 'place'), 120),
      };
      return make(savingOf(plan, null, 'new', await summarise(person.crewId, plan)));
    }
    case 'first': {
      const read = readFirst(form, preferencesOf(request).lang);
      if (!read.ok) return data({ intent: 'first', problems: read.problems }, { status: 400 });
      return make(savingOf(read.plan, null, 'new', await summarise(person.crewId, read.plan)));
    }
    case 'demo': {
      const demo = oneOf(DEMOS, form.get('demo'));
      if (!demo)
        return data(
          { intent: 'demo', problems: [{ code: 'choice', path: '/demo' }] satisfies Problem[] },
          { status: 400 },
        );
      const { plan, records, photos } = await demoJob(demo, preferencesOf(request).lang, demoToday());
      const summary = await summarise(person.crewId, plan, records);
      return make(savingOf(plan, null, 'demo', summary, records, photos));
    }
    case 'file': {
      const file = form.get('file');
      if (!(file instanceof File) || file.size === 0)
        return data(
          { intent: 'file', problems: [{ code: 'noFile', path: '' }] satisfies Problem[] },
          { status: 400 },
        );
      if (file.size > LONGEST_PLAN)
        return data(
          { intent: 'file', problems: [{ code: 'tooLong', path: '' }] satisfies Problem[] },
          { status: 413 },
        );
      const read = readJob(await file.text());
      if (!read.ok) return data({ intent: 'file', problems: read.problems.slice(0, 8) }, { status: 422 });
      const { plan, records } = read;
      return make(savingOf(plan, null, 'file', await summarise(person.crewId, plan, records), records));
    }
    case 'remove': {
      allow(person, 'job.remove', person);
      const gone = await withDatabase(() => removeJob(person.crewId, String(form.get('job') ?? '')));
      if (!gone) throw data({ code: 'notFound' }, { status: 404 });
      return redirect('/jobs');
    }
    case 'bringBack': {
      allow(person, 'job.bringBack', person);
      const back = await withDatabase(() => bringBack(person.crewId, String(form.get('job') ?? '')));
      if (!back) throw data({ code: 'notFound' }, { status: 404 });
      return redirect('/jobs');
    }
    default:
      throw data({ code: 'badRequest' }, { status: 400 });
  }
}

export default function Jobs({ loaderData, actionData }: Route.ComponentProps) {
  const { t } = useTranslation();
  const root = useRouteLoaderData<typeof rootLoader>('root');
  const { lang, system } = root?.preferences ?? { lang: 'en' as const, system: null };
  const { jobs, person } = loaderData;
  useEffect(() => isHere(person), [person]);
  const live = useLive();
  // Whoever comes from the door is at the top of the page, and not nowhere.
  useEffect(() => {
    if (live && document.activeElement === document.body) focusOn('[data-head]');
  }, [live]);
  const narrow = useNarrow();
  const own = (
    <>
      {root && <Preferences chosen={root.preferences} />}
      <Link to="/crew">{t('crew.title')}</Link>
      <Form method="post" action="/sign-out" onSubmit={leaves}>
        <Button type="submit">{t('jobs.signOut')}</Button>
      </Form>
    </>
  );
  if (!live) return <BoardStill crew={person.crew} jobs={jobs} />;
  return (
    <FormatProvider lang={lang} system={system ?? 'metric'}>
      <title>{`${t('jobs.title')} · Cimiento`}</title>
      <Flex
        as="header"
        justify="space-between"
        align="center"
        wrap="wrap"
        gap={3}
        px={{ base: 4, md: 8 }}
        py={2.5}
        borderBottomWidth="2px"
        borderStyle="solid"
        borderColor="ink"
        bg="sheet"
      >
        <Flex align="baseline" gap={3}>
          <Heading as="h1" fontSize="xl" letterSpacing="0.04em" tabIndex={-1} outline="none" data-head>
            CIMIENTO
          </Heading>
          <SkipLinks to={{ newJob: '[data-first] input:not([type=hidden])', jobs: '[data-jobs]' }} />
          <Box as="span" color="soft">
            {person.crew}
          </Box>
        </Flex>
        {narrow ? (
          <Menu name={t('hole.menu')}>{own}</Menu>
        ) : (
          <Flex gap={3} align="end" wrap="wrap">
            {own}
          </Flex>
        )}
      </Flex>
      <Flex
        as="main"
        direction={{ base: 'column', lg: 'row' }}
        gap={8}
        px={{ base: 4, md: 8 }}
        py={6}
        align="start"
      >
        <Box flex="1" w="full" data-jobs>
          <Flex justify="space-between" align="baseline" gap={3} mb={3}>
            <Heading fontSize="xl">{t('jobs.board')}</Heading>
            <a href="/today">{t('daysPage.crew.link')}</a>
          </Flex>
          <Waiting person={person.id} jobs={jobs} />
          {jobs.length === 0 ? (
            <Box borderWidth="1px" borderStyle="dashed" borderColor="edge" p={6}>
              {t('jobs.none')}
            </Box>
          ) : (
            <Board jobs={jobs} />
          )}
          <Removed jobs={loaderData.removed} days={loaderData.keptDays} />
          <Archive />
        </Box>
        <NewJob actionData={actionData} demos={loaderData.demos} />
      </Flex>
      {narrow && (
        // Under the thumb, over what is read.
        <Box position="sticky" bottom={0} zIndex={5} bg="sheet" className="no-print">
          <Button
            w="full"
            look="main"
            borderRadius={0}
            minH="52px"
            data-to-new
            onClick={() => focusOn('[data-first] input:not([type=hidden])')}
          >
            {t('jobs.new')}
          </Button>
        </Box>
      )}
    </FormatProvider>
  );
}
