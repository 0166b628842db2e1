/** Stops first; and at the foot of every page how many there are, so that a page by itself is not mistaken for leave to go in. */
import type { Caution, Plan, Takeoff } from '@cimiento/core';
import { Text, View } from '@react-pdf/renderer';
import type { Say } from '../../messages/keys.ts';
import type { Format } from '../../ui/format.tsx';
import { cautionKey, cautionText, cautionTitle, concerns } from '../../ui/words.ts';
import { s } from '../style.server.ts';
import { HELD, PENCIL } from './marks.tsx';

interface Shown {
  readonly plan: Plan;
  readonly takeoff: Takeoff;
  readonly t: Say;
  readonly format: Format;
}

export const stopsOf = ({ cautions }: Takeoff): readonly Caution[] =>
  cautions.filter(({ weight }) => weight === 'stop');

export function Cautions({
  of,
  size,
  plan,
  t,
  format,
}: Omit<Shown, 'takeoff'> & {
  of: readonly Caution[];
  /** Of the letters, pt. */
  size: number;
}) {
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
      {of.map((caution) => {
        const { title, text } = cautionText(t, format, caution);
        const who = concerns(plan, caution);
        const stop = caution.weight === 'stop';
        return (
          <View
            key={cautionKey(caution)}
            wrap={false}
            style={{
              width: '49%',
              marginRight: '1%',
              marginBottom: 4,
              paddingLeft: 5,
              paddingVertical: 1,
              borderLeft: `${stop ? 4 : 1} solid ${stop ? HELD : '#55656b'}`,
            }}
          >
            <Text style={{ fontSize: size }}>
              <Text style={{ fontWeight: 600 }}>
                {stop ? `${t('caution.stop')} · ` : ''}
                {title}
                {who ? ` (${who})` : ''}
              </Text>{' '}
              {text}
              {stop && caution.lifts ? ` ${t(`lifts.${caution.lifts}`)}` : ''}
            </Text>
          </View>
        );
      })}
    </View>
  );
}

export function Foot({ plan, takeoff, t, format }: Shown) {
  const stops = stopsOf(takeoff);
  return (
    <View>
      {stops.length > 0 && (
        <Text style={{ color: HELD, fontWeight: 600, fontSize: 8.6, maxLines: 1, textOverflow: 'ellipsis' }}>
          {`${t('caution.count', { count: stops.length })}: ${stops
            .map((stop) => cautionTitle(t, format, stop))
            .join(' ')}`}
        </Text>
      )}
      <Text style={{ fontSize: 7.6, maxLines: 1, textOverflow: 'ellipsis' }}>
        {t('caution.defer.title')} {t('caution.defer.text')}
      </Text>
      {plan.assumed.length > 0 && (
        <Text style={{ fontSize: 7.6, color: PENCIL }}>{t('sheet.pencilMark')}</Text>
      )}
    </View>
  );
}

/** Letters of a line of a caution on half a page, and what a line and its gap take, pt. */
const LETTERS = 50;
const LINE = 13;

/** About how high the stops stand, pt, so that the key plan takes the rest of the page. */
export function stopsHeight({ plan, takeoff, t, format }: Shown): number {
  const lines = stopsOf(takeoff).map((stop) => {
    const { title, text } = cautionText(t, format, stop);
    const who = stop.lifts ? t(`lifts.${stop.lifts}`) : '';
    return Math.ceil((title.length + text.length + who.length + concerns(plan, stop).length + 14) / LETTERS);
  });
  let height = 0;
  for (let i = 0; i < lines.length; i += 2) height += Math.max(lines[i]!, lines[i + 1] ?? 0) * LINE + 7;
  return height;
}

export const Heading = ({ children }: { children: string }) => <Text style={s.h}>{children}</Text>;
