/** What the stand-in for mail was given to send: in demo mode only, for whoever plays the other side. */
import { Box, Stack } from '@chakra-ui/react';
import { data } from 'react-router';
import { listMails } from '../../db/queries/mail.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import { withDatabase } from '../server/http.server.ts';
import { Heading, Small } from '../ui/controls.tsx';
import type { Route } from './+types/mail';

export async function loader() {
  if (process.env.CIMIENTO_DEMO !== '1') throw data({ code: 'notFound' }, { status: 404 });
  return { mails: await withDatabase(() => listMails()) };
}

/** A message with its links to press. */
function Body({ text }: { text: string }) {
  return text.split(/(https?:\/\/\S+)/).map((part, i) =>
    i % 2 === 1 ? (
      <a key={part} href={part}>
        {part}
      </a>
    ) : (
      part
    ),
  );
}

export default function Mail({ loaderData }: Route.ComponentProps) {
  const { t } = useTranslation();
  const { mails } = loaderData;
  return (
    <Box as="main" maxW="40rem" mx="auto" p={6}>
      <title>{`${t('mail.title')} · Cimiento`}</title>
      <Stack gap={4}>
        <Heading as="h1" fontSize="2xl">
          {t('mail.title')}
        </Heading>
        <Box as="p">{t('mail.text')}</Box>
        {mails.length === 0 && <Small>{t('mail.none')}</Small>}
        {mails.map(({ id, to, subject, body }) => (
          <Box
            as="article"
            key={id}
            borderWidth="1px"
            borderStyle="solid"
            borderColor="edge"
            bg="sheet"
            p={4}
          >
            <Small>{t('mail.to', { to })}</Small>
            <Heading fontSize="md">{subject}</Heading>
            <Box whiteSpace="pre-wrap" wordBreak="break-word">
              <Body text={body} />
            </Box>
          </Box>
        ))}
      </Stack>
    </Box>
  );
}
