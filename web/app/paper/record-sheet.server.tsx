/** One job's whole record on paper, in the order of time: what was done and seen, by whom. */
import { inTime, standing } from '@cimiento/core';
import { renderToBuffer, Text, View } from '@react-pdf/renderer';
import { makeFormat } from '../parts/format.tsx';
import { recordText } from '../parts/records.ts';
import { SheetFrame, type SheetInput } from './frame.tsx';
import { dateText, s } from './style.server.ts';

/** Rows a page takes. */
const A_PAGE = 44;

function Sheet(input: SheetInput) {
  const { plan, records, lang, system, t } = input;
  const format = makeFormat(lang, system);
  const stand = new Set(standing(records));
  const rows = inTime(records).map((record) => {
    const { what, value } = recordText(t, format, plan, record);
    return (
      <View key={record.id} style={{ ...s.row, borderBottom: '0.5 solid #9aa5a8' }} wrap={false}>
        <Text style={{ ...s.cell, width: 84 }}>{dateText(new Date(record.at), lang)}</Text>
        <Text style={{ ...s.cell, width: 46 }}>{record.at.slice(11, 16)}</Text>
        <Text style={{ ...s.cell, width: 120 }}>{record.by}</Text>
        <Text
          style={{ ...s.cell, flex: 1, textDecoration: stand.has(record) ? 'none' : 'line-through' }}
        >{`${what}: ${value}`}</Text>
      </View>
    );
  });
  const pages: React.ReactNode[] = [];
  for (let i = 0; i < Math.max(1, rows.length); i += A_PAGE)
    pages.push(
      <View style={{ marginTop: 6 }}>
        <Text style={s.line}>{t(rows.length === 0 ? 'record.none' : 'record.sheetNote')}</Text>
        {rows.slice(i, i + A_PAGE)}
      </View>,
    );
  return <SheetFrame {...input} title={t('record.sheet')} problems={[]} format={format} pages={pages} />;
}

export const recordPdf = async (input: SheetInput): Promise<Uint8Array<ArrayBuffer>> =>
  new Uint8Array(await renderToBuffer(<Sheet {...input} />));
