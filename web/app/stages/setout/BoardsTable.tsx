/** Boards, strings, their nails and levels, as a table; and what stands in the machine's way. */
import { Box, Flex } from '@chakra-ui/react';
import { boardsInTheWay, elementName, machineOf } from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useShownPlan } from '../../state/takeoff.ts';
import { Small, Th } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { useOrder } from '../dig/useOrder.ts';
import { useSetout } from './useSetout.ts';

export function BoardsTable({ head }: { head: React.ReactNode }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useShownPlan();
  const { elements } = plan;
  const { boards } = useSetout();
  const order = useOrder();
  const inTheWay = order?.ok ? boardsInTheWay(boards, order.steps, machineOf(plan).width) : [];
  const nameOf = (id: string) => elementName({ elements }, id);
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
                      {line.rails.map((rail) => format.text(rail.level, 'level')).join(' / ')}
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
                      {line.steps.map((step) => (
                        <span key={step.name} data-step-board={step.name}>
                          {t('boards.step', {
                            name: step.name,
                            along: length(step.along),
                            levels: step.rails.map((rail) => format.text(rail.level, 'level')).join(' → '),
                          })}
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
