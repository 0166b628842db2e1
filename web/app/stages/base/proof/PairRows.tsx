/** Rows of two quantities each, typed in any order: a row counts once both are there. */
import { Flex } from '@chakra-ui/react';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { Button } from '../../../ui/controls.tsx';
import { QuantityField, type RangeId } from '../../../ui/QuantityField.tsx';

export type PairRow = readonly [number | null, number | null];
/** What a form of rows starts with. */
export const BLANK_ROWS: readonly PairRow[] = Array.from({ length: 4 }, () => [null, null]);

/** The rows whose quantities are both typed. */
export const wholeRows = (rows: readonly PairRow[]): [number, number][] =>
  rows.flatMap(([one, other]) => (one === null || other === null ? [] : [[one, other]]));

export function PairRows({
  rows,
  change,
  columns,
  most,
  add,
}: {
  rows: readonly PairRow[];
  change: (rows: readonly PairRow[]) => void;
  columns: readonly [{ label: string; range: RangeId }, { label: string; range: RangeId }];
  /** Rows at most, and what the button says that adds one. */
  most: number;
  add: string;
}) {
  const { t } = useTranslation();
  const put = (i: number, column: number, value: number | null) =>
    change(rows.map((row, k) => (k === i ? (column === 0 ? [value, row[1]] : [row[0], value]) : row)));
  return (
    <>
      {rows.map((row, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a row is known by its place in the list
        <Flex key={i} gap={2} role="group" aria-label={t('proof.point', { n: i + 1 })}>
          {columns.map(({ label, range }, column) => (
            <QuantityField
              key={label}
              stacked
              optional
              label={label}
              range={range}
              value={row[column]!}
              onCommit={(value) => put(i, column, value)}
            />
          ))}
        </Flex>
      ))}
      {rows.length < most && (
        <Button size="sm" onClick={() => change([...rows, [null, null]])}>
          {add}
        </Button>
      )}
    </>
  );
}
