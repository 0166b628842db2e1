/** The crew: who is of it, links that let one more in, and the person's own password and sessions. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { data, Form, Link, redirect, useNavigation, useRouteLoaderData } from 'react-router';
import { changePassword, endSession, listSessions } from '../../db/queries/passwords.ts';
import {
  invite,
  leave,
  letCrewEdit,
  listInvites,
  listPeople,
  MOST_INVITES,
  setRole,
  withdrawInvite,
} from '../../db/queries/people.ts';
import { SHORTEST_PASSWORD } from '../../db/queries/secrets.ts';
import type { Person } from '../../db/queries/sign-in.ts';
import { ROLES } from '../../db/schema.ts';
import { agentOf } from '../board/agent.ts';
import { When } from '../board/When.tsx';
import { coded } from '../messages/keys.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import { oneOf } from '../preferences.ts';
import type { loader as rootLoader } from '../root.tsx';
import { fieldOf } from '../server/body.server.ts';
import { allow, can } from '../server/can.server.ts';
import {
  formOf,
  publicOrigin,
  requirePerson,
  sessionCookie,
  sessionToken,
  withDatabase,
} from '../server/http.server.ts';
import { Button, FieldError, Heading, Select, Small } from '../ui/controls.tsx';
import { momentText } from '../ui/days.ts';
import { FormatProvider, useFormat } from '../ui/format.tsx';
import { TextField } from '../ui/TextField.tsx';
import { useLive } from '../ui/useLive.ts';
import type { Route } from './+types/crew';

export async function loader({ request }: Route.LoaderArgs) {
  const person = await requirePerson(request);
  allow(person, 'people.list');
  const leads = can(person, 'people.change');
  const [people, links, sessions] = await withDatabase(() =>
    Promise.all([
      listPeople(person.crewId),
      leads ? listInvites(person.crewId) : [],
      listSessions(person.id, sessionToken(request) ?? ''),
    ]),
  );
  const { id, name, crew, crewEdits } = person;
  return {
    me: { id, name },
    crew,
    crewEdits,
    leads,
    // Whose address it is only a lead needs to see.
    people: people.map((one) => ({ ...one, email: leads || one.id === id ? one.email : '' })),
    links,
    sessions,
    shortest: SHORTEST_PASSWORD,
    most: MOST_INVITES,
  };
}

interface Answer {
  readonly intent: string;
  readonly code?: string;
  readonly link?: string;
  readonly until?: Date;
}
const refused = (intent: string, code: string, status: number) => data<Answer>({ intent, code }, { status });

type Act = (person: Person, form: FormData, request: Request) => Promise<ReturnType<typeof data<Answer>>>;
const ok = (answer: Answer) => data<Answer>(answer, { status: 200 });

const text = (form: FormData, name: string) => String(form.get(name) ?? '');

/** What a person's leaving, or another role, came to. */
const settled = (intent: string, code: Awaited<ReturnType<typeof leave>>) =>
  code === 'ok' ? ok({ intent }) : refused(intent, code, code === 'lastLead' ? 409 : 404);

