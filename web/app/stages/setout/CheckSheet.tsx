/** Every side and diagonal beside a box for what the tape read; verdict and likely culprit under it. */
import { Box, Flex } from '@chakra-ui/react';
import { boardsInTheWay, type CheckLine, machineOf, type ShareOut, threeFourFive } from '@cimiento/core';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import { useDesk, useDeskStore } from '../../desk/store.ts';
import { Button, Small, Th } from '../../parts/controls.tsx';
import { type Format, useFormat } from '../../parts/format.tsx';
import { QuantityField } from '../../parts/QuantityField.tsx';
import { useOrder } from '../dig/useOrder.ts';
import { useSetout } from './useSetout.ts';

export function CheckSheet({ head }: { head: React.ReactNode }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const measured = useDesk((desk) => desk.plan.setout.measured);
  const { checks, adjustment, points, loops } = useSetout();
  const same = (line: CheckLine) => (entry: (typeof measured)[number]) =>
    (entry.from === line.from.name && entry.to === line.to.name) ||
    (entry.from === line.to.name && entry.to === line.from.name);
  const type = (line: CheckLine, distance: number | null) =>
    store.getState().edit((d) => {
      const at = d.setout.measured.findIndex(same(line));
      if (distance === null) {
        if (at >= 0) d.setout.measured.splice(at, 1);
      } else if (at >= 0) d.setout.measured[at]!.distance = distance;
      else d.setout.measured.push({ from: line.from.name, to: line.to.name, distance });
    }, `taped:${line.from.name}:${line.to.name}`);
  // Typed distances between corners that are no longer taped still count: they can be cleared.
  const stale = measured.length - checks.filter((line) => measured.some(same(line))).length;
  const first = checks.filter((line) => line.kind === 'side');
  const square = first.length > 1 ? threeFourFive(first[0]!.distance, first[1]!.distance) : null;
  return (
    <Flex as="section" direction="column" h="full" minH={0} aria-label={t('check.title')}>
      <Flex justify="space-between" align="center" px={3} py={1} gap={2} wrap="wrap">
        {head}
        <Verdict />
      </Flex>
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
                    {t(`check.${line.kind}`)}
                  </Box>
                  <Box
                    as="span"
                    w="72px"
                    fontFamily="figure"
                    fontWeight={600}
                    fontSize="md"
                    textAlign="right"
                  >
                    {format.text(line.distance, 'taped')}
                  </Box>
                  <Box w="104px">
                    <QuantityField
                      stacked
                      bare
                      label={t('check.measured', { name })}
                      range="setout.measured.distance"
                      value={entry?.distance ?? null}
                      onCommit={(next) => type(line, next)}
                      onSettle={store.getState().settle}
                      optional
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
              onClick={() =>
                store.getState().edit((d) => {
                  d.setout.measured = [];
                })
              }
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
            .map((corner) =>
              t('check.take', { name: corner.name, where: movesOf(t, format, corner.east, corner.north) }),
            )
            .join(' · ')}
        </Small>
      )}
    </Box>
  );
}

/** So much east or west, so much north or south. */
function movesOf(t: TFunction, format: Format, east: number, north: number): string {
  return (
    [
      [east, east >= 0 ? 'check.east' : 'check.west'] as const,
      [north, north >= 0 ? 'check.north' : 'check.south'] as const,
    ]
      // Less than a tape shows is not worth a word.
      .filter(([by]) => Math.abs(by) >= 0.0005)
      .map(([by, way]) => `${format.text(Math.abs(by), 'size')} ${t(way)}`)
      .join(t('check.and'))
  );
}

/** Whether it is square, and if not which corner to look at. */
function Verdict() {
  const { t } = useTranslation();
  const format = useFormat();
  const tolerance = useDesk((desk) => desk.plan.setout.tolerance);
  const { adjustment } = useSetout();
  const { lines, ok, culprit, impossible } = adjustment;
  if (lines.length === 0) return <Small>{t('check.empty')}</Small>;
  const text = impossible
    ? t('check.impossible', { a: impossible[0], b: impossible[1], c: impossible[2] })
    : ok
      ? t('check.ok', { count: lines.length, tolerance: format.text(tolerance, 'size') })
      : culprit && culprit.explains > 0.6
        ? t('check.culprit', {
            corner: culprit.corner,
            where: [
              [culprit.east, culprit.east >= 0 ? 'check.toEast' : 'check.toWest'] as const,
              [culprit.north, culprit.north >= 0 ? 'check.toNorth' : 'check.toSouth'] as const,
            ]
              // Less than a tape shows is not worth a word.
              .filter(([by]) => Math.abs(by) >= 0.0005)
              .map(([by, way]) => `${format.text(Math.abs(by), 'size')} ${t(way)}`)
              .join(t('check.and')),
          })
        : t('check.several');
  return (
    <Box
      role="status"
      fontSize="sm"
      fontWeight={600}
      px={2}
      borderLeftWidth="4px"
      borderStyle="solid"
      borderColor={ok ? 'placed' : 'held'}
      bg={ok ? 'placedWash' : 'heldWash'}
      data-verdict={ok ? 'ok' : 'off'}
    >
      {text}
    </Box>
  );
}

