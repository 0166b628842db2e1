/** One job's whole record on paper, in the order of time: what was done and seen, by whom. */
import { inTime, standing } from '@cimiento/core';
import { Text, View } from '@react-pdf/renderer';
import { makeFormat } from '../ui/format.tsx';
import { recordText } from '../ui/records.ts';
import { SheetFrame, type SheetInput } from './frame.tsx';
import { photoPages } from './photo-pages.tsx';
import { type Printed, print } from './print.server.ts';
import { dateText, s, timeText } from './style.server.ts';

/** Rows a page takes. */
const A_PAGE = 44;

function Sheet(input: SheetInput) {
  const { plan, records, lang, system, zone, t } = input;
  const format = makeFormat(lang, system);
  const stand = new Set(standing(records));
  const byId = new Map(records.map((record) => [record.id, record]));
  const rows = inTime(records).map((record) => {
    const corrected = record.corrects === null ? undefined : byId.get(record.corrects);
    const { what, value } = recordText(t, format, plan, record, corrected);
    const at = new Date(record.at);
    const struck = record.value !== null && !stand.has(record);
    return (
      <View key={record.id} style={{ ...s.row, borderBottom: '0.5 solid #9aa5a8' }} wrap={false}>
        <Text style={{ ...s.cell, width: 84 }}>{dateText(at, lang, zone)}</Text>
        <Text style={{ ...s.cell, width: 46 }}>{timeText(at, zone)}</Text>
        <Text style={{ ...s.cell, width: 120 }}>{record.by}</Text>
        <Text style={{ ...s.cell, flex: 1, textDecoration: struck ? 'line-through' : 'none' }}>
          {`${what}: ${value}`}
        </Text>
      </View>
    );
  });
  const pages: React.ReactNode[] = [];
  for (let i = 0; i < Math.max(1, rows.length); i += A_PAGE)
    pages.push(
      <View style={{ marginTop: 6 }}>
        <Text style={s.line}>{rows.length === 0 ? t('record.none') : t('record.sheetNote', { zone })}</Text>
        {rows.slice(i, i + A_PAGE)}
      </View>,
    );
  pages.push(...photoPages(input, records));
  return <SheetFrame {...input} title={t('record.sheet')} problems={[]} format={format} pages={pages} />;
}

export const recordPdf = (input: SheetInput): Promise<Printed> =>
  print((how) => <Sheet {...input} {...how} />);
