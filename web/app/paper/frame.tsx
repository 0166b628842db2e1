/** What stands round every printed sheet: page, head with the job, what is wrong, number of the page. */
import type { Takeoff } from '@cimiento/core';
import { Document, Page, Text, View } from '@react-pdf/renderer';
import type { Format } from '../parts/format.tsx';
import { problemText } from '../parts/words.ts';
import type { SheetInput } from './sheet.server.tsx';
import { dateText, s } from './style.server.ts';

export function SheetFrame({
  plan,
  revision,
  savedAt,
  lang,
  system,
  t,
  title,
  takeoff,
  format,
  children,
}: SheetInput & { title: string; takeoff: Takeoff; format: Format; children: React.ReactNode }) {
  return (
    <Document title={`${plan.name} – ${title}`} language={lang} producer="Cimiento" creator="Cimiento">
      <Page size={system === 'metric' ? 'A4' : 'LETTER'} style={s.page}>
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
        {takeoff.problems.map((p) => (
          <Text key={p.code + p.path} style={{ color: '#a02733', fontWeight: 600 }}>
            {problemText(t, format, p)}
          </Text>
        ))}
        {children}
        <Text
          fixed
          style={{ position: 'absolute', bottom: 10, right: 26, fontSize: 7 }}
          render={({ pageNumber, totalPages }) => t('sheet.page', { n: pageNumber, of: totalPages })}
        />
      </Page>
    </Document>
  );
}
