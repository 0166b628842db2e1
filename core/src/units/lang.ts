/** Languages: how words and numbers are written. */

/** Languages, plain and as they are written in a country: words and the decimal sign go by it. */
export const LANGS = ['en', 'en-US', 'en-GB', 'es', 'es-ES', 'es-MX', 'es-PE'] as const;
export type Lang = (typeof LANGS)[number];

/** The language itself, whatever the country. */
export const tongueOf = (lang: Lang): 'en' | 'es' => (lang.startsWith('es') ? 'es' : 'en');

/** Plain English and plain Spanish write numbers as in Britain and in Spain. */
export const written = (lang: Lang): string => (lang === 'es' ? 'es-ES' : lang === 'en' ? 'en-GB' : lang);

/** The decimal sign. */
export const decimalSign = (lang: Lang): string => (0.5).toLocaleString(written(lang)).charAt(1);
