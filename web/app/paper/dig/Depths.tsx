/** Depths from the string, in letters that are read at arm's length. */
import { type Plan, pencilledOf, stringsOf } from '@cimiento/core';
import { Text, View } from '@react-pdf/renderer';
import type { Say } from '../../messages/keys.ts';
import type { Format } from '../../ui/format.tsx';
import { bottomText, depthText, sidesText } from '../../ui/words.ts';
import { s } from '../style.server.ts';
import { EARTH, Told } from './marks.tsx';
import type { Row } from './rows.ts';
import { Heading } from './Stops.tsx';

/** Of its columns, pt. */
const WIDTHS = { name: 130, formation: 112, underside: 74, footing: 74, bottom: 98, sides: 54 } as const;
/** What a row and the heads take, pt; a name that is long takes more. */
const ROW = 31;
export const HEADS = 42;
/** Letters of the names a row's line takes. */
const NAME_LETTERS = 24;

export type Of = ReturnType<typeof stringsOf>[number];

/** A depth down from a string. */
export const downFrom =
  (string: { readonly level: number }, format: Format) =>
  (level: number): string =>
    depthText(format, string.level - level);

/** Rows by the string they hang on; the job's own first. */
export const byString = (plan: Plan, rows: readonly Row[]): { string: Of; rows: readonly Row[] }[] =>
  stringsOf(plan)
    .map((string) => ({ string, rows: rows.filter((row) => row.info.string.id === string.id) }))
    .filter(({ rows: own }) => own.length > 0);

export const rowHeight = ({ names }: Row): number =>
  Math.max(ROW, 7 + 15 * Math.ceil(names.join(', ').length / NAME_LETTERS));

const stringTitle = (string: Of, t: Say, format: Format): string => {
  const level = format.text(string.level, 'level');
  return string.name === null
    ? t('sheet.table', { level })
    : t('sheet.tableOf', { level, name: string.name });
};

export function Depths({
  plan,
  string,
  rows,
  t,
  format,
}: {
  plan: Plan;
  string: Of;
  rows: readonly Row[];
  t: Say;
  format: Format;
}) {
  const down = downFrom(string, format);
  return (
    <View style={{ marginTop: 6 }}>
      <Heading>{stringTitle(string, t, format)}</Heading>
      <View style={[s.row, { borderBottom: '1 solid #162329' }]}>
        {(Object.keys(WIDTHS) as (keyof typeof WIDTHS)[]).map((key) => (
          <Text
            key={key}
            style={[
              s.cell,
              { width: WIDTHS[key], fontSize: 8.6, textAlign: key === 'name' ? 'left' : 'right' },
            ]}
          >
            {t(`sheet.${key}`)}
          </Text>
        ))}
      </View>
      {rows.map(({ key, names, info, formation, underside, top }) => {
        const pencil = pencilledOf(plan, info);
        const cell = (width: number) => [s.cell, { width }];
        return (
          <View
            key={key}
            style={[s.row, { borderBottom: '0.5 solid #9fb0b2', alignItems: 'center', minHeight: ROW - 1 }]}
            wrap={false}
          >
            <Text style={[s.cell, { width: WIDTHS.name, fontWeight: 600, fontSize: 12 }]}>
              {names.join(', ')}
            </Text>
            <View style={cell(WIDTHS.formation)}>
              <Told text={down(formation)} size={22} pencil={pencil.depth} colour={EARTH} />
            </View>
            <View style={cell(WIDTHS.underside)}>
              <Told
                text={info.layers.length > 0 ? down(underside) : '–'}
                size={14}
                pencil={pencil.depth && info.layers.length > 0}
              />
            </View>
            <View style={cell(WIDTHS.footing)}>
              <Told text={down(top)} size={14} pencil={pencil.depth} />
            </View>
            <View style={cell(WIDTHS.bottom)}>
              <Told
                text={bottomText(info, format)}
                size={info.bottomLength === null ? 15 : 12.5}
                pencil={pencil.width}
              />
            </View>
            <View style={cell(WIDTHS.sides)}>
              <Told text={sidesText(info, t, format)} size={13} pencil={pencil.sides} />
            </View>
          </View>
        );
      })}
    </View>
  );
}
