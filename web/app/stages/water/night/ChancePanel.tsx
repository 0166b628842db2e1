/** How often the worst days on record would end dry: asked for, since it rains a thousand times. */
import { Box } from '@chakra-ui/react';
import { type NightChance, startOf } from '@cimiento/core';
import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import { ink } from '../../../drawing/hatches.tsx';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useChance } from '../../../state/ask/whatif.ts';
import { useDesk, useDeskStore } from '../../../state/store.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { Explain } from '../../../ui/Explain.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { Panel, PlanField } from '../../fields.tsx';
import { useHole } from './use.ts';

export function ChancePanel({ element }: { element: string }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit } = useDeskStore().getState();
  const plan = useDesk((desk) => desk.plan);
  const [asked, setAsked] = useState(false);
  const { hole } = useHole();
  const { record, storm, dryBy } = plan.water;
  const ready = asked && record !== null && storm !== null && dryBy !== null;
  const { value, share } = useChance(ready ? plan : null, hole?.elements[0] ?? element);
  return (
    <Panel title={t('rain.chance')} fold="shut">
      {record === null ? (
        <>
          <Small>{t('rain.chanceNone')}</Small>
          <Button
            onClick={() =>
              edit((d) => {
                d.water.record = {
                  two: startOf('/water/record/two', d.system),
                  ten: startOf('/water/record/ten', d.system),
                };
              })
            }
          >
            {t('rain.addRecord')}
          </Button>
        </>
      ) : (
        <>
          <PlanField path="/water/record/two" />
          <PlanField path="/water/record/ten" />
          {!asked && <Button onClick={() => setAsked(true)}>{t('rain.ask')}</Button>}
          {ready && value === null && (
            <Small role="status">{t('rain.chancing', { share: format.text(share, 'percent') })}</Small>
          )}
          {ready && value && <Said chance={value} />}
          <Small>{t('rain.chanceNote')}</Small>
          <Explain term="gumbel" />
        </>
      )}
    </Panel>
  );
}

const WIDTH = 260;
const HEIGHT = 110;
const PAD = { left: 44, right: 8, top: 8, bottom: 20 } as const;
const figure = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 12 } as const;

function Said({ chance: { dry, storms, peaks } }: { chance: NightChance }) {
  const { t } = useTranslation();
  const format = useFormat();
  const at = (share: number) => peaks[Math.min(peaks.length - 1, Math.floor(share * peaks.length))] ?? 0;
  const x = scaleLinear([0, 1], [PAD.left, WIDTH - PAD.right]);
  const y = scaleLinear([0, Math.max(0.05, peaks.at(-1) ?? 0)], [HEIGHT - PAD.bottom, PAD.top]).nice();
  return (
    <Box data-chance={dry}>
      <strong>
        {t('rain.chanceSay', {
          storms,
          share: format.text(dry, 'percent', { decimals: 0 }),
          half: format.text(at(0.5), 'size'),
          nine: format.text(at(0.9), 'size'),
        })}
      </strong>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={t('rain.chanceOf', { storms })}
        style={{ width: '100%' }}
      >
        {y.ticks(3).map((depth) => (
          <g key={depth}>
            <path d={`M${PAD.left} ${y(depth)}H${WIDTH - PAD.right}`} stroke={ink('rule')} />
            <text x={PAD.left - 4} y={y(depth) + 4} textAnchor="end" fill={ink('ink')} style={figure}>
              {format.text(depth, 'size')}
            </text>
          </g>
        ))}
        {[0, 0.5, 0.9].map((share) => (
          <text key={share} x={x(share)} y={HEIGHT - 5} textAnchor="middle" fill={ink('ink')} style={figure}>
            {format.text(share, 'percent', { decimals: 0 })}
          </text>
        ))}
        <path
          d={peaks
            .map((peak, i) => `${i === 0 ? 'M' : 'L'}${x(i / Math.max(1, peaks.length - 1))} ${y(peak)}`)
            .join('')}
          fill="none"
          stroke={ink('water')}
          strokeWidth={2}
        />
      </svg>
    </Box>
  );
}
