import { spawn } from 'node:child_process';
import { createServer } from 'node:net';

/** A port that is free now. */
export const freePort = () =>
  new Promise((resolve, reject) => {
    const probe = createServer();
    probe.on('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });

/** Starts the built app; resolves when it answers. Ending the child process frees the port. */
export async function startServer({ port, demo = false, quiet = true }) {
  const child = spawn(process.execPath, ['server/serve.mjs'], {
    stdio: quiet ? ['ignore', 'ignore', 'inherit'] : 'inherit',
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
  const url = `http://localhost:${port}`;
  for (let tries = 0; tries < 200; tries++) {
    if (child.exitCode !== null) throw new Error('the server ended before it answered');
    try {
      await fetch(`${url}/api/start`);
      return { url, child, stop: () => stopped(child) };
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  }
  child.kill();
  throw new Error('the server did not answer in 20 s');
}

function stopped(child) {
  if (child.exitCode !== null || child.signalCode !== null) return Promise.resolve();
  return new Promise((resolve) => {
    child.on('exit', resolve);
    child.kill();
  });
}
