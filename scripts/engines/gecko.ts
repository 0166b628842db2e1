/** Debian's Firefox, by WebDriver BiDi. */
import { launch } from 'puppeteer-core';
import { type Hands, seen } from './hands.ts';

const FIREFOX = '/usr/bin/firefox-esr';

export async function gecko(): Promise<Hands> {
  const browser = await launch({ browser: 'firefox', executablePath: FIREFOX, headless: true });
  const page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  const hands: Hands = {
    name: 'Gecko',
    open: async (url) => void (await page.goto(url)),
    press: async (selector) => {
      await seen(hands, selector);
      for (const one of await page.$$(selector))
        if (await one.isVisible()) {
          await one.click();
          return;
        }
      throw new Error(`Gecko: nothing to press at ${selector}`);
    },
    type: (text) => page.keyboard.type(text),
    key: (key) => page.keyboard.press(key),
    ask: (expression) => page.evaluate(expression) as Promise<never>,
    size: (width, height) => page.setViewport({ width, height }),
    shot: async (path) => void (await page.screenshot({ path: path as `${string}.png` })),
    close: () => browser.close(),
  };
  return hands;
}
