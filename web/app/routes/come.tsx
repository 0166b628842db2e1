/** A link that lets one more person into a crew: once, while it lasts. */
import { Box, Stack } from '@chakra-ui/react';
import { data, Form, Link, redirect } from 'react-router';
import { enterBy, invitedBy } from '../../db/queries/people.ts';
import { SHORTEST_PASSWORD } from '../../db/queries/secrets.ts';
import { openSession, personOf } from '../../db/queries/sign-in.ts';
import { WhoFields } from '../board/WhoFields.tsx';
import { coded } from '../messages/keys.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import { doorOf } from '../server/body.server.ts';
import { agentFrom, formOf, sessionCookie, sessionToken, withDatabase } from '../server/http.server.ts';
import { readWho } from '../server/who.server.ts';
import { Button, Heading, Small } from '../ui/controls.tsx';
import type { Route } from './+types/come';

export async function loader({ request, params }: Route.LoaderArgs) {
  const token = sessionToken(request);
  const [offered, here] = await withDatabase(() =>
    Promise.all([invitedBy(params.token), token ? personOf(token) : null]),
  );
  return data(
    { offered, here: here?.name ?? null, shortest: SHORTEST_PASSWORD },
    { status: offered.ok ? 200 : 410, headers: { 'Referrer-Policy': 'no-referrer' } },
  );
}

export async function action({ request, params, context }: Route.ActionArgs) {
  const form = await formOf(request, context);
  const { values, password, problems } = readWho(form);
  if (Object.keys(problems).length > 0) return data({ values, problems, link: null }, { status: 400 });
  const entered = await withDatabase(() =>
    enterBy(params.token, { ...values, password }, doorOf(context).address),
  );
  if (!entered.ok) {
    const { code } = entered;
    if (code === 'inviteUsed' || code === 'inviteLate' || code === 'inviteUnknown')
      return data({ values, problems, link: code }, { status: 410 });
    return data(
      { values, problems: { email: code } as typeof problems, link: null },
      { status: { emailTaken: 409, tooMany: 429, busy: 503 }[code] },
    );
  }
  const { token, maxAge } = await withDatabase(() => openSession(entered.personId, agentFrom(request)));
  return redirect('/jobs', { headers: { 'Set-Cookie': sessionCookie(request, token, maxAge) } });
}

export default function Come({ loaderData, actionData }: Route.ComponentProps) {
  const { t } = useTranslation();
  const { offered, here, shortest } = loaderData;
  const ended = actionData?.link ?? (offered.ok ? null : offered.code);
  return (
    <Box as="main" maxW="24rem" mx="auto" p={6} pt={12}>
      <title>{`${t('crew.title')} · Cimiento`}</title>
      {ended !== null || !offered.ok ? (
        <Stack gap={4}>
          <Box role="alert">{t(coded(`come.${ended}`))}</Box>
          <Link to="/sign-in">{t('join.back')}</Link>
        </Stack>
      ) : (
        <Stack gap={4}>
          <Heading as="h1" fontSize="2xl">
            {t('come.title', { crew: offered.crew })}
          </Heading>
          <Box as="p">
            {t('come.text', { by: offered.by, crew: offered.crew, role: t(`crew.role.${offered.role}`) })}
          </Box>
          {here !== null && <Small role="alert">{t('come.signedIn', { name: here })}</Small>}
          <Form method="post" noValidate>
            <Stack gap={3}>
              <WhoFields values={actionData?.values} problems={actionData?.problems} shortest={shortest} />
              <Button type="submit" look="main">
                {t('come.go')}
              </Button>
            </Stack>
          </Form>
        </Stack>
      )}
    </Box>
  );
}
