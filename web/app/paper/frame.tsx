/** What stands round every printed sheet: its head with the job, and the number of the page. */
import type { Lang, Plan } from '@cimiento/core';
import { Text, View } from '@react-pdf/renderer';
import type { TFunction } from 'i18next';
import type { Format } from '../parts/format.tsx';
import { dateText, s } from './style.server.ts';

export function SheetHead({
  plan,
  revision,
  savedAt,
  lang,
  title,
  format,
  t,
}: {
  plan: Plan;
  revision: number;
  savedAt: Date;
  lang: Lang;
  title: string;
  format: Format;
  t: TFunction;
}) {
  return (
    <View style={s.head} fixed>
      <View>
        <Text style={s.title}>{plan.name}</Text>
        <Text>
          {[plan.place, plan.datum.name && `${plan.datum.name} ${format.text(plan.datum.level, 'level')}`]
            .filter(Boolean)
            .join(' · ')}
        </Text>
      </View>
      <View style={{ alignItems: 'flex-end' }}>
        <Text style={{ fontFamily: 'Figures', fontSize: 13 }}>{title.toUpperCase()}</Text>
        <Text>{t('sheet.revision', { n: revision, date: dateText(savedAt, lang) })}</Text>
      </View>
    </View>
  );
}

export function PageNumber({ t }: { t: TFunction }) {
  return (
    <Text
      fixed
      style={{ position: 'absolute', bottom: 10, right: 26, fontSize: 7 }}
      render={({ pageNumber, totalPages }) => t('sheet.page', { n: pageNumber, of: totalPages })}
    />
  );
}
