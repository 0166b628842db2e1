/** Every side and diagonal beside a box for what the tape read; verdict and likely culprit under it. */
import { Box, Flex } from '@chakra-ui/react';
import {
  type CheckLine,
  FOOT,
  type ShareOut,
  type SiteRecord,
  standing,
  threeFourFive,
} from '@cimiento/core';
import { DrawingHead } from '../../drawing/DrawingHead.tsx';
import { coded, type Say } from '../../messages/keys.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useLog } from '../../state/records.ts';
import { useDesk } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { type Format, useFormat } from '../../ui/format.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { useReading } from '../../ui/useReading.ts';
import { Verdict } from '../../ui/Verdict.tsx';
import { useSetout } from './useSetout.ts';

export function CheckSheet({ head }: { head: React.ReactNode }) {
  const { t } = useTranslation();
  const format = useFormat();
  const log = useLog();
  const records = useDesk((desk) => desk.records);
  const measured = useTakeoff().facts.taped;
  const { checks, adjustment, points, loops } = useSetout();
  const same = (line: CheckLine) => (entry: (typeof measured)[number]) =>
    (entry.from === line.from.name && entry.to === line.to.name) ||
    (entry.from === line.to.name && entry.to === line.from.name);
  const tape = (line: CheckLine, distance: number | null) => {
    const before = lastTaped(records, line.from.name, line.to.name);
    const corrects = before?.id ?? null;
    if (distance !== null) log('taped', { from: line.from.name, to: line.to.name, distance }, { corrects });
    else if (corrects) log('taped', null, { corrects });
  };
  // Typed distances between corners that are no longer taped still count: they can be cleared.
  const stale = measured.length - checks.filter((line) => measured.some(same(line))).length;
  const first = checks.filter((line) => line.kind === 'side');
  const square =
    first.length > 1
      ? threeFourFive(first[0]!.distance, first[1]!.distance, format.system === 'metric' ? 1 : FOOT)
      : null;
  return (
    <Flex as="section" direction="column" h="full" minH={0} aria-label={t('check.title')}>
      <DrawingHead>
        {head}
        <Squareness />
      </DrawingHead>
      <Box flex="1" minH={0} overflowY="auto" px={3} pb={2} tabIndex={0}>
        {checks.length === 0 ? (
          <Small fontSize="sm">{t('check.none', { count: points.length })}</Small>
        ) : (
          <Box
            display="grid"
            gridTemplateColumns="repeat(auto-fill, minmax(330px, 1fr))"
            columnGap={5}
            fontSize="sm"
            data-checks
          >
            {checks.map((line) => {
              const entry = measured.find(same(line));
              const result = adjustment.lines.find(
                (l) =>
                  (l.from === line.from.name && l.to === line.to.name) ||
                  (l.from === line.to.name && l.to === line.from.name),
              );
              const name = `${line.from.name}–${line.to.name}`;
              return (
                <Flex
                  key={name}
                  align="center"
                  gap={2}
                  py={0.5}
                  borderBottomWidth="1px"
                  borderStyle="solid"
                  borderColor="rule"
                  data-check={name}
                >
                  <Box as="span" w="46px" fontWeight={600}>
                    {name}
                  </Box>
                  <Box as="span" w="62px" fontSize="xs" color="soft">
                    {line.kind !== 'side' && t(`check.${line.kind}`)}
                  </Box>
                  <Box
                    as="span"
                    w="72px"
                    fontFamily="figure"
                    fontWeight={600}
                    fontSize="md"
                    textAlign="right"
                  >
                    {/* The unit stands in the head, once. */}
                    {format.parts(line.distance, 'taped').number}
                  </Box>
                  <Box w="104px">
                    <TapedField
                      label={t('check.measured', { name })}
                      value={entry?.distance ?? null}
                      onTaped={(next) => tape(line, next)}
                    />
                  </Box>
                  <Box
                    as="span"
                    flex="1"
                    fontFamily="figure"
                    fontWeight={600}
                    color={result && !result.ok ? 'held' : 'placed'}
                  >
                    {result &&
                      `${result.ok ? '✓' : '✗'} ${result.off >= 0 ? '+' : '−'}${format.text(Math.abs(result.off), 'size')}`}
                  </Box>
                </Flex>
              );
            })}
          </Box>
        )}
        <Flex gap={4} wrap="wrap" pt={1.5}>
          {square && (
            <Small>
              {t('check.square', {
                a: format.text(square[0], 'length'),
                b: format.text(square[1], 'length'),
                c: format.text(square[2], 'length'),
              })}
            </Small>
          )}
          {measured.length > 0 && (
            <Button
              size="sm"
              onClick={() => {
                for (const record of standing(records))
                  if (record.kind === 'taped') log('taped', null, { corrects: record.id });
              }}
            >
              {t('check.clear')}
            </Button>
          )}
          {stale > 0 && <Small>{t('check.stale', { count: stale })}</Small>}
        </Flex>
        {loops.map((loop) => (
          <Loop key={loop.corners.map((corner) => corner.name).join('')} loop={loop} />
        ))}
      </Box>
    </Flex>
  );
}

