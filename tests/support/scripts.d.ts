declare module '*/browser.mjs' {
  import type { Browser, LaunchOptions } from 'puppeteer-core';
  export function launch(options?: LaunchOptions): Promise<Browser>;
  export function launchWithoutWindows(options?: LaunchOptions): Promise<Browser>;
  export function ensureChromium(): void;
}
declare module '*/server.mjs' {
  export function freePort(): Promise<number>;
  export function startServer(options: {
    port: number;
    demo?: boolean;
  }): Promise<{ url: string; child: { readonly pid?: number }; stop: () => Promise<void> }>;
}
