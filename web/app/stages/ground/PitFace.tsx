/**
 * A trial pit drawn as its face: drag a boundary, pick a soil, mark where water was struck and
 * where it came to stand. Everything drawn can be typed beside it.
 */
import { Box, Flex } from '@chakra-ui/react';
import { type GroundLog, SOIL_KINDS, type SoilKind } from '@cimiento/core';
import { Trash2 } from 'lucide-react';
import { DrawingHead } from '../../drawing/DrawingHead.tsx';
import { Hatches, ink } from '../../drawing/hatches.tsx';
import { dragDepth } from '../../drawing/pointer.ts';
import { useReach } from '../../drawing/useReach.ts';
import { useSize } from '../../drawing/useSize.ts';
import { niceStep } from '../../drawing/view.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { Button, Input, Select, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { PlanField } from '../fields.tsx';
import { addLayer, moveBoundary, removeLayer, setLayerSoil } from './logs.ts';

const PAD = { top: 26, bottom: 14 } as const;
const AXIS = 46;
const figure = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 14 } as const;

export function PitFace({ head }: { head: React.ReactNode }) {
  const { t } = useTranslation();
  const plan = useDesk((desk) => desk.plan);
  const picked = useDesk((desk) => desk.view.log);
  const index = Math.max(
    0,
    plan.ground.logs.findIndex((log) => log.id === picked),
  );
  const log = plan.ground.logs[index];
  if (!log) return null;
  return (
    <Flex as="section" direction="column" h="full" minH={0} aria-label={t('pit.title')}>
      <DrawingHead>
        {head}
        <Small>{t('pit.face', { name: log.name })}</Small>
      </DrawingHead>
      <Flex flex="1" minH={0} direction={{ base: 'column', md: 'row' }}>
        <Flex direction="column" flex="1 1 50%" minH={{ base: '240px', md: 0 }} minW={0}>
          <Face log={log} index={index} />
        </Flex>
        <Box
          flex="1 1 50%"
          minW={0}
          overflowY="auto"
          px={3}
          py={1}
          borderLeftWidth={{ md: '1px' }}
          borderStyle="solid"
          borderColor="rule"
          tabIndex={0}
          data-pit-layers
        >
          <Layers log={log} index={index} />
        </Box>
      </Flex>
    </Flex>
  );
}

