/** A password nobody remembers: a link goes to the address, and by it another is chosen. */
import { Box, Stack } from '@chakra-ui/react';
import { data, Form, Link } from 'react-router';
import { askReset, isReset, takeReset } from '../../db/queries/passwords.ts';
import { SHORTEST_PASSWORD } from '../../db/queries/secrets.ts';
import { coded } from '../messages/keys.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import { doorOf, fieldOf } from '../server/body.server.ts';
import { formOf, preferencesOf, publicOrigin, withDatabase } from '../server/http.server.ts';
import { mailReset } from '../server/mail.server.ts';
import { isAddress } from '../server/who.server.ts';
import { Button, Heading } from '../ui/controls.tsx';
import { TextField } from '../ui/TextField.tsx';
import type { Route } from './+types/forgot';

export async function loader({ params }: Route.LoaderArgs) {
  const { token } = params;
  const open = token === undefined ? null : await withDatabase(() => isReset(token));
  return data(
    { open, shortest: SHORTEST_PASSWORD },
    { status: open === false ? 410 : 200, headers: { 'Referrer-Policy': 'no-referrer' } },
  );
}

export async function action({ request, params, context }: Route.ActionArgs) {
  const form = await formOf(request, context);
  if (params.token === undefined) {
    const email = fieldOf(form, 'email');
    if (!isAddress(email)) return data({ code: 'email' as const }, { status: 400 });
    const asked = await withDatabase(() => askReset(email, doorOf(context).address));
    if (asked)
      await withDatabase(() =>
        mailReset(asked, `${publicOrigin(request)}/forgot/${asked.token}`, preferencesOf(request).lang),
      );
    // Nobody learns here who signs in with what address.
    return { code: 'sent' as const };
  }
  const next = String(form.get('password') ?? '');
  if (next.length < SHORTEST_PASSWORD) return data({ code: 'short' as const }, { status: 400 });
  const { token } = params;
  const code = await withDatabase(() => takeReset(token, next));
  if (code === 'ok') return { code: 'done' as const };
  return data({ code }, { status: code === 'late' ? 410 : 503 });
}

export default function Forgot({ loaderData, actionData }: Route.ComponentProps) {
  const { t } = useTranslation();
  const { open, shortest } = loaderData;
  const code = actionData?.code;
  const late = code === 'late' || (open === false && code === undefined);
  return (
    <Box as="main" maxW="24rem" mx="auto" p={6} pt={12}>
      <title>{`${t('forgot.title')} · Cimiento`}</title>
      <Stack gap={4}>
        <Heading as="h1" fontSize="2xl">
          {t(open === null ? 'forgot.title' : 'forgot.choose')}
        </Heading>
        {code === 'sent' || code === 'done' ? (
          <Box role="status">{t(`forgot.${code}`)}</Box>
        ) : late ? (
          <>
            <Box role="alert">{t('forgot.late')}</Box>
            <Link to="/forgot">{t('forgot.again')}</Link>
          </>
        ) : (
          <Form method="post" noValidate>
            <Stack gap={3}>
              {open === null ? (
                <>
                  <Box as="p">{t('forgot.text')}</Box>
                  <TextField
                    label={t('signIn.email')}
                    name="email"
                    type="email"
                    autoComplete="username"
                    maxLength={200}
                    problem={code === 'email' ? t('join.email') : undefined}
                  />
                </>
              ) : (
                <TextField
                  label={t('crew.next')}
                  name="password"
                  type="password"
                  autoComplete="new-password"
                  problem={code && t(coded(`crew.${code}`), { n: shortest })}
                />
              )}
              <Button type="submit" look="main">
                {t(open === null ? 'forgot.go' : 'crew.change')}
              </Button>
            </Stack>
          </Form>
        )}
        <Link to="/sign-in">{t('join.back')}</Link>
      </Stack>
    </Box>
  );
}
