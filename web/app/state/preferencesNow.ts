/** How somebody likes to read, as the browser knows it now: a page that was kept may be older. */
import { type Preferences, readPreferences } from '../preferences.ts';

export const preferencesNow = (): Preferences =>
  readPreferences(/(?:^|;\s*)cimiento_prefs=([^;]+)/.exec(document.cookie)?.[1], navigator.language);
