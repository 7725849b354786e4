import type { TestProject } from 'vitest/node';
import { launchWithoutWindows } from '../../../scripts/browser.mjs';
import { freePort, startServer } from '../../../scripts/server.mjs';

declare module 'vitest' {
  export interface ProvidedContext {
    url: string;
    browser: string;
  }
}

/** One server and one browser for all files; each test has a browser profile of its own. */
export default async function setUp(project: TestProject) {
  // Requests that never end are ended sooner, so that the tests of that needn't wait so long.
  process.env.LONGEST_REQUEST_MS ??= '8000';
  const server = await startServer({ port: await freePort() });
  const browser = await launchWithoutWindows();
  project.provide('url', server.url);
  project.provide('browser', browser.wsEndpoint());
  return async () => {
    await browser.close();
    await server.stop();
  };
}