function Face({ log, index }: { log: GroundLog; index: number }) {
  const reach = useReach(16);
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const soils = useDesk((desk) => desk.plan.ground.soils);
  const [frame, { width, height }] = useSize(400, 260);
  const deepest = Math.max(log.bottom, log.strike ?? 0, log.standing ?? 0) + 0.15;
  const scale = (height - PAD.top - PAD.bottom) / deepest;
  const y = (depth: number) => PAD.top + depth * scale;
  const right = Math.max(AXIS + 90, width - 104);
  const soilOf = (id: string) => soils.find((soil) => soil.id === id);
  const nudge = format.system === 'metric' ? 0.05 : 0.0254;

  /** Follows a pointer or arrow keys in depth; `put` writes the depth it comes to. */
  const movable = (key: string, now: number, put: (depth: number) => void) => ({
    role: 'slider',
    tabIndex: 0,
    'aria-orientation': 'vertical' as const,
    'aria-valuenow': now,
    'aria-valuetext': format.text(now, 'length'),
    style: { cursor: 'ns-resize', touchAction: 'none' },
    onPointerDown: (event: React.PointerEvent<SVGElement>) =>
      dragDepth(event, height, (pixels) => put(now + pixels / scale), store.getState().settle),
    onKeyDown: (event: React.KeyboardEvent) => {
      const way = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
      if (way === 0) return;
      event.preventDefault();
      put(now + way * nudge);
    },
    'data-movable': key,
  });
  const edit = (key: string, recipe: (target: GroundLog) => void) =>
    store.getState().edit((d) => {
      const target = d.ground.logs[index];
      if (target) recipe(target);
    }, `pit:${log.id}:${key}`);
  const round2 = (value: number) => Math.round(Math.max(0, value) * 100) / 100;

  const step = niceStep(deepest / 9, format.system);
  const marks = Array.from({ length: Math.floor(deepest / step + 1e-9) + 1 }, (_, i) => i * step);
  return (
    <Box ref={frame} flex="1" minH={0} position="relative">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        aria-label={t('pit.face', { name: log.name })}
        style={{ width: '100%', height: '100%', position: 'absolute', inset: 0 }}
      >
        <Hatches prefix="pit" soils={soils.map((soil) => soil.kind)} />
        {marks.map((depth) => (
          <g key={depth} pointerEvents="none">
            <path d={`M${AXIS - 8} ${y(depth)}H${AXIS}`} stroke={ink('ink')} strokeWidth={1} />
            <text x={AXIS - 11} y={y(depth) + 4.5} textAnchor="end" fill={ink('ink')} style={figure}>
              {format.parts(depth, 'length').number}
            </text>
          </g>
        ))}
        {log.layers.map((layer, j) => {
          const soil = soilOf(layer.soil);
          const from = y(layer.top);
          const to = y(log.layers[j + 1]?.top ?? log.bottom);
          const name = soil ? soil.name || t(`soil.${soil.kind}`) : '?';
          return (
            <g key={layer.soil}>
              <rect
                x={AXIS}
                y={from}
                width={right - AXIS}
                height={Math.max(0, to - from)}
                fill={soil ? `url(#pit-${soil.kind})` : ink('held-wash')}
                stroke={ink('edge')}
                strokeWidth={0.6}
              />
              {to - from > 15 && (
                <>
                  <rect
                    x={AXIS + 8}
                    y={(from + to) / 2 - 9}
                    width={name.length * 6.8 + 10}
                    height={18}
                    rx={2}
                    fill={ink('sheet')}
                    opacity={0.88}
                  />
                  <text
                    x={AXIS + 13}
                    y={(from + to) / 2 + 4.5}
                    fill={ink('ink')}
                    style={{ fontFamily: 'Barlow', fontWeight: 500, fontSize: 13 }}
                  >
                    {name}
                  </text>
                </>
              )}
            </g>
          );
        })}
        <path
          d={`M${AXIS} ${y(0)}V${y(log.bottom)}H${right}V${y(0)}`}
          fill="none"
          stroke={ink('ink')}
          strokeWidth={1.6}
        />
        <path
          d={`M${AXIS - 14} ${y(0)}H${right + 40}`}
          stroke={ink('ink')}
          strokeWidth={1.6}
          fill="none"
          pointerEvents="none"
        />
        {log.layers.slice(1).map((layer, k) => {
          const j = k + 1;
          const soil = soilOf(layer.soil);
          return (
            <g
              key={layer.soil}
              data-boundary={layer.soil}
              aria-label={t('pit.boundary', { name: soil ? soil.name || t(`soil.${soil.kind}`) : '' })}
              {...movable(`top:${layer.soil}`, layer.top, (depth) =>
                store
                  .getState()
                  .edit((d) => moveBoundary(d, index, j, depth), `pit:${log.id}:top:${layer.soil}`),
              )}
            >
              <rect
                x={AXIS}
                y={y(layer.top) - reach / 2}
                width={right - AXIS}
                height={reach}
                fill="transparent"
              />
              <path d={`M${AXIS} ${y(layer.top)}H${right}`} stroke={ink('earth')} strokeWidth={2.4} />
              <Grip x={right - 34} y={y(layer.top)} />
            </g>
          );
        })}
        <g
          data-boundary="bottom"
          aria-label={t('pit.bottom')}
          {...movable('bottom', log.bottom, (depth) =>
            edit('bottom', (target) => {
              target.bottom = round2(Math.max(depth, (target.layers.at(-1)?.top ?? 0) + 0.05));
            }),
          )}
        >
          <rect
            x={AXIS}
            y={y(log.bottom) - reach / 2}
            width={right - AXIS}
            height={reach}
            fill="transparent"
          />
          <Grip x={right - 34} y={y(log.bottom)} />
        </g>
        {log.strike !== null && (
          <g
            data-water="strike"
            aria-label={t('pit.strike')}
            {...movable('strike', log.strike, (depth) =>
              edit('strike', (target) => {
                target.strike = round2(depth);
              }),
            )}
          >
            <Mark
              x={right}
              y={y(log.strike)}
              hollow
              text={`${t('pit.strike')} ${format.text(log.strike, 'length')}`}
            />
          </g>
        )}
        {log.standing !== null && (
          <g
            data-water="standing"
            aria-label={t('pit.standing')}
            {...movable('standing', log.standing, (depth) =>
              edit('standing', (target) => {
                target.standing = round2(depth);
              }),
            )}
          >
            <path
              d={`M${AXIS} ${y(log.standing)}H${right}`}
              stroke={ink('water')}
              strokeWidth={1.4}
              strokeDasharray="6 4"
            />
            <Mark
              x={right}
              y={y(log.standing)}
              text={`${t('pit.standing')} ${format.text(log.standing, 'length')}`}
            />
          </g>
        )}
      </svg>
    </Box>
  );
}

