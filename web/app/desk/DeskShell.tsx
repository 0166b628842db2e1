/** The desk before its script runs: what the job is, and that the rest is on its way. */
import { Box, Flex } from '@chakra-ui/react';
import { useTranslation } from '../messages/useTranslation.ts';
import { Heading } from '../ui/controls.tsx';

export function DeskShell({ name, note }: { name: string; note?: string }) {
  const { t } = useTranslation();
  return (
    <Flex as="main" direction="column" minH="100vh" bg="paper">
      <title>{`${name} · Cimiento`}</title>
      <Flex
        as="header"
        align="baseline"
        gap={4}
        px={3}
        py={2.5}
        borderBottomWidth="2px"
        borderStyle="solid"
        borderColor="ink"
        bg="sheet"
      >
        <a href="/jobs">{t('bar.jobs')}</a>
        <Heading as="h1" fontSize="xl">
          {name}
        </Heading>
      </Flex>
      <Box p={6} color="soft" role="status">
        {note ?? t('bar.opening')}
      </Box>
    </Flex>
  );
}
