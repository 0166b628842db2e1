/** How a person likes to read: language, theme, units. Kept in a cookie and with the person. */
import type { Lang, System } from '@cimiento/core';

export const LANGS = ['en', 'es'] as const satisfies readonly Lang[];
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

/** Reads the cookie; whatever is missing or odd falls back to the browser's language and light. */
export function readPreferences(cookie: string | undefined, acceptLanguage: string | null): Preferences {
  let stored: Record<string, unknown> = {};
  try {
    const parsed: unknown = cookie ? JSON.parse(decodeURIComponent(cookie)) : null;
    if (typeof parsed === 'object' && parsed !== null) stored = parsed as Record<string, unknown>;
  } catch {
    // A broken cookie is no cookie.
  }
  const wants = /^es\b/i.test(acceptLanguage ?? '') ? 'es' : 'en';
  return {
    lang: oneOf(LANGS, stored.lang) ?? wants,
    theme: oneOf(THEMES, stored.theme) ?? 'light',
    system: oneOf(SYSTEMS, stored.system),
  };
}
