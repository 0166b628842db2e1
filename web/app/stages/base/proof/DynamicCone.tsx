/** A dynamic cone driven into the bottom: blows and depth as they are read, CBR with depth. */
import { Box } from '@chakra-ui/react';
import { CONE_SOILS, type ConeSoil, type ConeStretch, coneFault, coneStretches } from '@cimiento/core';
import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import { ink } from '../../../drawing/hatches.tsx';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useLog } from '../../../state/records.ts';
import { useTakeoff } from '../../../state/takeoff.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { Explain } from '../../../ui/Explain.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { Choice } from '../../../ui/TextField.tsx';
import { Panel } from '../../fields.tsx';
import { BLANK_ROWS, PairRows, wholeRows } from './PairRows.tsx';

export function DynamicCone({ index }: { index: number }) {
  const { t } = useTranslation();
  const { elements, facts } = useTakeoff();
  const info = elements[index];
  if (!info?.live) return null;
  const last = facts.cone.get(info.id)?.at(-1) ?? null;
  const { name } = info.element;
  return (
    <Panel fold="shut" title={t('proof.driven', { name })}>
      <Explain term="cbr" />
      {last && <Driven stretches={coneStretches(last.readings, last.soil)} name={name} />}
      <LogCone element={info.id} />
    </Panel>
  );
}

function LogCone({ element }: { element: string }) {
  const { t } = useTranslation();
  const log = useLog();
  const [soil, setSoil] = useState<ConeSoil>('other');
  const [rows, setRows] = useState(BLANK_ROWS);
  const readings = wholeRows(rows).map(([blows, depth]) => ({ blows, depth }));
  const grows = coneFault(readings) === null;
  return (
    <>
      <Choice
        label={t('proof.drivenSoil')}
        value={soil}
        options={CONE_SOILS.map((value) => ({ value, label: t(`proof.coneSoil.${value}`) }))}
        onChange={setSoil}
      />
      <PairRows
        rows={rows}
        change={setRows}
        columns={[
          { label: t('proof.blows'), range: 'blows' },
          { label: t('proof.depth'), range: 'driven' },
        ]}
        most={60}
        add={t('proof.addPoint')}
      />
      {!grows && <Small color="held">{t('problem.coneBack')}</Small>}
      <Button
        disabled={readings.length < 2 || !grows}
        onClick={() => {
          log('cone', { soil, readings }, { element });
          setRows(BLANK_ROWS);
        }}
      >
        {t('proof.logCone')}
      </Button>
    </>
  );
}

const WIDTH = 260;
const HEIGHT = 150;
const PAD = { left: 44, right: 10, top: 18, bottom: 6 } as const;
const figure = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 12 } as const;

function Driven({ stretches, name }: { stretches: readonly ConeStretch[]; name: string }) {
  const { t } = useTranslation();
  const format = useFormat();
  if (stretches.length === 0) return null;
  const softest = stretches.reduce((least, next) => (next.cbr < least.cbr ? next : least));
  const x = scaleLinear(
    [0, Math.max(10, ...stretches.map(({ cbr }) => cbr))],
    [PAD.left, WIDTH - PAD.right],
  ).nice();
  const y = scaleLinear([stretches[0]!.from, stretches.at(-1)!.to], [PAD.top, HEIGHT - PAD.bottom]);
  const cbr = (value: number) => format.text(value, 'number', { decimals: value < 10 ? 1 : 0 });
  return (
    <Box data-cone>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={t('proof.coneChart', { name })}
        style={{ width: '100%' }}
      >
        {x.ticks(4).map((value) => (
          <g key={value}>
            <path d={`M${x(value)} ${PAD.top}V${HEIGHT - PAD.bottom}`} stroke={ink('rule')} />
            <text x={x(value)} y={12} textAnchor="middle" fill={ink('ink')} style={figure}>
              {value}
            </text>
          </g>
        ))}
        {y.ticks(5).map((depth) => (
          <text
            key={depth}
            x={PAD.left - 5}
            y={y(depth) + 4}
            textAnchor="end"
            fill={ink('ink')}
            style={figure}
          >
            {format.text(depth, 'size')}
          </text>
        ))}
        <path
          d={stretches
            .map(({ from, to, cbr: c }, i) => `${i === 0 ? 'M' : 'L'}${x(c)} ${y(from)}V${y(to)}`)
            .join('')}
          fill="none"
          stroke={ink('chalk')}
          strokeWidth={2.2}
        />
      </svg>
      <Small>
        {t('proof.coneSoft', {
          depth: format.text((softest.from + softest.to) / 2, 'size'),
          cbr: cbr(softest.cbr),
        })}
      </Small>
    </Box>
  );
}
