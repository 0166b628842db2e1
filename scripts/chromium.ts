/**
 * Debian's Chromium without a window or the browser round it, which would take a quarter of the time;
 * and without the calls home it makes by itself.
 */
export const CHROMIUM = {
  executablePath: '/usr/bin/chromium-headless-shell',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-dev-shm-usage',
    '--disable-background-networking',
    '--disable-component-update',
    '--no-first-run',
  ],
};
