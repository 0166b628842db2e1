/** Fields bound to the plan: one way in (a recipe), problems shown where they belong. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import { rangeOf, readNumber, writeNumber } from '@cimiento/core';
import { memo } from 'react';
import { useTranslation } from 'react-i18next';
import { useDesk, useDeskStore } from '../desk/store.ts';
import { useTakeoff } from '../desk/takeoff.ts';
import { Heading } from '../parts/controls.tsx';
import { useFormat } from '../parts/format.tsx';
import { QuantityField } from '../parts/QuantityField.tsx';
import { problemText } from '../parts/words.ts';

interface PlanFieldProps {
  readonly label: string;
  readonly hint?: string;
  /** JSON pointer of the number in the plan; problems the core names there show here. */
  readonly path: string;
  /** May be emptied: the value is then left open. */
  readonly optional?: boolean;
  readonly placeholder?: number | undefined;
  readonly stacked?: boolean;
}

export function PlanField({ path, ...field }: PlanFieldProps) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const value = useDesk((desk) => readNumber(desk.plan, path));
  const problem = useTakeoff().problems.find((p) => p.path === path);
  return (
    <QuantityField
      {...field}
      range={rangeOf(path)}
      value={value}
      problem={problem && problemText(t, format, problem)}
      onSettle={store.getState().settle}
      onCommit={(next) => store.getState().edit((draft) => writeNumber(draft, path, next), `field:${path}`)}
    />
  );
}

export function Panel({
  title,
  aside,
  children,
}: {
  title: string;
  aside?: React.ReactNode;
  children: React.ReactNode;
}) {
  return (
    <Stack as="section" gap={2} pb={4}>
      <Flex justify="space-between" align="baseline" gap={2}>
        <Heading>{title}</Heading>
        {aside && (
          <Box as="span" fontSize="xs" color="soft" textAlign="right">
            {aside}
          </Box>
        )}
      </Flex>
      {children}
    </Stack>
  );
}

/** A figure the core worked out, beside the fields that led to it. */
export const Fact = memo(function Fact({
  label,
  value,
  note,
}: {
  label: string;
  value: string;
  note?: string;
}) {
  return (
    <Flex justify="space-between" align="baseline" gap={3}>
      <Box as="span" fontSize="sm" color="soft">
        {label}
        {note && (
          <Box as="span" display="block" fontSize="xs">
            {note}
          </Box>
        )}
      </Box>
      <Box as="span" fontFamily="figure" fontWeight={600} fontSize="lg" whiteSpace="nowrap">
        {value}
      </Box>
    </Flex>
  );
});

export function Toggle({
  label,
  on,
  onChange,
}: {
  label: string;
  on: boolean;
  onChange: (on: boolean) => void;
}) {
  return (
    <label>
      <Flex align="center" gap={2} minH="32px" cursor="pointer">
        <input
          type="checkbox"
          checked={on}
          onChange={(event) => onChange(event.target.checked)}
          style={{ width: 18, height: 18 }}
        />
        <Box as="span" fontSize="sm">
          {label}
        </Box>
      </Flex>
    </label>
  );
}