const ACTS: Readonly<Record<string, Act>> = {
  invite: async (person, form, request) => {
    allow(person, 'people.change');
    const role = oneOf(ROLES, form.get('role')) ?? 'crew';
    const made = await withDatabase(() => invite(person.crewId, person.id, role));
    if (!made) return refused('invite', 'mostInvites', 409);
    return ok({
      intent: 'invite',
      link: `${publicOrigin(request)}/come/${made.token}`,
      until: made.until,
    });
  },
  withdraw: async (person, form) => {
    allow(person, 'people.change');
    const gone = await withDatabase(() => withdrawInvite(person.crewId, text(form, 'id')));
    return gone ? ok({ intent: 'withdraw' }) : refused('withdraw', 'notFound', 404);
  },
  edits: async (person, form) => {
    allow(person, 'people.change');
    await withDatabase(() => letCrewEdit(person.crewId, form.get('on') === '1'));
    return ok({ intent: 'edits' });
  },
  role: async (person, form) => {
    allow(person, 'people.change');
    const role = oneOf(ROLES, form.get('role'));
    if (!role) return refused('role', 'badRequest', 400);
    return settled('role', await withDatabase(() => setRole(person.crewId, text(form, 'id'), role)));
  },
  out: async (person, form) => {
    allow(person, 'people.change');
    return settled('out', await withDatabase(() => leave(person.crewId, text(form, 'id'))));
  },
  leave: async (person, _form, request) => {
    allow(person, 'self.change');
    const code = await withDatabase(() => leave(person.crewId, person.id));
    if (code !== 'ok') return settled('leave', code);
    throw redirect('/sign-in', { headers: { 'Set-Cookie': sessionCookie(request, '', 0) } });
  },
  password: async (person, form, request) => {
    allow(person, 'self.change');
    const next = text(form, 'next');
    if (next.length < SHORTEST_PASSWORD) return refused('password', 'short', 400);
    const code = await withDatabase(() =>
      changePassword(person.id, sessionToken(request) ?? '', text(form, 'old'), next),
    );
    if (code !== 'ok') return refused('password', code, code === 'wrong' ? 401 : 503);
    return ok({ intent: 'password' });
  },
  end: async (person, form) => {
    allow(person, 'self.change');
    const gone = await withDatabase(() => endSession(person.id, text(form, 'id')));
    return gone ? ok({ intent: 'end' }) : refused('end', 'notFound', 404);
  },
};

export async function action({ request, context }: Route.ActionArgs) {
  const person = await requirePerson(request);
  const form = await formOf(request, context);
  const act = ACTS[fieldOf(form, 'intent')];
  if (!act) throw data({ code: 'badRequest' }, { status: 400 });
  return act(person, form, request);
}

export default function Crew({ loaderData, actionData }: Route.ComponentProps) {
  const { t } = useTranslation();
  const root = useRouteLoaderData<typeof rootLoader>('root');
  const { lang } = root?.preferences ?? { lang: 'en' as const };
  const { crew } = loaderData;
  return (
    <FormatProvider lang={lang} system="metric">
      <title>{`${t('crew.title')} · Cimiento`}</title>
      <Flex
        as="header"
        justify="space-between"
        align="center"
        px={{ base: 4, md: 8 }}
        py={2.5}
        borderBottomWidth="2px"
        borderStyle="solid"
        borderColor="ink"
        bg="sheet"
      >
        <Heading as="h1" fontSize="xl">
          {t('crew.people', { crew })}
        </Heading>
        <Link to="/jobs">{t('crew.board')}</Link>
      </Flex>
      <Flex
        as="main"
        direction={{ base: 'column', lg: 'row' }}
        gap={10}
        px={{ base: 4, md: 8 }}
        py={6}
        align="start"
      >
        <Stack flex="1.4" w="full" gap={6}>
          <People of={loaderData} said={actionData} />
          {loaderData.leads && <Invites of={loaderData} said={actionData} />}
        </Stack>
        <Stack flex="1" w="full" gap={6}>
          <Password said={actionData} shortest={loaderData.shortest} />
          <Sessions of={loaderData} />
        </Stack>
      </Flex>
    </FormatProvider>
  );
}

type Loaded = Route.ComponentProps['loaderData'];
type Said = Answer | undefined;

/** What was refused, beside where it was asked. */
function Refused({ said, of, values }: { said: Said; of: string; values?: Record<string, number> }) {
  const { t } = useTranslation();
  if (said?.intent !== of || said.code === undefined) return null;
  return <FieldError role="alert">{t(coded(`crew.${said.code}`), values)}</FieldError>;
}

