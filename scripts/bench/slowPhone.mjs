import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';

import connect from 'chrome-remote-interface';

const SLOWDOWN = 4;
const LONGEST_WAIT_MS = 60_000;

/**
 * A browser with pages of a phone's size, at a quarter of this machine's speed when told so. Driven from outside as
 * little as can be: what drives the browser tests listens to each page's console and exceptions, and then the browser
 * parses a whole script anew wherever an exception is caught in it; that took half of the time to the first screen.
 */
export async function slowPhone({ width = 390, height = 844 } = {}) {
  const profile = mkdtempSync(path.join(os.tmpdir(), 'dunlinmoss-phone-'));
  const browser = spawn(
    '/usr/bin/chromium',
    [
      '--headless=new',
      '--no-sandbox',
      '--disable-gpu',
      '--hide-scrollbars',
      '--remote-debugging-port=0',
      `--user-data-dir=${profile}`,
    ],
    { stdio: ['ignore', 'ignore', 'pipe'] },
  );
  const target = await new Promise((resolve, reject) => {
    let told = '';
    browser.stderr.on('data', (part) => {
      const found = /DevTools listening on (ws:\S+)/.exec((told += part));
      if (found) resolve(found[1]);
    });
    browser.once('exit', () => reject(new Error(`The browser did not start: ${told}`)));
  });
  const client = await connect({ target, local: true });

  /** Opens a page before anything is loaded in it. `watch` runs in it before its own scripts, and is given `about`. */
  async function open(browserContextId, { watch, about, slow = false }) {
    const { targetId } = await client.send('Target.createTarget', { url: 'about:blank', browserContextId });
    const { sessionId } = await client.send('Target.attachToTarget', { targetId, flatten: true });
    const send = (method, params = {}) => client.send(method, params, sessionId);
    const metrics = { width, height, deviceScaleFactor: 1, mobile: false };
    await send('Emulation.setDeviceMetricsOverride', metrics);
    await send('Page.enable');
    if (watch) {
      const source = `(${watch})(${JSON.stringify(about)})`;
      await send('Page.addScriptToEvaluateOnNewDocument', { source });
    }
    const page = {
      send,
      slow: () => send('Emulation.setCPUThrottlingRate', { rate: SLOWDOWN }),
      go: (url) => send('Page.navigate', { url }),
      /** What a function comes to in the page. */
      async run(code, argument) {
        const expression = `(${code})(${JSON.stringify(argument)})`;
        const { result, exceptionDetails } = await send('Runtime.evaluate', {
          expression,
          awaitPromise: true,
          returnByValue: true,
        });
        if (exceptionDetails) throw new Error(exceptionDetails.exception?.description ?? exceptionDetails.text);
        return result.value;
      },
      /** Until a function comes to something in the page. */
      async until(code, argument) {
        for (let waited = 0; waited < LONGEST_WAIT_MS; waited += 50) {
          // A page that is being left has nothing to ask.
          const value = await page.run(code, argument).catch(() => null);
          if (value) return value;
          await sleep(50);
        }
        throw new Error(`Waited in vain for ${code}`);
      },
      untilText: (words) => page.until((text) => document.body?.textContent.includes(text), words),
      async mouse(type, x, y) {
        await send('Input.dispatchMouseEvent', { type, x, y, button: 'left', buttons: 1, clickCount: 1 });
      },
      close: () => client.send('Target.closeTarget', { targetId }),
    };
    if (slow) await page.slow();
    return page;
  }

  return {
    /** Somebody with a store and a cache of their own. */
    async visitor() {
      const { browserContextId } = await client.send('Target.createBrowserContext');
      return {
        open: (options = {}) => open(browserContextId, options),
        leave: () => client.send('Target.disposeBrowserContext', { browserContextId }),
      };
    },
    async close() {
      await client.close();
      const ended = new Promise((resolve) => browser.once('exit', resolve));
      browser.kill();
      await ended;
      // Its helpers write on for a moment.
      for (let run = 0; run < 20; run += 1) {
        try {
          rmSync(profile, { recursive: true, force: true });
          return;
        } catch {
          await sleep(250);
        }
      }
    },
  };
}
