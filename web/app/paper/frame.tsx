/** What stands round every printed sheet: page, head with the job, what is wrong, number of the page. */
import type { Lang, Plan, Problem, SiteRecord, System } from '@cimiento/core';
import { Document, Page, Text, View } from '@react-pdf/renderer';
import type { Say } from '../messages/keys.ts';
import type { Format } from '../ui/format.tsx';
import { problemText } from '../ui/words.ts';
import { dateText, s } from './style.server.ts';

/** What every sheet is made from. */
export interface SheetInput {
  readonly plan: Plan;
  readonly records: readonly SiteRecord[];
  readonly revision: number;
  readonly savedAt: Date;
  readonly lang: Lang;
  readonly system: System;
  /** Where the reader's clock is, by its IANA name. */
  readonly zone: string;
  readonly t: Say;
  /** The day it is of, where it is of one: 2026-10-14; the newest there is where none is said. */
  readonly day?: string;
  /** The id of the pour it is of, where it is of one; the first where none is said. */
  readonly pour?: string;
  /** Small pictures of its photos, by the id of their record. */
  readonly thumbs?: ReadonlyMap<string, Uint8Array>;
  /** A page ran on: what counts pages asks the finished sheet, however many there are. */
  readonly runsOn?: boolean;
}

/** Pages beyond which a sheet counts on having been cut up rightly. */
const MANY = 3;

export function SheetFrame({
  plan,
  revision,
  savedAt,
  lang,
  system,
  t,
  runsOn,
  title,
  problems,
  format,
  foot,
  pages,
}: SheetInput & {
  title: string;
  problems: readonly Problem[];
  format: Format;
  /** At the foot of every page. */
  foot?: React.ReactNode;
  /** What stands on each page. One that is too long runs on, but is laid out again for every page it takes. */
  pages: readonly React.ReactNode[];
}) {
  const size = system === 'metric' ? 'A4' : 'LETTER';
  const sheetPages = pages.map((content, i) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: pages are made once, in order
    <Page key={i} size={size} style={foot ? [s.page, s.footed] : s.page}>
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
      {i === 0 &&
        problems.map((p) => (
          <Text key={p.code + p.path} style={{ color: '#a02733', fontWeight: 600 }}>
            {problemText(t, format, p)}
          </Text>
        ))}
      {content}
      {foot && (
        <View fixed style={{ position: 'absolute', bottom: 10, left: 26, right: 90 }}>
          {foot}
        </View>
      )}
      <Text
        fixed
        style={{ position: 'absolute', bottom: 10, right: 26, fontSize: 7 }}
        // Asked of the page itself it is laid out twice more: many pages, cut up beforehand, know.
        {...(pages.length > MANY && !runsOn
          ? { children: t('sheet.page', { n: i + 1, of: pages.length }) }
          : {
              render: ({ pageNumber, totalPages }: { pageNumber: number; totalPages: number }) =>
                t('sheet.page', { n: pageNumber, of: totalPages }),
            })}
      />
    </Page>
  ));
  return (
    <Document title={`${plan.name} – ${title}`} language={lang} producer="Cimiento" creator="Cimiento">
      {sheetPages}
    </Document>
  );
}