/** Boards, strings, their nails and levels, as a table. */
export function BoardsTable({ head }: { head: React.ReactNode }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useDesk((desk) => desk.plan);
  const { elements } = plan;
  const { boards } = useSetout();
  const order = useOrder();
  const inTheWay = order?.ok ? boardsInTheWay(boards, order.steps, machineOf(plan).width) : [];
  const nameOf = (id: string) => elements.find((e) => e.id === id)?.name ?? id;
  const size = (v: number) => format.text(v, 'size');
  const length = (v: number) => format.text(v, 'length');
  return (
    <Flex as="section" direction="column" h="full" minH={0} aria-label={t('boards.title')}>
      <Flex px={3} py={1}>
        {head}
      </Flex>
      <Box flex="1" minH={0} overflow="auto" px={3} pb={2} tabIndex={0}>
        {boards.lines.length === 0 ? (
          <Small fontSize="sm">{t('boards.none')}</Small>
        ) : (
          <Box
            as="table"
            fontSize="sm"
            w="full"
            css={{
              '& td, & th': { padding: '2px 10px 2px 0', verticalAlign: 'top' },
              '& tbody tr': { borderTop: '1px solid var(--chakra-colors-rule)' },
              '& td': { fontFamily: 'var(--chakra-fonts-figure)', fontWeight: 500 },
            }}
            data-boards
          >
            <thead>
              <tr>
                {(['string', 'for', 'length', 'level', 'sag', 'boards', 'nails'] as const).map((key) => (
                  <Th key={key} scope="col">
                    {t(`boards.${key}`)}
                  </Th>
                ))}
              </tr>
            </thead>
            <tbody>
              {boards.lines.map((line) => {
                const names = line.elements.map(nameOf);
                const own = boards.crossings.filter((c) => c.one === line.name || c.other === line.name);
                const crossed = own.map((c) => (c.one === line.name ? c.other : c.one));
                const [nail] = line.boards;
                return (
                  <tr key={line.name} data-string={line.name}>
                    <Th scope="row">{line.name}</Th>
                    <td>{names.join(', ')}</td>
                    <td>{length(line.length)}</td>
                    <td>
                      {format.text(line.level, 'level')}
                      {crossed.length > 0 && (
                        <Small>{t('boards.crosses', { names: crossed.join(', ') })}</Small>
                      )}
                    </td>
                    <td>
                      {size(line.sag)}
                      {line.props !== null && (
                        <Small>{t('boards.props', { span: length(line.props) })}</Small>
                      )}
                    </td>
                    <td>
                      {line.boards.map((board) => (
                        <span key={board.name}>
                          {board.name}: {length(board.beyond)}{' '}
                          {board.blocked && (
                            <Box as="strong" color="held">
                              {t('boards.blocked', { name: board.blocked })}
                            </Box>
                          )}
                          {inTheWay.some((hit) => hit.board === board.name) && (
                            <Box as="strong" color="held" data-in-the-way={board.name}>
                              {t('boards.driven', {
                                names: inTheWay
                                  .filter((hit) => hit.board === board.name)
                                  .map((hit) => nameOf(hit.id))
                                  .join(', '),
                              })}
                            </Box>
                          )}
                          <br />
                        </span>
                      ))}
                    </td>
                    <td>
                      {nail.nails
                        .filter((n) => n.offset >= 0)
                        .map((n) => (
                          <span key={n.what}>
                            {t(`boards.nail.${n.what}`)} {n.offset === 0 ? '0' : `± ${size(n.offset)}`}
                            <br />
                          </span>
                        ))}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </Box>
        )}
      </Box>
    </Flex>
  );
}
