/** The tally: eight figures, each opening to how it was worked out. */
import { Box } from '@chakra-ui/react';
import {
  FIGURE_IDS,
  FIGURES,
  type FigureId,
  type Plan,
  type PrintOptions,
  type SubLine,
  type Working,
} from '@cimiento/core';
import { memo, useState } from 'react';
import { coded, type Say } from '../../messages/keys.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { Small } from '../../parts/controls.tsx';
import { type Format, useFormat } from '../../parts/format.tsx';
import { Modal } from '../../parts/Modal.tsx';
import { useShownPlan, useTakeoff } from '../takeoff.ts';

/** The line under a figure: what a crew lead asks next. */
function subText({ key, values }: SubLine, t: Say, format: Format): string {
  const said: Record<string, string | number> = {};
  for (const [name, [value, kind, told]] of Object.entries(values)) {
    const rough: PrintOptions = format.system === 'metric' ? { decimals: 1 } : { parts: 1 };
    // A count decides the plural: it goes in as a number.
    said[name] =
      kind === 'count'
        ? value
        : told === 'bare'
          ? format.parts(value, kind).number
          : format.text(value, kind, told === 'rough' ? rough : {});
  }
  return t(coded(key), said);
}

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
        const shown = figure.known ? format.parts(figure.value, figure.kind) : { number: '–', unit: '' };
        return (
          <FigureCell
            key={id}
            id={id}
            number={shown.number}
            unit={figure.kind === 'count' ? t('tally.haul.unit', { count: figure.value }) : shown.unit}
            tone={FIGURES[id].tone}
            sub={subText(figure.sub, t, format)}
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
  tone,
  sub,
  onOpen,
}: {
  id: FigureId;
  number: string;
  unit: string;
  tone: string;
  sub: string;
  onOpen: (id: FigureId) => void;
}) {
  const { t } = useTranslation();
  return (
    <button
      type="button"
      className="tally-cell"
      data-figure={id}
      onClick={() => onOpen(id)}
      aria-label={`${t(`tally.${id}.name`)}: ${number} ${unit}. ${t('tally.open')}`}
    >
      <span className="tally-name">{t(`tally.${id}.name`)}</span>
      <span className="tally-value" data-value>
        {number} <span className="tally-unit">{unit}</span>
      </span>
      <span className="tally-sub" data-tone={tone}>
        {sub}
      </span>
    </button>
  );
});

/** A person's own names come through: a soil's id becomes its name. */
function labelOf(plan: Plan, working: Working, t: Say): string {
  if (working.label === undefined) return '';
  const soil = plan.ground.soils.find((s) => s.id === working.label);
  return soil ? soil.name || t(`soil.${soil.kind}`) : working.label;
}

function Workings({ id, onClose }: { id: FigureId | null; onClose: () => void }) {
  const { t } = useTranslation();
  const format = useFormat();
  const takeoff = useTakeoff();
  const plan = useShownPlan();
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
                    {t(coded(`work.${working.step}`))}
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
                        {t(coded(`input.${input.name}`))}{' '}
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
