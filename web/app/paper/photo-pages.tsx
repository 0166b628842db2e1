/** Photos of some records on paper, the newest first: small, with what they show, of what, when and by whom. */
import { inTime, type Plan, type SiteRecord, standing } from '@cimiento/core';
import { Image, Text, View } from '@react-pdf/renderer';
import type { SheetInput } from './frame.tsx';
import { dateText, s, timeText } from './style.server.ts';

/** Photos a row, and a page. */
const A_ROW = 3;
const A_PAGE = 12;
/** Printed at the most: more are said, not printed. */
const MOST = 120;

const named = (plan: Plan, id: string | null) => plan.elements.find((one) => one.id === id)?.name;

/** Pages of them; none where there is none. @param records of which they are printed */
export function photoPages(
  { plan, lang, zone, t, thumbs }: SheetInput,
  records: readonly SiteRecord[],
): React.ReactNode[] {
  const all = inTime(standing(records))
    .flatMap((record) => {
      const thumb = record.kind === 'photo' && record.value ? thumbs?.get(record.id) : undefined;
      return thumb && record.kind === 'photo' ? [{ record, thumb }] : [];
    })
    .reverse();
  const shown = all.slice(0, MOST);
  const pages: React.ReactNode[] = [];
  for (let i = 0; i < shown.length; i += A_PAGE) {
    const last = i + A_PAGE >= shown.length;
    pages.push(
      <View style={{ marginTop: 6 }}>
        <Text style={[s.line, { fontWeight: 600 }]}>{t('photo.title')}</Text>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          {shown.slice(i, i + A_PAGE).map(({ record, thumb }) => (
            <View key={record.id} style={{ width: 510 / A_ROW }}>
              <Image
                src={{ data: Buffer.from(thumb), format: 'jpg' }}
                style={{ width: 510 / A_ROW, height: 120, objectFit: 'contain' }}
              />
              <Text style={{ fontSize: 7.5 }}>
                {[named(plan, record.element), record.value?.text].filter(Boolean).join(' · ')}
              </Text>
              <Text style={{ fontSize: 7.5 }}>
                {[
                  `${dateText(new Date(record.at), lang, zone)} ${timeText(new Date(record.at), zone)}`,
                  record.by,
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </Text>
            </View>
          ))}
        </View>
        {last && all.length > shown.length && (
          <Text style={s.line}>{t('photo.rest', { count: all.length - shown.length })}</Text>
        )}
      </View>,
    );
  }
  return pages;
}
