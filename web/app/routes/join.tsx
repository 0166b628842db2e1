import { Box, Stack } from '@chakra-ui/react';
import { wholeText } from '@cimiento/core';
import { data, Form, Link, redirect } from 'react-router';
import { joinCrew, openSession } from '../../db/queries/sign-in.ts';
import { coded } from '../messages/keys.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import { doorOf, fieldOf } from '../server/body.server.ts';
import { formOf, sessionCookie, withDatabase } from '../server/http.server.ts';
import { Button, Heading } from '../ui/controls.tsx';
import { TextField } from '../ui/TextField.tsx';
import type { Route } from './+types/join';

const SHORTEST_PASSWORD = 8;

export const loader = () => null;

export async function action({ request, context }: Route.ActionArgs) {
  const form = await formOf(request, context);
  const values = {
    crew: wholeText(fieldOf(form, 'crew'), 80),
    name: wholeText(fieldOf(form, 'name'), 80),
    email: wholeText(fieldOf(form, 'email'), 200),
  };
  const password = String(form.get('password') ?? '');
  const problems: Partial<Record<'crew' | 'name' | 'email' | 'password', string>> = {};
  if (!values.crew) problems.crew = 'missing';
  if (!values.name) problems.name = 'missing';
  if (!/^[^@\s]+@[^@\s]+$/.test(values.email)) problems.email = 'email';
  if (password.length < SHORTEST_PASSWORD) problems.password = 'short';
  if (Object.keys(problems).length > 0) return data({ values, problems }, { status: 400 });
  const joined = await withDatabase(() =>
    joinCrew(values.crew, values.name, values.email, password, doorOf(context).address),
  );
  if (!joined.ok)
    return data(
      { values, problems: { email: joined.code } as typeof problems },
      { status: { emailTaken: 409, tooMany: 429, busy: 503 }[joined.code] },
    );
  const { token, maxAge } = await withDatabase(() => openSession(joined.personId));
  return redirect('/jobs', { headers: { 'Set-Cookie': sessionCookie(request, token, maxAge) } });
}

export default function Join({ actionData }: Route.ComponentProps) {
  const { t } = useTranslation();
  const said = (name: 'crew' | 'name' | 'email' | 'password') => {
    const code = actionData?.problems[name];
    return code ? t(coded(`join.${code}`), { n: SHORTEST_PASSWORD }) : undefined;
  };
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
              problem={said('crew')}
            />
            <TextField
              label={t('join.name')}
              name="name"
              maxLength={80}
              autoComplete="name"
              defaultValue={actionData?.values.name ?? ''}
              problem={said('name')}
            />
            <TextField
              label={t('signIn.email')}
              name="email"
              type="email"
              autoComplete="username"
              defaultValue={actionData?.values.email ?? ''}
              problem={said('email')}
            />
            <TextField
              label={t('signIn.password')}
              name="password"
              type="password"
              autoComplete="new-password"
              problem={said('password')}
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
