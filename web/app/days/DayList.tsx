/** One day of a job, as a crew reads it: what is on and how deep, what stops it, who and what comes, what to order, what to watch. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import type { DayPlan, Days, Plan } from '@cimiento/core';
import { useTranslation } from '../messages/useTranslation.ts';
import { Heading } from '../ui/controls.tsx';
import { useFormat } from '../ui/format.tsx';
import { dayLines } from './dayLines.ts';

export function DayList({ on, days, plan }: { on: DayPlan; days: Pick<Days, 'tasks'>; plan: Plan }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { said, parts } = dayLines({ t, format, plan }, days, on);
  return (
    <Stack gap={3} data-on={on.on.length}>
      {said && (
        <Box fontSize="lg" fontWeight={600} color={on.lost ? 'held' : undefined}>
          {said}
        </Box>
      )}
      {parts.map(({ key, title, held, lines }) => (
        <Box
          key={key}
          as="section"
          data-part={key}
          borderLeftWidth={held ? '5px' : '0'}
          borderStyle="solid"
          borderColor="held"
          pl={held ? 3 : 0}
        >
          <Heading color={held ? 'held' : undefined}>{title}</Heading>
          <Stack as="ul" gap={1} listStyleType="none" m={0} p={0} pt={1}>
            {lines.map(({ text, aside }) => (
              <Flex as="li" key={text} justify="space-between" gap={3} fontSize="md">
                <span>{text}</span>
                {aside && (
                  <Box as="span" fontFamily="figure" fontWeight={600} whiteSpace="nowrap">
                    {aside}
                  </Box>
                )}
              </Flex>
            ))}
          </Stack>
        </Box>
      ))}
    </Stack>
  );
}
