/** A card for each thing dug: what one asks standing over it, large, beside its section. */
import { type Plan, pencilledOf, type Takeoff, traitsOf } from '@cimiento/core';
import { Text, View } from '@react-pdf/renderer';
import { coded, type Say } from '../../messages/keys.ts';
import type { Format } from '../../ui/format.tsx';
import { bottomText, layerName, sidesText } from '../../ui/words.ts';
import { s } from '../style.server.ts';
import { downFrom, type Of } from './Depths.tsx';
import { EARTH, Told } from './marks.tsx';
import type { Row } from './rows.ts';
import { SectionDrawing } from './SectionDrawing.tsx';

export const CARDS_ON_PAGE = 3;
const CARD = { height: 226, numbers: 196, section: 338 } as const;

export function Card({
  plan,
  takeoff,
  row: { names, info, index, formation, underside, top, groundLow, groundHigh },
  string,
  t,
  format,
}: {
  plan: Plan;
  takeoff: Takeoff;
  row: Row;
  string: Of;
  t: Say;
  format: Format;
}) {
  const down = downFrom(string, format);
  const pencil = pencilledOf(plan, info);
  const ground =
    groundHigh - groundLow < 0.0005 ? down(groundHigh) : `${down(groundHigh)} – ${down(groundLow)}`;
  // A stepped strip's layers follow its bottom: told from each tread's own.
  const lift = formation - info.formation;
  // The section stands in one place; what falls or steps is told where it is deepest.
  const varies = traitsOf(info.element).falls || info.steps !== null;
  const layers = [
    ...info.layers.map(({ layer, top: level }) => ({
      name: `${format.text(layer.thickness, 'size')} ${layerName(t, layer)}`,
      level: level + lift,
    })),
    ...(info.decision ? [{ name: t(`built.${info.built}`), level: top }] : []),
  ].reverse();
  return (
    <View wrap={false} style={{ height: CARD.height, borderBottom: '0.8 solid #162329', paddingVertical: 5 }}>
      <View style={[s.row, { justifyContent: 'space-between', alignItems: 'baseline' }]}>
        <Text
          style={{ fontFamily: 'Figures', fontSize: 18, width: 400, maxLines: 1, textOverflow: 'ellipsis' }}
        >
          {names.join(', ')}
        </Text>
        <Text style={{ fontSize: 10 }}>
          {t('sheet.stringAt', { level: format.text(string.level, 'level') })}
        </Text>
      </View>
      <View style={s.row}>
        <View style={{ width: CARD.numbers, paddingRight: 10 }}>
          <Line name={t(varies ? 'sheet.formationDeepest' : 'sheet.formation')}>
            <Told text={down(formation)} size={30} pencil={pencil.depth} colour={EARTH} />
          </Line>
          <Line name={t('sheet.bottom')}>
            <Told
              text={bottomText(info, format)}
              size={info.bottomLength === null ? 17 : 14}
              pencil={pencil.width}
            />
          </Line>
          <Line name={t('sheet.sides')}>
            <Told text={sidesText(info, t, format)} size={17} pencil={pencil.sides} />
          </Line>
          <Text style={{ fontSize: 8.6, marginTop: 3 }}>{t('sheet.tops')}</Text>
          {layers.map(({ name, level }) => (
            <Line key={`${name}${level}`} name={name}>
              <Told text={down(level)} size={13} pencil={pencil.depth} />
            </Line>
          ))}
          <Text style={{ fontSize: 8.6, marginTop: 3 }}>
            {[
              t('sheet.groundAt', { depth: ground }),
              ...(info.layers.length > 0 ? [t('sheet.undersideAt', { depth: down(underside) })] : []),
              ...(info.decision?.governs ? [t(`decides.${info.decision.governs}`)] : []),
            ].join(' · ')}
          </Text>
        </View>
        <SectionDrawing
          plan={plan}
          takeoff={takeoff}
          index={index}
          format={format}
          name={(flag) =>
            flag === 'inside'
              ? t('sheet.inside')
              : t(coded(flag === 'footing' ? `built.${info.built}` : `staff.${flag}`))
          }
          width={CARD.section}
          height={CARD.height - 42}
        />
      </View>
    </View>
  );
}

const Line = ({ name, children }: { name: string; children: React.ReactNode }) => (
  <View style={[s.row, { justifyContent: 'space-between', alignItems: 'baseline' }]}>
    <Text style={{ fontSize: 9.4, maxLines: 1, textOverflow: 'ellipsis', flex: 1 }}>{name}</Text>
    {children}
  </View>
);
