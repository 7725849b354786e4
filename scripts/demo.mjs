// npm run demo: sets itself up, builds, and serves the app with the demo outing.
import { build, ensurePackages } from './set-up.mjs';

ensurePackages();
build();
const { startServer } = await import('./server.mjs');
const port = Number(process.env.PORT ?? 3000);
const { url, child } = await startServer({ port, demo: true, quiet: false });
console.log(`Cairn Back: ${url}`);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill());
child.on('exit', (code) => process.exit(code ?? 0));
