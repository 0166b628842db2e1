import { type Lang, tongueOf } from '@cimiento/core';

/** The demo sign-ins, made up; shown on the sign-in page in demo mode only. */
export const DEMO_PERSON = { email: 'lead@cimiento.demo', password: 'frost-line' } as const;
export const OTHER_PERSON = { email: 'other@cimiento.demo', password: 'other-crew' } as const;
/** Of the same crew as its people write in Spanish: jobs, soils, notes and all. */
export const SPANISH_PERSON = { email: 'jefa@cimiento.demo', password: 'frost-line' } as const;

/** A second person of either demo crew, who is no lead. */
export const DEMO_HAND = { email: 'hand@cimiento.demo', password: 'frost-line' } as const;
export const SPANISH_HAND = { email: 'ayudante@cimiento.demo', password: 'frost-line' } as const;

/** Who a visitor looks around as: the crew that writes in the language of the page. */
export const demoPersonFor = (lang: Lang) => (tongueOf(lang) === 'es' ? SPANISH_PERSON : DEMO_PERSON);
