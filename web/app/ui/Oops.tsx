import { Box, chakra, Stack } from '@chakra-ui/react';
import { Link, useLocation } from 'react-router';
import { useTranslation } from '../messages/useTranslation.ts';
import { Button, Heading } from './controls.tsx';

const ButtonLink = chakra(Link);

/** A page that says in plain words what went wrong and where to go; never a stack trace. */
export function Oops({
  code,
}: {
  code: 'databaseDown' | 'forbidden' | 'notFound' | 'leadOnly' | 'badRequest' | 'signedOut' | 'unknown';
}) {
  const { t } = useTranslation();
  const { pathname, search } = useLocation();
  return (
    <Box as="main" maxW="34rem" mx="auto" p={6} pt={16}>
      <title>{`${t(`oops.${code}.title`)} · Cimiento`}</title>
      <Stack gap={3} borderLeft="4px solid" borderColor="held" pl={5}>
        <Heading as="h1" fontSize="2xl">
          {t(`oops.${code}.title`)}
        </Heading>
        <p>{t(`oops.${code}.text`)}</p>
        <Box display="flex" gap={2} flexWrap="wrap">
          {code === 'databaseDown' && (
            <form action={pathname + search}>
              <Button type="submit" look="main">
                {t('oops.again')}
              </Button>
            </form>
          )}
          <ButtonLink to="/jobs" alignSelf="center" color="chalk">
            {t('oops.jobs')}
          </ButtonLink>
        </Box>
      </Stack>
    </Box>
  );
}
