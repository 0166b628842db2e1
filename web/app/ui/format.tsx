/** How numbers read to this person: their language, and their units or the job's. */
import {
  type Kind,
  type Lang,
  type Printed,
  type PrintOptions,
  printParts,
  printQuantity,
  type System,
} from '@cimiento/core';
import { createContext, useContext, useMemo } from 'react';

export interface Format {
  readonly lang: Lang;
  readonly system: System;
  text(value: number, kind: Kind, options?: PrintOptions): string;
  parts(value: number, kind: Kind, options?: PrintOptions): Printed;
}

const Context = createContext<Format | null>(null);

export function FormatProvider({
  lang,
  system,
  children,
}: {
  lang: Lang;
  system: System;
  children: React.ReactNode;
}) {
  const format = useMemo(() => makeFormat(lang, system), [lang, system]);
  return <Context.Provider value={format}>{children}</Context.Provider>;
}

export const makeFormat = (lang: Lang, system: System): Format => ({
  lang,
  system,
  text: (value, kind, options) => printQuantity(value, kind, system, lang, options),
  parts: (value, kind, options) => printParts(value, kind, system, lang, options),
});

export function useFormat(): Format {
  const format = useContext(Context);
  if (!format) throw new Error('useFormat needs a FormatProvider above it.');
  return format;
}

/** A level at a whole step, short: decimals in metres, feet and inches never as decimal feet. */
export const roundLevel = (format: Format, level: number, decimals: number): string =>
  format.text(level, 'level', format.system === 'metric' ? { decimals } : {}).replace(/\u00a0m$/, '');
