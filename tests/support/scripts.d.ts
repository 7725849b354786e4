declare module '*/browser.mjs' {
  import type { Browser, LaunchOptions } from 'puppeteer-core';
  export function launch(options?: LaunchOptions): Promise<Browser>;
  export function launchWithoutWindows(options?: LaunchOptions): Promise<Browser>;
  export function ensureChromium(): void;
}
declare module '*/server.mjs' {
  import type { ChildProcess } from 'node:child_process';
  export function freePort(wanted?: number, host?: string): Promise<number>;
  export function startServer(options: {
    port: number;
    demo?: boolean;
  }): Promise<{ url: string; child: ChildProcess; stop: () => Promise<void> }>;
}
