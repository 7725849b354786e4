// npm run demo: sets itself up, builds, and serves the app with the demo outing.
import '../server/node-version.mjs';
import { listenFault, portWanted } from '../server/port.mjs';
import { build, ensurePackages } from './set-up.mjs';
import { freePort, startServer } from './server.mjs';

const port = portWanted();
// Before the build, which takes long, and would change what a running demo serves.
await freePort(port, '::').catch((error) => {
  console.error(listenFault(error, port));
  process.exit(1);
});
ensurePackages();
build();
const { child } = await startServer({ port, demo: true, quiet: false }).catch((error) => {
  process.exit(error.code || 1);
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
child.on('exit', (code) => process.exit(code ?? 0));