/** Something that cannot be taken back is pressed twice. */
function Twice({
  intent,
  id,
  label,
  name,
  sure,
}: {
  intent: string;
  id?: string;
  label: string;
  name: string;
  sure: string;
}) {
  const { t } = useTranslation();
  const [asked, setAsked] = useState(false);
  const busy = useNavigation().state !== 'idle';
  if (!asked)
    return (
      <Button size="sm" aria-label={name} onClick={() => setAsked(true)}>
        {label}
      </Button>
    );
  return (
    <Form method="post">
      <input type="hidden" name="intent" value={intent} />
      {id && <input type="hidden" name="id" value={id} />}
      <Small>{sure}</Small>
      <Button size="sm" type="submit" look="main" disabled={busy}>
        {t('crew.sure')}
      </Button>
    </Form>
  );
}

function People({ of, said }: { of: Loaded; said: Said }) {
  const { t } = useTranslation();
  const { lang } = useFormat();
  const live = useLive();
  const { me, people, leads, crewEdits } = of;
  return (
    <section>
      <Small fontSize="sm">{t('crew.what')}</Small>
      <Box as="ul" mt={2} data-people>
        {people.map((one) => (
          <Flex
            as="li"
            key={one.id}
            data-person={one.name}
            gap={3}
            py={2.5}
            borderBottomWidth="1px"
            borderStyle="solid"
            borderColor="rule"
            align="center"
            wrap="wrap"
          >
            <Box flex="1" minW="12rem">
              <Box fontWeight={600}>
                {one.name}
                {one.id === me.id && ` · ${t('crew.you')}`}
              </Box>
              <Small>
                {one.email && `${one.email} · `}
                {one.seenAt === null
                  ? t('crew.never')
                  : live && t('crew.seen', { when: momentText(lang, one.seenAt.getTime()) })}
              </Small>
            </Box>
            {leads ? (
              <Form method="post">
                <input type="hidden" name="intent" value="role" />
                <input type="hidden" name="id" value={one.id} />
                <Select
                  key={one.role}
                  name="role"
                  aria-label={t('crew.roleOf', { name: one.name })}
                  defaultValue={one.role}
                  onChange={(event) => event.currentTarget.form?.requestSubmit()}
                >
                  {ROLES.map((role) => (
                    <option key={role} value={role}>
                      {t(`crew.role.${role}`)}
                    </option>
                  ))}
                </Select>
              </Form>
            ) : (
              <Small>{t(`crew.role.${one.role}`)}</Small>
            )}
            {one.id === me.id ? (
              <Twice
                intent="leave"
                label={t('crew.leave')}
                name={t('crew.leave')}
                sure={t('crew.leaveSure')}
              />
            ) : (
              leads && (
                <Twice
                  intent="out"
                  id={one.id}
                  label={t('crew.out')}
                  name={t('crew.outOf', { name: one.name })}
                  sure={t('crew.outSure', { name: one.name })}
                />
              )
            )}
          </Flex>
        ))}
      </Box>
      {(['role', 'out', 'leave'] as const).map((intent) => (
        <Refused key={intent} said={said} of={intent} />
      ))}
      {leads && (
        <Form method="post">
          <input type="hidden" name="intent" value="edits" />
          <input type="hidden" name="on" value={crewEdits ? '0' : '1'} />
          <Flex as="label" gap={2} align="center" mt={3} minH="44px">
            <input
              type="checkbox"
              checked={crewEdits}
              onChange={(event) => event.currentTarget.form?.requestSubmit()}
            />
            {t('crew.edits')}
          </Flex>
        </Form>
      )}
    </section>
  );
}

