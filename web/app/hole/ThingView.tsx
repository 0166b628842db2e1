/** One thing in the hole: how deep from the string, and what tape or rod says where it is held. */
import { Box, Flex } from '@chakra-ui/react';
import {
  type HoleSurface,
  type HoleThing,
  type HoleView,
  parseQuantity,
  type RecordValue,
  verdictOf,
  wantedAt,
} from '@cimiento/core';
import { lazy, Suspense, useMemo, useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import type { Asker } from '../state/ask/asker.ts';
import { recordOf } from '../state/records.ts';
import type { DeskStore } from '../state/store.ts';
import { useFormat } from '../ui/format.tsx';
import { later } from '../ui/later.tsx';
import { Answer } from './Answer.tsx';
import { answerAloud, handOn } from './answers.ts';
import { Depth } from './Depth.tsx';
import { Keypad } from './Keypad.tsx';
import { MiniPlan } from './MiniPlan.tsx';
import { Label, Pick, Press, Typed, Word } from './parts.tsx';
import { apart, HERE, type Logged, type Place } from './places.ts';
import { Stops } from './Stops.tsx';
import { Sums } from './Sums.tsx';
import { useWhere } from './where.ts';

// An instrument few carry: it comes when one is set up.
const Receiver = lazy(() => import('./Receiver.tsx').then((m) => ({ default: m.Receiver })));

// Once it is cast; words come with it.
const FillNext = later(() => import('./FillNext.tsx'), 'FillNext');

type From = RecordValue<'shot'>['from'];

/** Shots farther off what is wanted are asked about, m. */
const WILD = 1;
/** A place this far off the bottom is no place of it, m. */
const FAR = 10;
/** A bare number over this is millimetres, m. */
const LONGEST_TAPE = 15;

export function ThingView({
  thing,
  view,
  store,
  asker,
  currency,
}: {
  thing: HoleThing;
  view: HoleView;
  store: DeskStore;
  asker: Asker;
  currency: string;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const { go } = useWhere();
  const [on, setOn] = useState<HoleSurface['on']>('formation');
  const [means, setMeans] = useState('tape');
  const [text, setText] = useState('');
  const [offset, setOffset] = useState('');
  const [point, setPoint] = useState<number | null>(null);
  const [tapped, setTapped] = useState<Place | null>(null);
  const [mine, setMine] = useState<readonly Logged[]>([]);
  const [answer, setAnswer] = useState<Logged | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [sure, setSure] = useState(false);

  const surface = thing.surfaces.find((one) => one.on === on) ?? thing.surfaces[0]!;
  const shot = useMemo(
    () => [
      ...(on === 'formation' ? thing.shots : thing.laidShots.filter((one) => one.on === on)).flatMap(
        ({ place }) => (place ? [place] : []),
      ),
      ...mine.flatMap((one) => (one.on === on ? [one.place] : [])),
    ],
    [thing, mine, on],
  );
  const open = thing.places.findIndex(({ at }) => !shot.some((place) => apart(place, at) < HERE));
  const index = point ?? open;
  const here: Place | null = tapped ?? thing.places[index]?.at ?? null;
  const wanted =
    (here ? (wantedAt(thing.bottom, here)?.level ?? thing.wanted) : thing.wanted) + surface.height;
  const setUp = view.setUps.find(({ id }) => id === means) ?? null;
  const zero = setUp ? setUp.height : thing.string.level;
  const size = (v: number) => format.text(v, 'size');
  const rod = parseQuantity(offset || '0', 'taped', format.system, format.lang);
  const longer = rod.ok ? rod.value : 0;

  const log = () => {
    const parsed = parseQuantity(text, 'taped', format.system, format.lang);
    if (!parsed.ok) return setProblem(t(`field.${parsed.code}`, { text }));
    const reading = parsed.value > LONGEST_TAPE ? parsed.value / 1000 : parsed.value;
    if (!setUp && reading <= 0) return setProblem(t('shot.aboveString'));
    if (!here) return setProblem(t('shot.tap'));
    const level = zero - reading - (setUp ? longer : 0);
    const verdict = verdictOf(level, wanted, surface, thing.trim);
    if (Math.abs(verdict.off) > WILD && !sure) {
      setSure(true);
      return setProblem(t('shot.wild', { by: size(Math.abs(verdict.off)) }));
    }
    const from: From = setUp
      ? { by: 'rod', setup: setUp.id, reading, offset: longer }
      : { by: 'tape', string: thing.string.level, reading };
    const record = recordOf(store.getState(), 'shot', { on, from }, { element: thing.id, place: here });
    store.getState().deliver(record);
    const logged = { id: record.id, place: here, on, verdict };
    setMine((now) => [...now, logged]);
    setAnswer(logged);
    setText('');
    setProblem(null);
    setSure(false);
    setTapped(null);
    setPoint(null);
    answerAloud(verdict);
  };
  const takeBack = () => {
    if (!answer) return;
    const back = recordOf(store.getState(), 'shot', null, { element: thing.id, corrects: answer.id });
    store.getState().deliver(back);
    setMine((now) => now.filter(({ id }) => id !== answer.id));
    setAnswer(null);
  };
  const tap = (at: Place) => {
    const far = wantedAt(thing.bottom, at)?.outside ?? Infinity;
    if (far > FAR) return setProblem(t('shot.farOff', { far: format.text(far, 'length') }));
    setTapped(at);
    setProblem(null);
  };
  const step = (by: number) => {
    const count = thing.places.length;
    setTapped(null);
    setPoint(((index < 0 ? 0 : index) + by + count) % count);
  };
  const doubted = [...thing.shots, ...thing.laidShots].filter((one) => one.doubted).length;
  const metric = format.system === 'metric';
  const card = {
    title: thing.name,
    text: [
      `${thing.name}: ${format.text(thing.fromString, 'length', metric ? { decimals: 3 } : {})} ${t('inHole.fromString', { name: thing.string.name ?? t('inHole.theString') })}`,
      `${t('inHole.wide')} ${size(thing.width)}`,
      ...thing.places.map(({ wanted: level }, i) =>
        [
          `${thing.name}/${i + 1}`,
          t('shot.wanted', { reading: format.text(thing.string.level - level, 'taped') }),
        ].join(' '),
      ),
    ].join('\n'),
  };

  return (
    <Box data-hole-thing={thing.id}>
      <Depth thing={thing} />
      <Box px={3} display="grid" gap={2}>
        <Stops view={view} element={thing.id} />
        {answer && <Answer answer={answer} thing={thing} asker={asker} store={store} onBack={takeBack} />}
        {problem && (
          <Word tone="stop" data-shot-problem="">
            {problem}
          </Word>
        )}
        <Flex align="center" gap={2}>
          <Press w="56px" flex="none" aria-label={`‹ ${t('shot.title')}`} onClick={() => step(-1)}>
            ‹
          </Press>
          <Box flex="1" textAlign="center" lineHeight={1.2}>
            <Box fontSize="md" data-point={index}>
              {tapped
                ? t('shot.tapped')
                : index < 0
                  ? t('shot.allShot', { count: thing.places.length })
                  : t('shot.point', { n: index + 1, count: thing.places.length })}
            </Box>
            <Box fontSize="lg" fontWeight={600} data-wanted-reading>
              {t('shot.wanted', { reading: format.text(zero - wanted - (setUp ? longer : 0), 'taped') })}
            </Box>
          </Box>
          <Press w="56px" flex="none" aria-label={`${t('shot.title')} ›`} onClick={() => step(1)}>
            ›
          </Press>
        </Flex>
        <Flex
          align="baseline"
          justify="space-between"
          borderBottomWidth="3px"
          borderStyle="solid"
          borderColor="ink"
        >
          <Box fontSize="md">{t(setUp ? 'shot.readsRod' : 'shot.reads')}</Box>
          <input
            aria-label={t(setUp ? 'shot.readsRod' : 'shot.reads')}
            inputMode="none"
            autoComplete="off"
            data-reading
            value={text}
            onChange={(event) => {
              setText(event.target.value);
              setSure(false);
            }}
            onKeyDown={(event) => {
              if (event.key === 'Enter') log();
            }}
            style={{
              flex: 1,
              minWidth: 0,
              minHeight: 48,
              textAlign: 'right',
              border: 'none',
              background: 'transparent',
              font: "600 34px 'Barlow Condensed'",
              color: 'inherit',
            }}
          />
        </Flex>
        <Keypad
          text={text}
          onText={(next) => {
            setText(next);
            setSure(false);
          }}
          onOk={log}
          ok={t(sure ? 'shot.anyway' : 'shot.ok')}
          point={metric ? [format.lang.startsWith('es') ? ',' : '.'] : ["'", '.']}
        />
        {doubted > 0 && <Word tone="stop">{t('shot.doubted', { count: doubted })}</Word>}
        <MiniPlan
          things={[thing]}
          picked={thing.id}
          onTap={tap}
          next={tapped ? null : here}
          tapped={tapped}
          most={200}
          label={t('shot.map')}
        />
        {thing.fill && (
          <Suspense>
            <FillNext thing={thing} card={thing.fill} />
          </Suspense>
        )}
        <Sums thing={thing} view={view} currency={currency} />
        <Flex gap={2}>
          <Pick
            aria-label={t('shot.onLabel')}
            value={on}
            onChange={(e) => setOn(e.target.value as HoleSurface['on'])}
          >
            {thing.surfaces.map((one) => (
              <option key={one.on} value={one.on}>
                {t(`shot.on.${one.on}`)}
              </option>
            ))}
          </Pick>
          <Pick
            aria-label={t('shot.means')}
            value={means}
            onChange={(e) => {
              if (e.target.value === 'new') go({ doing: 'levels' });
              else setMeans(e.target.value);
            }}
          >
            <option value="tape">{t('shot.tape')}</option>
            {view.setUps.map(({ id, mark }) => (
              <option key={id} value={id}>
                {t('shot.setup')} {mark}
              </option>
            ))}
            <option value="new">{t('shot.newSetup')}…</option>
          </Pick>
        </Flex>
        <Flex gap={2}>
          <Press onClick={() => go({ doing: 'hold', hold: 'bottom' })}>{t('hold.kind.bottom')}</Press>
          <Press onClick={() => go({ doing: 'change' })}>{t('change.title')}</Press>
          <Press onClick={() => go({ doing: 'photo' })}>{t('inHole.photo')}</Press>
        </Flex>
        {setUp && (
          <Label text={t('shot.offset')}>
            <Typed
              value={offset}
              name="offset"
              inputMode="decimal"
              placeholder={format.text(0, 'taped')}
              aria-invalid={!rod.ok}
              onChange={(e) => setOffset(e.target.value)}
            />
          </Label>
        )}
        {setUp && (
          <Suspense>
            <Receiver
              place={`${thing.id}/${index}`}
              expected={zero - wanted - longer}
              onReading={(reading) => setText(format.parts(reading, 'taped').number)}
            />
          </Suspense>
        )}
        <Press look="quiet" onClick={() => void handOn(card)}>
          {t('inHole.share')}
        </Press>
        <Press look="quiet" onClick={() => go({ doing: 'depth' })}>
          {t('inHole.depthEdit')}
        </Press>
      </Box>
    </Box>
  );
}
