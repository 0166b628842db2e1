import { Box, Flex, Stack } from '@chakra-ui/react';
import { blankPlan } from '@cimiento/core';
import { LONGEST_PLAN, readPlan } from '@cimiento/formats';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { data, Form, Link, redirect, useRouteLoaderData } from 'react-router';
import { createJob, listJobs, removeJob } from '../../db/queries/jobs.ts';
import { Button, FieldError, Heading, Select, Small, Th } from '../parts/controls.tsx';
import { FormatProvider, makeFormat, useFormat } from '../parts/format.tsx';
import { Preferences } from '../parts/Preferences.tsx';
import { TextField } from '../parts/TextField.tsx';
import { problemText } from '../parts/words.ts';
import { oneOf, SYSTEMS } from '../preferences.ts';
import type { loader as rootLoader } from '../root.tsx';
import { formOf, requirePerson, withDatabase } from '../server/http.server.ts';
import { DEMOS, demoPlan, savingOf } from '../server/jobs.server.ts';
import type { Route } from './+types/jobs';

export async function loader({ request }: Route.LoaderArgs) {
  const person = await requirePerson(request);
  return {
    person: { name: person.name, crew: person.crew },
    jobs: await withDatabase(() => listJobs(person.crewId)),
    demos: DEMOS,
  };
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requirePerson(request);
  const form = await formOf(request);
  const make = async (saving: ReturnType<typeof savingOf>) =>
    redirect(`/jobs/${await withDatabase(() => createJob(person.crewId, person.id, saving))}`);
  switch (form.get('intent')) {
    case 'blank': {
      const name = String(form.get('name') ?? '')
        .trim()
        .slice(0, 80);
      if (!name)
        return data({ intent: 'blank', problems: [{ code: 'blank', path: '/name' }] }, { status: 400 });
      const system = oneOf(SYSTEMS, form.get('system')) ?? 'metric';
      const plan = {
        ...blankPlan(name, system),
        place: String(form.get('place') ?? '')
          .trim()
          .slice(0, 120),
      };
      return make(savingOf(plan, null, 'new'));
    }
    case 'demo': {
      const demo = oneOf(DEMOS, form.get('demo'));
      if (!demo)
        return data({ intent: 'demo', problems: [{ code: 'choice', path: '/demo' }] }, { status: 400 });
      return make(savingOf(await demoPlan(demo), null, 'demo'));
    }
    case 'file': {
      const file = form.get('file');
      if (!(file instanceof File) || file.size === 0)
        return data({ intent: 'file', problems: [{ code: 'noFile', path: '' }] }, { status: 400 });
      if (file.size > LONGEST_PLAN)
        return data({ intent: 'file', problems: [{ code: 'tooLong', path: '' }] }, { status: 413 });
      const read = readPlan(await file.text());
      if (!read.ok) return data({ intent: 'file', problems: read.problems.slice(0, 8) }, { status: 422 });
      return make(savingOf(read.plan, null, 'file'));
    }
    case 'remove': {
      const gone = await withDatabase(() => removeJob(person.crewId, String(form.get('job') ?? '')));
      if (!gone) throw data({ code: 'notFound' }, { status: 404 });
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
          <Heading as="h1" fontSize="xl" letterSpacing="0.04em">
            CIMIENTO
          </Heading>
          <Box as="span" color="soft">
            {person.crew}
          </Box>
        </Flex>
        <Flex gap={3} align="end" wrap="wrap">
          {root && <Preferences chosen={root.preferences} />}
          <Form method="post" action="/sign-out">
            <Button type="submit">{t('jobs.signOut')}</Button>
          </Form>
        </Flex>
      </Flex>
      <Flex
        as="main"
        direction={{ base: 'column', lg: 'row' }}
        gap={8}
        px={{ base: 4, md: 8 }}
        py={6}
        align="start"
      >
        <Box flex="1" w="full">
          <Heading fontSize="xl" mb={3}>
            {t('jobs.board')}
          </Heading>
          {jobs.length === 0 ? (
            <Box borderWidth="1px" borderStyle="dashed" borderColor="edge" p={6}>
              {t('jobs.none')}
            </Box>
          ) : (
            <Board jobs={jobs} />
          )}
        </Box>
        <NewJob actionData={actionData} demos={loaderData.demos} />
      </Flex>
    </FormatProvider>
  );
}

type Row = Route.ComponentProps['loaderData']['jobs'][number];

function Board({ jobs }: { jobs: readonly Row[] }) {
  const { t } = useTranslation();
  const head = {
    textAlign: 'left',
    fontWeight: 500,
    fontSize: 'sm',
    color: 'soft',
    pb: 1,
    borderBottomWidth: '2px',
    borderStyle: 'solid',
    borderColor: 'ink',
  } as const;
  return (
    <Box as="table" w="full" borderCollapse="collapse" display={{ base: 'block', md: 'table' }}>
      <Box as="thead" display={{ base: 'none', md: 'table-header-group' }}>
        <tr>
          {(['job', 'hold', 'dig', 'changed'] as const).map((key) => (
            <Th
              scope="col"
              key={key}
              {...head}
              textAlign={key === 'dig' ? 'right' : 'left'}
              pr={key === 'dig' ? 4 : 0}
            >
              {t(`jobs.${key}`)}
            </Th>
          ))}
          <Th {...head}>
            <span hidden>{t('jobs.remove')}</span>
          </Th>
        </tr>
      </Box>
      <Box as="tbody" display={{ base: 'block', md: 'table-row-group' }}>
        {jobs.map((job) => (
          <BoardRow key={job.id} job={job} />
        ))}
      </Box>
    </Box>
  );
}

function BoardRow({ job }: { job: Row }) {
  const { t } = useTranslation();
  const shown = useFormat();
  const root = useRouteLoaderData<typeof rootLoader>('root');
  const format = makeFormat(shown.lang, root?.preferences.system ?? job.system);
  const [asking, setAsking] = useState(false);
  const dig = format.parts(job.summary.dig, 'volume');
  const when = new Intl.DateTimeFormat(shown.lang === 'es' ? 'es-ES' : 'en-GB', {
    dateStyle: 'medium',
    timeStyle: 'short',
    timeZone: 'UTC',
  }).format(new Date(job.updatedAt));
  const [hold] = job.summary.holds;
  const cell = {
    verticalAlign: 'top',
    py: 3,
    pr: 4,
    borderBottomWidth: { md: '1px' },
    borderStyle: 'solid',
    borderColor: 'rule',
    display: { base: 'block', md: 'table-cell' },
  } as const;
  return (
    <Box
      as="tr"
      display={{ base: 'block', md: 'table-row' }}
      borderBottomWidth={{ base: '1px', md: '0' }}
      borderStyle="solid"
      borderColor="edge"
      py={{ base: 2, md: 0 }}
    >
      <Box as="td" {...cell}>
        <Link to={`/jobs/${job.id}`} style={{ fontWeight: 600, fontSize: '1.125rem' }}>
          {job.name}
        </Link>
        <Small fontSize="sm">
          {job.place || t('jobs.noPlace')} · {t('jobs.elements', { count: job.summary.elements })}
        </Small>
      </Box>
      <Box as="td" {...cell} py={{ base: 1, md: 3 }}>
        {hold ? (
          <Box
            as="span"
            display="inline-block"
            bg="heldWash"
            color="held"
            px={2}
            py={0.5}
            borderRadius="sm"
            fontSize="sm"
            fontWeight={500}
          >
            {t(`hold.${hold}`)}
            {job.summary.holds.length > 1 && ` +${job.summary.holds.length - 1}`}
          </Box>
        ) : (
          <Box as="span" color="soft" fontSize="sm">
            {t('jobs.noHold')}
          </Box>
        )}
      </Box>
      <Box
        as="td"
        {...cell}
        py={{ base: 1, md: 3 }}
        textAlign={{ md: 'right' }}
        fontFamily="figure"
        fontSize="xl"
        fontWeight={600}
        whiteSpace="nowrap"
      >
        {dig.number}{' '}
        <Box as="span" fontSize="sm" color="soft">
          {dig.unit}
        </Box>
      </Box>
      <Box as="td" {...cell} py={{ base: 1, md: 3 }} fontSize="sm">
        {when}
        <Small>
          {job.updatedBy ?? ''} · {t('jobs.revision', { n: job.revision })}
        </Small>
      </Box>
      <Box as="td" {...cell} pr={0} py={{ base: 1, md: 3 }} textAlign={{ md: 'right' }}>
        <Form method="post" onSubmit={() => setAsking(false)}>
          <input type="hidden" name="intent" value="remove" />
          <input type="hidden" name="job" value={job.id} />
          {asking ? (
            <Flex gap={2} justify={{ md: 'end' }}>
              <Button type="submit" look="held" size="sm">
                {t('jobs.removeSure', { name: job.name })}
              </Button>
              <Button type="button" size="sm" onClick={() => setAsking(false)}>
                {t('jobs.keep')}
              </Button>
            </Flex>
          ) : (
            <Button
              type="button"
              look="quiet"
              size="sm"
              onClick={() => setAsking(true)}
              aria-label={t('jobs.removeNamed', { name: job.name })}
            >
              {t('jobs.remove')}
            </Button>
          )}
        </Form>
      </Box>
    </Box>
  );
}

function NewJob({
  actionData,
  demos,
}: {
  actionData: Route.ComponentProps['actionData'] | undefined;
  demos: readonly string[];
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const problems = actionData?.problems ?? [];
  const said = (intent: string) =>
    actionData?.intent === intent && (
      <Box role="alert">
        {problems.map((p) => (
          <FieldError key={p.path + p.code} fontSize="sm">
            {p.path && <code>{p.path} </code>}
            {problemText(t, format, p)}
          </FieldError>
        ))}
      </Box>
    );
  return (
    <Stack
      as="aside"
      gap={5}
      w={{ base: 'full', lg: '20rem' }}
      flexShrink={0}
      borderLeftWidth={{ lg: '1px' }}
      borderStyle="solid"
      borderColor="rule"
      pl={{ lg: 8 }}
    >
      <Heading fontSize="xl">{t('jobs.new')}</Heading>
      <Form method="post">
        <Stack gap={2}>
          <input type="hidden" name="intent" value="blank" />
          <TextField label={t('jobs.name')} name="name" maxLength={80} required />
          <TextField label={t('jobs.place')} name="place" maxLength={120} />
          <label>
            <Box as="span" fontSize="sm">
              {t('jobs.drawnIn')}
            </Box>
            <Select name="system" defaultValue={format.system}>
              <option value="metric">{t('prefs.metric')}</option>
              <option value="imperial">{t('prefs.imperial')}</option>
            </Select>
          </label>
          {said('blank')}
          <Button type="submit" look="main">
            <Plus size={16} aria-hidden /> {t('jobs.startBlank')}
          </Button>
        </Stack>
      </Form>
      <Form method="post">
        <Stack gap={2}>
          <input type="hidden" name="intent" value="demo" />
          <label>
            <Box as="span" fontSize="sm">
              {t('jobs.fromDemo')}
            </Box>
            <Select name="demo">
              {demos.map((demo) => (
                <option key={demo} value={demo}>
                  {t(`demo.${demo}`)}
                </option>
              ))}
            </Select>
          </label>
          {said('demo')}
          <Button type="submit">{t('jobs.startDemo')}</Button>
        </Stack>
      </Form>
      <Form method="post" encType="multipart/form-data">
        <Stack gap={2}>
          <input type="hidden" name="intent" value="file" />
          <label>
            <Box as="span" fontSize="sm">
              {t('jobs.fromFile')}
            </Box>
            <input
              type="file"
              name="file"
              accept=".json,application/json"
              style={{ display: 'block', width: '100%', padding: '6px 0' }}
            />
          </label>
          {said('file')}
          <Button type="submit">{t('jobs.startFile')}</Button>
        </Stack>
      </Form>
    </Stack>
  );
}