function Invites({ of, said }: { of: Loaded; said: Said }) {
  const { t } = useTranslation();
  const { lang } = useFormat();
  const live = useLive();
  const [copied, setCopied] = useState(false);
  const link = said?.intent === 'invite' ? said.link : undefined;
  useEffect(() => {
    if (link !== undefined) setCopied(false);
  }, [link]);
  return (
    <section>
      <Heading fontSize="lg">{t('crew.invite')}</Heading>
      <Form method="post">
        <input type="hidden" name="intent" value="invite" />
        <Flex gap={3} align="end" mt={2}>
          <Box as="label">
            <Small>{t('crew.inviteAs')}</Small>
            <Select name="role" defaultValue="crew">
              {[...ROLES].reverse().map((role) => (
                <option key={role} value={role}>
                  {t(`crew.role.${role}`)}
                </option>
              ))}
            </Select>
          </Box>
          <Button type="submit">{t('crew.makeLink')}</Button>
        </Flex>
      </Form>
      <Refused said={said} of="invite" values={{ n: of.most }} />
      {link !== undefined && (
        <Box mt={3} p={3} bg="chalkWash" borderRadius="sm" role="status">
          <Small>
            {live && said?.until && t('crew.link', { when: momentText(lang, said.until.getTime()) })}
          </Small>
          <Box as="code" display="block" wordBreak="break-all" data-link>
            {link}
          </Box>
          <Button
            size="sm"
            onClick={() => void navigator.clipboard.writeText(link).then(() => setCopied(true))}
          >
            {copied ? t('crew.copied') : t('crew.copy')}
          </Button>
        </Box>
      )}
      {of.links.length > 0 && (
        <Box mt={4}>
          <Small>{t('crew.open')}</Small>
          <ul data-links={of.links.length}>
            {of.links.map((one) => (
              <Flex as="li" key={one.id} gap={3} align="center" py={1}>
                <span>
                  {live &&
                    t('crew.openOne', {
                      role: t(`crew.role.${one.role}`),
                      by: one.by,
                      when: momentText(lang, one.expiresAt.getTime()),
                    })}
                </span>
                <Form method="post">
                  <input type="hidden" name="intent" value="withdraw" />
                  <input type="hidden" name="id" value={one.id} />
                  <Button size="sm" type="submit">
                    {t('crew.withdraw')}
                  </Button>
                </Form>
              </Flex>
            ))}
          </ul>
        </Box>
      )}
    </section>
  );
}

function Password({ said, shortest }: { said: Said; shortest: number }) {
  const { t } = useTranslation();
  const mine = said?.intent === 'password' ? said : undefined;
  const problem = (code: string) =>
    mine?.code === code ? t(coded(`crew.${code}`), { n: shortest }) : undefined;
  return (
    <section>
      <Heading fontSize="lg">{t('crew.account')}</Heading>
      <Form method="post" noValidate key={mine && mine.code === undefined ? 'done' : 'open'}>
        <input type="hidden" name="intent" value="password" />
        <Stack gap={2} mt={2} maxW="22rem">
          <TextField
            label={t('crew.old')}
            name="old"
            type="password"
            autoComplete="current-password"
            problem={problem('wrong') ?? problem('busy')}
          />
          <TextField
            label={t('crew.next')}
            name="next"
            type="password"
            autoComplete="new-password"
            problem={problem('short')}
          />
          <Button type="submit">{t('crew.change')}</Button>
          {mine && mine.code === undefined && <Small role="status">{t('crew.changed')}</Small>}
        </Stack>
      </Form>
    </section>
  );
}

function Sessions({ of: { sessions } }: { of: Loaded }) {
  const { t } = useTranslation();
  const live = useLive();
  return (
    <section>
      <Heading fontSize="lg">{t('crew.sessions')}</Heading>
      <ul data-sessions={sessions.length}>
        {sessions.map((one) => {
          const agent = agentOf(one.agent) || t('crew.unknownAgent');
          return (
            <Flex as="li" key={one.id} gap={3} align="center" py={1.5} justify="space-between">
              <Box>
                <Box fontWeight={500}>{agent}</Box>
                <Small>{one.here ? t('crew.here') : live ? <When at={one.seenAt} /> : ''}</Small>
              </Box>
              {!one.here && (
                <Form method="post">
                  <input type="hidden" name="intent" value="end" />
                  <input type="hidden" name="id" value={one.id} />
                  <Button size="sm" type="submit" aria-label={t('crew.endOf', { what: agent })}>
                    {t('crew.end')}
                  </Button>
                </Form>
              )}
            </Flex>
          );
        })}
      </ul>
    </section>
  );
}
