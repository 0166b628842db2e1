/** The tally: eight figures, each opening to how it was worked out. */
import { Box } from '@chakra-ui/react';
import {
  FIGURE_IDS,
  FIGURES,
  type Figure,
  type FigureId,
  type PrintOptions,
  type SubLine,
  untold,
} from '@cimiento/core';
import { memo, Suspense, useState } from 'react';
import { coded, type Say } from '../../messages/keys.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useStopped } from '../../state/ask/whatif.ts';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { type Format, useFormat } from '../../ui/format.tsx';
import { later } from '../../ui/later.tsx';
import { PencilMark } from '../../ui/PencilMark.tsx';
import { TallySaid } from './TallySaid.tsx';

const Workings = later(() => import('./Workings.tsx'), 'Workings');

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
  const stopped = useStopped(useShownPlan());
  // What a proof contradicts is not told, in the row or behind it.
  const told = (id: FigureId): Figure => {
    const figure = takeoff.figures[id];
    return stopped?.figures.includes(id) ? untold(figure) : figure;
  };
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
        const figure = told(id);
        const shown = figure.known ? format.parts(figure.value, figure.kind) : { number: '–', unit: '' };
        return (
          <FigureCell
            key={id}
            id={id}
            number={shown.number}
            unit={figure.kind === 'count' ? t('tally.haul.unit', { count: figure.value }) : shown.unit}
            tone={FIGURES[id].tone}
            sub={subText(figure.sub, t, format)}
            // Why there is no figure, and what the figure cannot say: soil is short.
            told={!figure.known || figure.sub.key === 'tally.keep.short'}
            pencil={figure.origin === 'assumed'}
            onOpen={setOpen}
          />
        );
      })}
      {stopped === null && <TallySaid figures={takeoff.figures} />}
      {open !== null && (
        <Suspense fallback={null}>
          <Workings id={open} figure={told(open)} onClose={() => setOpen(null)} />
        </Suspense>
      )}
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
  told,
  pencil,
  onOpen,
}: {
  id: FigureId;
  number: string;
  unit: string;
  tone: string;
  sub: string;
  /** Whether that is shown: else it is read out, and stands in what the figure opens to. */
  told: boolean;
  /** It stands on something nobody has said. */
  pencil: boolean;
  onOpen: (id: FigureId) => void;
}) {
  const { t } = useTranslation();
  return (
    <button
      type="button"
      className="tally-cell"
      data-figure={id}
      data-pencil={pencil || undefined}
      onClick={() => onOpen(id)}
      aria-label={`${t(`tally.${id}.name`)}: ${number} ${unit}. ${sub}. ${t('tally.open')}`}
      title={sub}
    >
      <span className="tally-name">
        {t(`tally.${id}.brief`)}
        {pencil && <PencilMark />}
      </span>
      <span className="tally-value" data-value>
        {number} <span className="tally-unit">{unit}</span>
      </span>
      {told && (
        <span className="tally-sub" data-tone={tone}>
          {sub}
        </span>
      )}
    </button>
  );
});
