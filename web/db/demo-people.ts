/** The demo sign-ins, made up; shown on the sign-in page in demo mode only. */
export const DEMO_PERSON = { email: 'lead@cimiento.demo', password: 'frost-line' } as const;
export const OTHER_PERSON = { email: 'other@cimiento.demo', password: 'other-crew' } as const;
