/** How a person likes to read: language, theme, units. Kept in a cookie and with the person. */
import { LANGS, type Lang, type System } from '@cimiento/core';

export const THEMES = ['light', 'night', 'sun'] as const;
export const SYSTEMS = ['metric', 'imperial'] as const satisfies readonly System[];
export type Theme = (typeof THEMES)[number];

export interface Preferences {
  readonly lang: Lang;
  readonly theme: Theme;
  /** Null: each job in the units it was drawn in. */
  readonly system: System | null;
}

export const oneOf = <T extends string>(values: readonly T[], value: unknown): T | null =>
  values.find((candidate) => candidate === value) ?? null;

/** Countries whose crews speak as those of another that is known. */
const AS: Readonly<Record<string, Lang>> = {
  'en-AU': 'en-GB',
  'en-CA': 'en-US',
  'en-IE': 'en-GB',
  'en-NZ': 'en-GB',
  'en-ZA': 'en-GB',
  'es-BO': 'es-PE',
  'es-CL': 'es-PE',
  'es-CO': 'es-PE',
  'es-EC': 'es-PE',
  'es-GT': 'es-MX',
  'es-HN': 'es-MX',
  'es-SV': 'es-MX',
  'es-US': 'es-MX',
};

/** The language a browser asks for first, with its country where that is known. */
function langWanted(acceptLanguage: string | null): Lang {
  const first = /^\s*([a-z]{2})(?:-([a-z]{2}))?/i.exec(acceptLanguage ?? '');
  const tongue = first?.[1]?.toLowerCase() === 'es' ? 'es' : 'en';
  if (first?.[1]?.toLowerCase() !== tongue || !first[2]) return tongue;
  const asked = `${tongue}-${first[2].toUpperCase()}`;
  return oneOf(LANGS, asked) ?? AS[asked] ?? tongue;
}

/** Reads the cookie; whatever is missing or odd falls back to the browser's language and light. */
export function readPreferences(cookie: string | undefined, acceptLanguage: string | null): Preferences {
  let stored: Record<string, unknown> = {};
  try {
    const parsed: unknown = cookie ? JSON.parse(decodeURIComponent(cookie)) : null;
    if (typeof parsed === 'object' && parsed !== null) stored = parsed as Record<string, unknown>;
  } catch {
    // A broken cookie is no cookie.
  }
  return {
    lang: oneOf(LANGS, stored.lang) ?? langWanted(acceptLanguage),
    theme: oneOf(THEMES, stored.theme) ?? 'light',
    system: oneOf(SYSTEMS, stored.system),
  };
}
