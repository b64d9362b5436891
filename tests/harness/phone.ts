import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { chromium, type BrowserContext, type Page } from "@playwright/test";
import { expect } from "./farm";
import { walkCookie } from "./signedIn";

/** A browser with a profile on the disk: what it keeps is there when it is opened again. */
export class Phone {
  private context: BrowserContext | null = null;
  private readonly profile = mkdtempSync(path.join(tmpdir(), "ruchka-phone-"));
  constructor(private readonly options: Parameters<typeof chromium.launchPersistentContext>[1]) {}
  async open(): Promise<Page> {
    this.context = await chromium.launchPersistentContext(this.profile, this.options);
    if (this.options?.baseURL) await this.context.addCookies([walkCookie(this.options.baseURL)]);
    // Its clock goes with the farm's: what waits is dated by it.
    await this.context.clock.setSystemTime(process.env.RUCHKA_NOW!);
    return this.context.pages()[0]!;
  }
  signal = (isThere: boolean): Promise<void> => this.context!.setOffline(!isThere);
  close = async (): Promise<void> => {
    await this.context?.close();
    this.context = null;
  };
  async end(): Promise<void> {
    await this.close();
    rmSync(this.profile, { recursive: true, force: true });
  }
}

/** Until these pages of a working day are on the device. */
export const hasPages = (page: Page, paths: readonly string[]): Promise<void> =>
  expect
    .poll(
      () =>
        page.evaluate(async (wanted) => {
          const cache = await caches.open("ruchka-pages");
          const kept = await Promise.all(wanted.map((each) => cache.match(each)));
          return navigator.serviceWorker.controller !== null && kept.every(Boolean);
        }, paths),
      { timeout: 240_000 },
    )
    .toBe(true);