/** The record that stands of the distance between two corners. */
const lastTaped = (records: readonly SiteRecord[], p: string, q: string): SiteRecord | undefined =>
  standing(records).findLast(
    ({ kind, value }) =>
      kind === 'taped' &&
      value !== null &&
      'distance' in value &&
      ((value.from === p && value.to === q) || (value.from === q && value.to === p)),
  );

/** A box for one reading of the tape. */
function TapedField({
  label,
  value,
  onTaped,
}: {
  label: string;
  value: number | null;
  onTaped: (distance: number | null) => void;
}) {
  const reading = useReading(value, onTaped);
  return <QuantityField stacked bare optional label={label} range="taped" {...reading} />;
}

/** A loop of taped sides: what it fails to close by, and what of that each corner takes. */
function Loop({ loop }: { loop: ShareOut }) {
  const { t } = useTranslation();
  const format = useFormat();
  const tolerance = useDesk((desk) => desk.plan.setout.tolerance);
  const { corners, misclosure, length } = loop;
  const names = [...corners, corners[0]!].map((corner) => corner.name).join('–');
  const closes = misclosure < 0.0005;
  // Small errors add up by their squares; more than that is a mistake, which no sharing out mends.
  const tooMuch = misclosure > tolerance * Math.sqrt(corners.length);
  const moved = corners.filter((corner) => Math.hypot(corner.east, corner.north) >= 0.0005);
  return (
    <Box fontSize="sm" pt={1.5} data-loop={names}>
      <Box fontWeight={600}>
        {closes
          ? t('check.closes', { names })
          : t('check.misses', {
              names,
              by: format.text(misclosure, 'size'),
              ratio: format.text(length / misclosure, 'number', { decimals: 0 }),
            })}
      </Box>
      {tooMuch && <Small color="held">{t('check.tooMuch')}</Small>}
      {!closes && (
        <Small>
          {t('check.share')}{' '}
          {moved
            .map((corner) => t('check.take', { name: corner.name, where: movesOf(t, format, corner) }))
            .join(' · ')}
        </Small>
      )}
    </Box>
  );
}

const WAYS = ['east', 'west', 'north', 'south'] as const;

/** So much one way and so much the other. */
function movesOf(
  t: Say,
  format: Format,
  { east, north }: { readonly east: number; readonly north: number },
  ways: readonly [string, string, string, string] = WAYS,
): string {
  return (
    [[east, east >= 0 ? ways[0] : ways[1]] as const, [north, north >= 0 ? ways[2] : ways[3]] as const]
      // Less than a tape shows is not worth a word.
      .filter(([by]) => Math.abs(by) >= 0.0005)
      .map(([by, way]) => `${format.text(Math.abs(by), 'size')} ${t(coded(`check.${way}`))}`)
      .join(t('check.and'))
  );
}

/** Whether it is square, and if not which corner to look at. */
function Squareness() {
  const { t } = useTranslation();
  const format = useFormat();
  const tolerance = useDesk((desk) => desk.plan.setout.tolerance);
  const { adjustment } = useSetout();
  const { lines, ok, culprit, impossible } = adjustment;
  if (lines.length === 0) {
    const { unit } = format.parts(0, 'taped');
    return <Small>{t('check.empty', { unit: unit && `, ${unit}` })}</Small>;
  }
  const text = impossible
    ? t('check.impossible', { a: impossible[0], b: impossible[1], c: impossible[2] })
    : ok
      ? t('check.ok', { count: lines.length, tolerance: format.text(tolerance, 'size') })
      : culprit && culprit.explains > 0.6
        ? t('check.culprit', {
            corner: culprit.corner,
            where: movesOf(t, format, culprit, ['toEast', 'toWest', 'toNorth', 'toSouth']),
          })
        : t('check.several');
  return (
    <Verdict ok={ok} name={ok ? 'ok' : 'off'}>
      {text}
    </Verdict>
  );
}
