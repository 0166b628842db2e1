/** Debian's Chromium, by its own protocol. */
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../chromium.ts';
import { type Hands, seen } from './hands.ts';

export async function blink(): Promise<Hands> {
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const hands: Hands = {
    name: 'Blink',
    open: async (url) => void (await page.goto(url)),
    press: async (selector) => {
      await seen(hands, selector);
      await page.locator(`${selector} >> visible=true`).first().click();
    },
    type: (text) => page.keyboard.type(text),
    key: (key) => page.keyboard.press(key),
    ask: (expression) => page.evaluate(expression),
    size: (width, height) => page.setViewportSize({ width, height }),
    shot: async (path) => void (await page.screenshot({ path })),
    close: () => browser.close(),
  };
  return hands;
}
