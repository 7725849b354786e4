import { spawn } from 'node:child_process';
import { createServer } from 'node:net';

/** A port that is free now: the one that is wanted, or any. */
export const freePort = (wanted = 0, host = '127.0.0.1') =>
  new Promise((resolve, reject) => {
    const probe = createServer();
    probe.on('error', reject);
    probe.listen(wanted, host, () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });

/** Starting takes longer than this only if something is wrong. */
const LONGEST_START_MS = 60_000;

/**
 * Starts the built app; resolves once it serves, which it says itself: what answers on the port may
 * be another program. Ending the child process frees the port.
 */
export async function startServer({ port, demo = false, quiet = true }) {
  const child = spawn(process.execPath, ['server/serve.mjs'], {
    stdio: [quiet ? 'ignore' : 'inherit', quiet ? 'ignore' : 'inherit', 'inherit', 'ipc'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      NEXT_TELEMETRY_DISABLED: '1',
      CAIRN_DEMO: demo ? '1' : '0',
      PORT: String(port),
    },
  });
  // A script that fails must not leave its server behind.
  process.once('exit', () => child.kill());
  const url = await new Promise((resolve, reject) => {
    const timer = setTimeout(() => {
      child.kill();
      reject(new Error(`the server did not start in ${LONGEST_START_MS / 1000} s`));
    }, LONGEST_START_MS);
    child.once('message', (message) => {
      clearTimeout(timer);
      child.channel?.unref();
      resolve(message.url);
    });
    child.once('exit', (code) => {
      clearTimeout(timer);
      reject(Object.assign(new Error('the server ended before it served'), { code }));
    });
  });
  return { url, child, stop: () => stopped(child) };
}

function stopped(child) {
  if (child.exitCode !== null || child.signalCode !== null) return Promise.resolve();
  return new Promise((resolve) => {
    child.on('exit', resolve);
    child.kill();
  });
}
