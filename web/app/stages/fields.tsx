/** Fields bound to the plan: one way in (a recipe), problems shown where they belong. */
import { Box, chakra, Flex, Stack } from '@chakra-ui/react';
import { assumedAt, FIELDS, fieldOf, readNumber, writeNumber } from '@cimiento/core';
import { ChevronRight } from 'lucide-react';
import { memo, useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { type Draft, settle, useDesk, useDeskStore } from '../state/store.ts';
import { useProblem } from '../state/takeoff.ts';
import { Heading } from '../ui/controls.tsx';
import { useFormat } from '../ui/format.tsx';
import { QuantityField } from '../ui/QuantityField.tsx';
import { problemText } from '../ui/words.ts';

interface PlanFieldProps {
  /** Its name; that of the table of fields when nothing else is given. */
  readonly label?: string;
  readonly hint?: string;
  /** JSON pointer of the number in the plan; problems the core names there show here. */
  readonly path: string;
  /** May be emptied: the value is then left open. */
  readonly optional?: boolean;
  readonly placeholder?: number | undefined;
  readonly stacked?: boolean;
  readonly width?: string;
  /** Currency of a price. */
  readonly money?: string;
  /** What else a typed value changes, in the same edit. */
  readonly also?: (draft: Draft) => void;
}

export function PlanField({ path, also, label, ...field }: PlanFieldProps) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const value = useDesk((desk) => readNumber(desk.plan, path));
  const problem = useProblem(path);
  const range = fieldOf(path);
  const pencil = useDesk((desk) => assumedAt(desk.plan, path));
  const shown = (
    <QuantityField
      {...field}
      label={label ?? t(FIELDS[range].label)}
      range={range}
      value={value}
      problem={problem && problemText(t, format, problem)}
      onSettle={store.getState().settle}
      onCommit={(next) =>
        store.getState().edit((draft) => {
          writeNumber(draft, path, next);
          also?.(draft);
        }, `field:${path}`)
      }
    />
  );
  return pencil === null ? shown : <Pencil pointer={pencil}>{shown}</Pencil>;
}

/** What nobody has said yet: told so, and settled by a press. */
function Pencil({ pointer, children }: { pointer: string; children: React.ReactNode }) {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  return (
    <div className="pencil" data-pencil={pointer}>
      {children}
      <button type="button" onClick={() => edit((d) => settle(d, pointer))}>
        {t('pencil.settle')}
      </button>
    </div>
  );
}

/**
 * One group of numbers under its heading.
 * @param fold it can be folded away; how it stands at first
 */
export function Panel({
  title,
  aside,
  fold,
  children,
}: {
  title: string;
  aside?: React.ReactNode;
  fold?: 'open' | 'shut';
  children: React.ReactNode;
}) {
  const head = (
    <Flex justify="space-between" align="baseline" gap={2} flex="1">
      <Heading>{title}</Heading>
      {aside && (
        <Box as="span" fontSize="xs" color="soft" textAlign="right">
          {aside}
        </Box>
      )}
    </Flex>
  );
  if (!fold)
    return (
      <Stack as="section" gap={2} pb={4}>
        {head}
        {children}
      </Stack>
    );
  return (
    <Folded open={fold === 'open'} head={head}>
      {children}
    </Folded>
  );
}

/** What is folded away is not there: a desk has dozens of panels, and every edit would pass by them. */
function Folded({
  open,
  head,
  children,
}: {
  open: boolean;
  head: React.ReactNode;
  children: React.ReactNode;
}) {
  const [shown, setShown] = useState(open);
  return (
    <Fold open={open} onToggle={(event) => setShown((event.currentTarget as HTMLDetailsElement).open)}>
      <summary>
        <ChevronRight size={16} aria-hidden />
        {head}
      </summary>
      {shown && (
        <Stack gap={2} pt={2}>
          {children}
        </Stack>
      )}
    </Fold>
  );
}

const Fold = chakra('details', {
  base: {
    pb: 3,
    '& > summary': {
      display: 'flex',
      alignItems: 'center',
      gap: 1,
      cursor: 'pointer',
      minH: '32px',
      listStyle: 'none',
      borderRadius: 'sm',
      '&::-webkit-details-marker': { display: 'none' },
      '@media (pointer: coarse), (max-width: 760px)': { minH: '44px' },
    },
    '& > summary > svg': { flexShrink: 0, transition: 'transform 0.12s' },
    '&[open] > summary > svg': { transform: 'rotate(90deg)' },
  },
});

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
      <Flex align="center" gap={2} minH={{ base: '44px', lg: '32px' }} cursor="pointer">
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
