/** Debian's WebKit, by plain WebDriver, on a screen that is not there. */
import { spawn } from 'node:child_process';
import { existsSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Builder, By, Capabilities, Key } from 'selenium-webdriver';
import { freePort } from '../../web/e2e/own-server.ts';
import { type Hands, seen, until } from './hands.ts';

export const DRIVER = '/usr/bin/WebKitWebDriver';
const LIBRARIES = '/usr/lib';

/** Debian puts the browser that is driven beside the library, by the machine's kind and its version. */
function miniBrowser(): string | null {
  for (const kind of readdirSync(LIBRARIES).filter((name) => name.includes('linux-gnu')))
    for (const version of readdirSync(join(LIBRARIES, kind)).filter((name) =>
      name.startsWith('webkit2gtk'),
    )) {
      const path = join(LIBRARIES, kind, version, 'MiniBrowser');
      if (existsSync(path)) return path;
    }
  return null;
}

const KEYS = { Enter: Key.ENTER, Escape: Key.ESCAPE, Tab: Key.TAB } as const;

export async function webkit(): Promise<Hands> {
  const binary = miniBrowser();
  if (!binary) throw new Error('WebKit: no MiniBrowser');
  const port = await freePort();
  // As root its own walls round a page cannot be put up.
  const env = { ...process.env, WEBKIT_DISABLE_SANDBOX_THIS_IS_DANGEROUS: '1' };
  const driver = spawn('xvfb-run', ['-a', '-s', '-screen 0 1400x1000x24', DRIVER, `--port=${port}`], {
    env,
    detached: true,
    stdio: 'ignore',
  });
  const stop = () => {
    if (driver.pid) process.kill(-driver.pid);
  };
  try {
    await answers(`http://127.0.0.1:${port}/status`);
    const browser = await new Builder()
      .usingServer(`http://127.0.0.1:${port}`)
      .withCapabilities(
        new Capabilities({
          browserName: 'MiniBrowser',
          'webkitgtk:browserOptions': { binary, args: ['--automation'] },
        }),
      )
      .build();
    await browser.manage().window().setRect({ x: 0, y: 0, width: 1280, height: 900 });
    const hands: Hands = {
      name: 'WebKit',
      open: (url) => browser.get(url),
      press: async (selector) => {
        await seen(hands, selector);
        for (const one of await browser.findElements(By.css(selector)))
          if (await one.isDisplayed()) {
            await browser.executeScript('arguments[0].scrollIntoView({ block: "nearest" })', one);
            await browser.actions({ async: true }).move({ origin: one }).click().perform();
            return;
          }
        throw new Error(`WebKit: nothing to press at ${selector}`);
      },
      type: (text) => browser.actions({ async: true }).sendKeys(text).perform(),
      key: (key) => browser.actions({ async: true }).sendKeys(KEYS[key]).perform(),
      ask: (expression) => browser.executeScript(`return (${expression})`),
      size: (width, height) =>
        browser.manage().window().setRect({ x: 0, y: 0, width, height }) as Promise<never>,
      shot: async (path) => writeFileSync(path, await browser.takeScreenshot(), 'base64'),
      close: async () => {
        await browser.quit().catch(() => {});
        stop();
      },
    };
    await until(hands, 'true');
    return hands;
  } catch (error) {
    stop();
    throw error;
  }
}

/** Waits until a driver answers. */
async function answers(url: string): Promise<void> {
  for (let tries = 0; tries < 100; tries++) {
    const answer = await fetch(url).catch(() => null);
    if (answer?.ok) return;
    await new Promise((done) => setTimeout(done, 200));
  }
  throw new Error('WebKit: its driver does not answer');
}
