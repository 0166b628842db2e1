import { Box, Flex, Stack } from '@chakra-ui/react';
import { wholeText } from '@cimiento/core';
import { useEffect } from 'react';
import { data, Form, Link, redirect, useNavigation, useRouteLoaderData } from 'react-router';
import { demoPersonFor } from '../../db/demo-people.ts';
import { checkPassword, openSession, personOf, rememberDevice } from '../../db/queries/sign-in.ts';
import { coded } from '../messages/keys.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import type { loader as rootLoader } from '../root.tsx';
import { doorOf, fieldOf } from '../server/body.server.ts';
import {
  agentFrom,
  deviceCookie,
  deviceToken,
  formOf,
  preferencesCookie,
  preferencesOf,
  preferencesOfPerson,
  safeReturn,
  sessionCookie,
  sessionToken,
  withDatabase,
} from '../server/http.server.ts';
import { wipeLeft } from '../state/phone.ts';
import { Button, FieldError, Heading, Small } from '../ui/controls.tsx';
import { Preferences } from '../ui/Preferences.tsx';
import { TextField } from '../ui/TextField.tsx';
import type { Route } from './+types/sign-in';

export async function loader({ request }: Route.LoaderArgs) {
  const token = sessionToken(request);
  if (token && (await withDatabase(() => personOf(token))))
    throw redirect(safeReturn(new URL(request.url).searchParams.get('to')));
  return { demo: process.env.CIMIENTO_DEMO === '1' ? demoPersonFor(preferencesOf(request).lang) : null };
}

export async function action({ request, context }: Route.ActionArgs) {
  const form = await formOf(request, context);
  const email = wholeText(fieldOf(form, 'email'), 200);
  const password = String(form.get('password') ?? '');
  if (!email || !password) return data({ code: 'missing', email }, { status: 400 });
  const { address } = doorOf(context);
  const device = deviceToken(request);
  const result = await withDatabase(() => checkPassword(email, password, address, device));
  if (!result.ok)
    return data(
      { code: result.code, email },
      {
        status: { wrong: 401, tooMany: 429, busy: 503 }[result.code],
        ...(result.code !== 'wrong' && { headers: { 'Retry-After': '5' } }),
      },
    );
  const { token, maxAge } = await withDatabase(() => openSession(result.personId, agentFrom(request)));
  const headers = new Headers({ 'Set-Cookie': sessionCookie(request, token, maxAge) });
  const known = await withDatabase(() => rememberDevice(result.personId, device));
  headers.append('Set-Cookie', deviceCookie(request, known));
  const person = await withDatabase(() => personOf(token));
  if (person) headers.append('Set-Cookie', preferencesCookie(request, preferencesOfPerson(request, person)));
  return redirect(safeReturn(new URL(request.url).searchParams.get('to')), { headers });
}

export default function SignIn({ loaderData, actionData }: Route.ComponentProps) {
  const { t } = useTranslation();
  useEffect(() => void wipeLeft(), []);
  const root = useRouteLoaderData<typeof rootLoader>('root');
  const busy = useNavigation().state !== 'idle';
  const { demo } = loaderData;
  return (
    <Flex as="main" minH="100vh" direction={{ base: 'column', md: 'row' }}>
      <title>{`${t('signIn.title')} · Cimiento`}</title>
      <Flex
        flex="1.2"
        direction="column"
        justify="space-between"
        p={{ base: 5, md: 12 }}
        gap={6}
        bg="paper"
        backgroundImage="linear-gradient(var(--chakra-colors-rule) 1px, transparent 1px)"
        backgroundSize="100% 28px"
      >
        <Heading as="h1" fontSize="3xl" letterSpacing="0.04em">
          CIMIENTO
        </Heading>
        <Stack gap={4} maxW="32rem" bg="paper" py={2}>
          <Box as="p" fontSize="xl" fontWeight={500}>
            {t('signIn.pitch')}
          </Box>
          <GroundStrip />
          <Box as="p" color="soft">
            {t('caution.defer.text')}
          </Box>
        </Stack>
        {root && (
          <Box bg="paper" alignSelf="start">
            <Preferences chosen={root.preferences} />
          </Box>
        )}
      </Flex>
      <Flex
        flex="1"
        align="center"
        justify="center"
        p={{ base: 5, md: 8 }}
        bg="sheet"
        borderLeftWidth={{ md: '2px' }}
        borderStyle="solid"
        borderColor="ink"
      >
        <Stack gap={4} w="full" maxW="22rem">
          <Heading fontSize="xl">{t('signIn.title')}</Heading>
          <Form method="post">
            <Stack gap={3}>
              <TextField
                label={t('signIn.email')}
                name="email"
                type="email"
                autoComplete="username"
                required
                maxLength={200}
                defaultValue={actionData?.email ?? ''}
              />
              <TextField
                label={t('signIn.password')}
                name="password"
                type="password"
                autoComplete="current-password"
                required
                maxLength={200}
              />
              {actionData && (
                <FieldError role="alert" fontSize="sm">
                  {t(coded(`signIn.${actionData.code}`))}
                </FieldError>
              )}
              <Button type="submit" look="main" disabled={busy}>
                {t('signIn.go')}
              </Button>
              <Link to="/forgot">{t('forgot.link')}</Link>
            </Stack>
          </Form>
          {demo && (
            <Form method="post">
              <Stack gap={1} bg="chalkWash" p={3} borderRadius="sm">
                <Box as="p" fontSize="sm" fontWeight={600}>
                  {t('signIn.demo')}
                </Box>
                <Box as="p" fontSize="sm" fontFamily="figure">
                  {demo.email} · {demo.password}
                </Box>
                <input type="hidden" name="email" value={demo.email} />
                <input type="hidden" name="password" value={demo.password} />
                <Button type="submit" disabled={busy}>
                  {t('signIn.demoGo')}
                </Button>
              </Stack>
            </Form>
          )}
          <Small fontSize="sm">
            {t('signIn.new')} <Link to="/join">{t('signIn.join')}</Link>
          </Small>
        </Stack>
      </Flex>
    </Flex>
  );
}

/** A strip of ground with a trench in it: what the product is about, in one line. */
function GroundStrip() {
  const c = (name: string) => `var(--chakra-colors-${name})`;
  return (
    <svg viewBox="0 0 400 120" role="presentation" style={{ width: '100%', display: 'block' }}>
      <path d="M0 30H400V120H0Z" fill={c('soil-soft-clay')} />
      <path d="M0 30H400V42H0Z" fill={c('soil-topsoil')} />
      <path d="M0 88H400V120H0Z" fill={c('soil-gravelly-clay')} />
      <path d="M120 30L170 98H230L280 30Z" fill={c('paper')} stroke={c('earth')} strokeWidth="2.5" />
      <path d="M170 98H230L222 86H178Z" fill={c('placed-wash')} stroke={c('placed')} />
      <path d="M185 68H215V83H185Z" fill={c('placed')} />
      <path d="M195 22H205V68H195Z" fill={c('placed')} />
      <path d="M0 12H400" stroke={c('chalk')} strokeWidth="1.5" />
      <path d="M0 64H145M255 64H400" stroke={c('chalk')} strokeWidth="1.5" strokeDasharray="2 5" />
      <path d="M0 76H154M246 76H400" stroke={c('water')} strokeWidth="1.5" />
    </svg>
  );
}
