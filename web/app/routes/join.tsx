import { Box, Stack } from '@chakra-ui/react';
import { wholeText } from '@cimiento/core';
import { data, Form, Link, redirect } from 'react-router';
import { SHORTEST_PASSWORD } from '../../db/queries/secrets.ts';
import { joinCrew, openSession } from '../../db/queries/sign-in.ts';
import { WhoFields } from '../board/WhoFields.tsx';
import { coded } from '../messages/keys.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import { doorOf, fieldOf } from '../server/body.server.ts';
import { agentFrom, formOf, sessionCookie, withDatabase } from '../server/http.server.ts';
import { readWho, type WhoField } from '../server/who.server.ts';
import { Button, Heading } from '../ui/controls.tsx';
import { TextField } from '../ui/TextField.tsx';
import type { Route } from './+types/join';

export const loader = () => ({ shortest: SHORTEST_PASSWORD });

export async function action({ request, context }: Route.ActionArgs) {
  const form = await formOf(request, context);
  const who = readWho(form);
  const values = { crew: wholeText(fieldOf(form, 'crew'), 80), ...who.values };
  const problems: Partial<Record<'crew' | WhoField, string>> = { ...who.problems };
  if (!values.crew) problems.crew = 'missing';
  if (Object.keys(problems).length > 0) return data({ values, problems }, { status: 400 });
  const joined = await withDatabase(() =>
    joinCrew(values.crew, values.name, values.email, who.password, doorOf(context).address),
  );
  if (!joined.ok)
    return data(
      { values, problems: { email: joined.code } as typeof problems },
      { status: { emailTaken: 409, tooMany: 429, busy: 503 }[joined.code] },
    );
  const { token, maxAge } = await withDatabase(() => openSession(joined.personId, agentFrom(request)));
  return redirect('/jobs', { headers: { 'Set-Cookie': sessionCookie(request, token, maxAge) } });
}

export default function Join({ loaderData, actionData }: Route.ComponentProps) {
  const { t } = useTranslation();
  return (
    <Box as="main" maxW="24rem" mx="auto" p={6} pt={12}>
      <title>{`${t('join.title')} · Cimiento`}</title>
      <Stack gap={4}>
        <Heading as="h1" fontSize="2xl">
          {t('join.title')}
        </Heading>
        <Form method="post" noValidate>
          <Stack gap={3}>
            <TextField
              label={t('join.crew')}
              name="crew"
              maxLength={80}
              defaultValue={actionData?.values.crew ?? ''}
              problem={actionData?.problems.crew && t(coded(`join.${actionData.problems.crew}`))}
            />
            <WhoFields
              values={actionData?.values}
              problems={actionData?.problems}
              shortest={loaderData.shortest}
            />
            <Button type="submit" look="main">
              {t('join.go')}
            </Button>
          </Stack>
        </Form>
        <Link to="/sign-in">{t('join.back')}</Link>
      </Stack>
    </Box>
  );
}
