/** Fonts and styles the printed sheets share. */
import { createRequire } from 'node:module';
import { type Lang, written } from '@cimiento/core';
import { Font, StyleSheet } from '@react-pdf/renderer';

const require = createRequire(import.meta.url);
// Not compressed: the renderer reads a glyph's outline at a time, and of a packed font it would unpack all
// outlines for each.
Font.register({
  family: 'Words',
  fonts: [
    { src: require.resolve('@expo-google-fonts/barlow/400Regular/Barlow_400Regular.ttf') },
    { src: require.resolve('@expo-google-fonts/barlow/600SemiBold/Barlow_600SemiBold.ttf'), fontWeight: 600 },
  ],
});
Font.register({
  family: 'Figures',
  src: require.resolve('@expo-google-fonts/barlow-condensed/600SemiBold/BarlowCondensed_600SemiBold.ttf'),
});
/** Every face there is. */
export const FACES = [
  { fontFamily: 'Words', fontWeight: 400 },
  { fontFamily: 'Words', fontWeight: 600 },
  { fontFamily: 'Figures', fontWeight: 400 },
] as const;
// Words are not broken at the line's end: half a word on a wet sheet is worse than a ragged edge.
Font.registerHyphenationCallback((word) => [word]);

export const s = StyleSheet.create({
  page: {
    paddingHorizontal: 26,
    paddingTop: 20,
    paddingBottom: 26,
    fontFamily: 'Words',
    fontSize: 9.4,
    color: '#162329',
  },
  footed: { paddingBottom: 46 },
  head: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'flex-end',
    borderBottom: '1.5 solid #162329',
    paddingBottom: 3,
  },
  title: { fontFamily: 'Figures', fontSize: 20 },
  h: { fontFamily: 'Figures', fontSize: 12, marginBottom: 2 },
  row: { flexDirection: 'row' },
  cell: { paddingVertical: 2, paddingRight: 4 },
  number: { fontFamily: 'Figures', fontSize: 11, textAlign: 'right' },
  line: { marginBottom: 1.5 },
});

/** A day as people write it; sheets are dated by the revision, not by the clock of the reader. */
export const dateText = (date: Date, lang: Lang, timeZone = 'UTC'): string =>
  new Intl.DateTimeFormat(written(lang), { dateStyle: 'medium', timeZone }).format(date);

/** A time of day by a clock in the zone, 24 h. */
export const timeText = (date: Date, timeZone: string): string =>
  new Intl.DateTimeFormat('en-GB', { timeStyle: 'short', timeZone }).format(date);
