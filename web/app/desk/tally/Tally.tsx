/** The tally: eight figures, each opening to how it was worked out. */
import { Box, chakra } from '@chakra-ui/react';
import { FIGURE_IDS, type FigureId, type Plan, type Takeoff, type Working } from '@cimiento/core';
import type { TFunction } from 'i18next';
import { memo, useState } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { Small } from '../../parts/controls.tsx';
import { type Format, useFormat } from '../../parts/format.tsx';
import { Modal } from '../../parts/Modal.tsx';
import { useDesk } from '../store.ts';
import { useTakeoff } from '../takeoff.ts';

/** The line under each figure: what a crew lead asks next. */
function subline(id: FigureId, takeoff: Takeoff, t: TFunction, format: Format): string {
  const volume = (value: number) => format.text(value, 'volume');
  // A heap is known to the decimetre, or to the inch.
  const rough = (value: number) =>
    format.text(value, 'length', format.system === 'metric' ? { decimals: 1 } : { parts: 1 });
  switch (id) {
    case 'dig': {
      const { neat, ...causes } = takeoff.overdig;
      return t('tally.dig.sub', {
        neat: format.parts(neat, 'volume').number,
        over: format.parts(
          Object.values(causes).reduce((p, q) => p + q, 0),
          'volume',
        ).number,
      });
    }
    case 'spoil':
      if (takeoff.work.layDown.areas.length > 0)
        return t('tally.spoil.heaps', {
          count: takeoff.work.layDown.areas.filter((a) => a.holds > 0).length,
        });
      return t('tally.spoil.sub', {
        base: rough(takeoff.pile.base),
        height: rough(takeoff.pile.height),
      });
    case 'keep':
      return takeoff.spoil.shortfall > 0
        ? t('tally.keep.short', { volume: volume(takeoff.spoil.shortfall) })
        : t('tally.keep.sub', { volume: volume(takeoff.spoil.keptTopsoil) });
    case 'haul':
      return t('tally.haul.sub', { volume: volume(takeoff.spoil.hauledLoose) });
    case 'stone':
      return takeoff.lifts
        ? t('tally.stone.sub', {
            n: takeoff.lifts.count,
            lift: format.text(takeoff.lifts.thickness, 'size'),
            passes: takeoff.lifts.passes[1],
          })
        : t('tally.stone.none');
    case 'lean':
      return takeoff.lean.volume > 0
        ? t('tally.order', { order: volume(takeoff.lean.order), count: takeoff.lean.loads })
        : t('tally.lean.none');
    case 'concrete':
      return t('tally.order', { order: volume(takeoff.concrete.order), count: takeoff.concrete.loads });
    case 'water':
      return takeoff.pits.length > 0
        ? t('tally.water.sub', {
            low: format.parts(takeoff.inflow[0], 'flow').number,
            high: format.text(takeoff.inflow[2], 'flow'),
          })
        : t(takeoff.water.from === null ? 'tally.water.unknown' : 'tally.water.dry');
  }
}

const Cell = chakra('button', {
  base: {
    textAlign: 'left',
    px: 2.5,
    py: 1.5,
    bg: 'transparent',
    border: 'none',
    borderRightWidth: '1px',
    borderRightStyle: 'solid',
    borderColor: 'rule',
    minW: { base: '9.2rem', lg: 0 },
    flex: 1,
    cursor: 'pointer',
    _hover: { bg: 'chalkWash' },
  },
});

export function Tally() {
  const { t } = useTranslation();
  const format = useFormat();
  const takeoff = useTakeoff();
  const [open, setOpen] = useState<FigureId | null>(null);
  return (
    <Box
      as="section"
      aria-label={t('tally.title')}
      display="flex"
      overflowX="auto"
      borderTopWidth="2px"
      borderStyle="solid"
      borderColor="ink"
      bg="sheet"
    >
      {FIGURE_IDS.map((id) => {
        const figure = takeoff.figures[id];
        const known = id !== 'water' || takeoff.water.from !== null;
        const shown = known ? format.parts(figure.value, figure.kind) : { number: '–', unit: '' };
        return (
          <FigureCell
            key={id}
            id={id}
            number={shown.number}
            unit={id === 'haul' ? t('tally.haul.unit', { count: figure.value }) : shown.unit}
            sub={subline(id, takeoff, t, format)}
            onOpen={setOpen}
          />
        );
      })}
      <Workings id={open} onClose={() => setOpen(null)} />
    </Box>
  );
}