function Grip({ x, y }: { x: number; y: number }) {
  return (
    <g>
      <rect x={x} y={y - 6} width={26} height={12} rx={3} fill={ink('sheet')} stroke={ink('earth')} />
      <path d={`M${x + 7} ${y - 2}h12M${x + 7} ${y + 2}h12`} stroke={ink('earth')} strokeWidth={1.2} />
    </g>
  );
}

/** Water: an open triangle where it was struck, a filled one where it stands. */
function Mark({ x, y, text, hollow = false }: { x: number; y: number; text: string; hollow?: boolean }) {
  const [word, ...rest] = text.split(/(?=\s[\d'-])/);
  return (
    <g>
      <rect x={x} y={y - 16} width={104} height={32} fill="transparent" />
      <path
        d={`M${x + 4} ${y - 11}h14l-7 11z`}
        fill={hollow ? ink('sheet') : ink('water')}
        stroke={ink('water')}
        strokeWidth={1.5}
      />
      <text x={x + 22} y={y - 3} fill={ink('water')} style={{ ...figure, fontSize: 12 }}>
        {word}
      </text>
      <text x={x + 22} y={y + 10} fill={ink('water')} style={figure}>
        {rest.join('').trim()}
      </text>
    </g>
  );
}

function Layers({ log, index }: { log: GroundLog; index: number }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const soils = useDesk((desk) => desk.plan.ground.soils);
  const { edit } = store.getState();
  return (
    <Flex direction="column" gap={1.5}>
      {log.layers.map((layer, j) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a layer is known by its place in the pit
        <Flex key={j} gap={1.5} align="start" data-layer={j}>
          <Box flex="1 1 44%" minW={0}>
            <Select
              aria-label={t('pit.soil', { n: j + 1 })}
              value={layer.soil}
              onChange={(event) => {
                const { value } = event.target;
                edit((d) =>
                  setLayerSoil(
                    d,
                    index,
                    j,
                    value.startsWith('new:') ? { kind: value.slice(4) as SoilKind } : { id: value },
                  ),
                );
              }}
            >
              <optgroup label={t('pit.jobSoils')}>
                {soils.map((soil) => (
                  <option
                    key={soil.id}
                    value={soil.id}
                    disabled={soil.id !== layer.soil && log.layers.some((other) => other.soil === soil.id)}
                  >
                    {soil.name || t(`soil.${soil.kind}`)}
                  </option>
                ))}
              </optgroup>
              <optgroup label={t('pit.newSoil')}>
                {SOIL_KINDS.map((kind) => (
                  <option key={kind} value={`new:${kind}`}>
                    {t(`soil.${kind}`)}
                  </option>
                ))}
              </optgroup>
            </Select>
            <Input
              aria-label={t('pit.note', { n: j + 1 })}
              placeholder={t('pit.notePlaceholder')}
              fontSize="sm"
              mt={0.5}
              minH={{ base: '44px', lg: '30px' }}
              value={layer.note}
              maxLength={200}
              onChange={(event) =>
                edit((d) => {
                  d.ground.logs[index]!.layers[j]!.note = event.target.value;
                }, `pit-note:${log.id}:${j}`)
              }
            />
          </Box>
          <Box flex="1 1 38%" minW={0}>
            {j === 0 ? (
              <Small pt={2}>{t('pit.fromSurface')}</Small>
            ) : (
              <PlanField path={`/ground/logs/${index}/layers/${j}/top`} width="5.6rem" />
            )}
          </Box>
          <Button
            look="quiet"
            px={1.5}
            aria-label={t('pit.removeLayer', { n: j + 1 })}
            disabled={log.layers.length === 1}
            onClick={() => edit((d) => removeLayer(d, index, j))}
          >
            <Trash2 size={15} aria-hidden />
          </Button>
        </Flex>
      ))}
      <Flex gap={2} align="center">
        <Button onClick={() => edit((d) => addLayer(d, index))}>{t('pit.addLayer')}</Button>
        <Box flex="1">
          <PlanField path={`/ground/logs/${index}/bottom`} width="5.6rem" />
        </Box>
      </Flex>
    </Flex>
  );
}