/** One figure; drawn again only when what it says changes. */
const FigureCell = memo(function FigureCell({
  id,
  number,
  unit,
  sub,
  onOpen,
}: {
  id: FigureId;
  number: string;
  unit: string;
  sub: string;
  onOpen: (id: FigureId) => void;
}) {
  const { t } = useTranslation();
  return (
    <Cell
      type="button"
      data-figure={id}
      onClick={() => onOpen(id)}
      aria-label={`${t(`tally.${id}.name`)}: ${number} ${unit}. ${t('tally.open')}`}
    >
      <Box as="span" display="block" fontSize="xs" color="soft" whiteSpace="nowrap">
        {t(`tally.${id}.name`)}
      </Box>
      <Box
        as="span"
        display="block"
        fontFamily="figure"
        fontWeight={600}
        fontSize="2xl"
        lineHeight={1.05}
        fontVariantNumeric="tabular-nums"
        data-value
      >
        {number}{' '}
        <Box as="span" fontSize="md" color="soft">
          {unit}
        </Box>
      </Box>
      <Box
        as="span"
        display="block"
        fontSize="xs"
        color={
          id === 'water' ? 'water' : id === 'dig' || id === 'spoil' || id === 'haul' ? 'earth' : 'placed'
        }
        lineHeight={1.2}
      >
        {sub}
      </Box>
    </Cell>
  );
});

/** A person's own names come through: a soil's id becomes its name. */
function labelOf(plan: Plan, working: Working, t: TFunction): string {
  if (working.label === undefined) return '';
  const soil = plan.ground.soils.find((s) => s.id === working.label);
  return soil ? soil.name || t(`soil.${soil.kind}`) : working.label;
}

function Workings({ id, onClose }: { id: FigureId | null; onClose: () => void }) {
  const { t } = useTranslation();
  const format = useFormat();
  const takeoff = useTakeoff();
  const plan = useDesk((desk) => desk.plan);
  const figure = id ? takeoff.figures[id] : null;
  return (
    <Modal
      open={id !== null}
      title={figure && id ? `${t(`tally.${id}.name`)} · ${format.text(figure.value, figure.kind)}` : ''}
      onClose={onClose}
    >
      {figure && (
        <Box as="ol">
          {figure.workings.length === 0 && <li>{t('tally.nothing')}</li>}
          {figure.workings.map((working) => {
            const label = labelOf(plan, working, t);
            return (
              <Box
                as="li"
                key={`${working.step} ${working.label ?? ''}`}
                py={2}
                borderBottomWidth="1px"
                borderStyle="solid"
                borderColor="rule"
              >
                <Box display="flex" justifyContent="space-between" gap={3} alignItems="baseline">
                  <Box as="span" fontWeight={500}>
                    {t(`work.${working.step}`)}
                    {label && ` · ${label}`}
                  </Box>
                  <Box as="span" fontFamily="figure" fontWeight={600} fontSize="lg" whiteSpace="nowrap">
                    {format.text(working.value, working.kind)}
                  </Box>
                </Box>
                <Box as="code" fontSize="xs" color="soft">
                  {working.formula}
                  {working.source && ` · ${working.source}`}
                </Box>
                {working.inputs.length > 0 && (
                  <Box as="ul" display="flex" flexWrap="wrap" columnGap={4} mt={1}>
                    {working.inputs.map((input) => (
                      <Box as="li" key={input.name} fontSize="sm">
                        {t(`input.${input.name}`)}{' '}
                        <Box as="span" fontFamily="figure" fontWeight={600} fontSize="md">
                          {format.text(input.value, input.kind)}
                        </Box>{' '}
                        <Small display="inline">
                          {t(`origin.${input.origin}`)}
                          {input.source && input.origin === 'typical' && `, ${input.source}`}
                        </Small>
                      </Box>
                    ))}
                  </Box>
                )}
              </Box>
            );
          })}
        </Box>
      )}
    </Modal>
  );
}
