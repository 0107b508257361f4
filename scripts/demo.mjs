// `npm run demo`: from a fresh clone to a running Bold Prism with its demo.
import { existsSync, readdirSync, renameSync, rmdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import {
  answering,
  build,
  install,
  portIsFree,
  requireNode,
  root,
  runNode,
  serve,
} from './lib.mjs';

requireNode();
const port = Number(process.env.PORT ?? 4400);
const data = path.resolve(process.env.PRISM_DATA ?? path.join(root, 'data'));
const stopOn = (code, what) => {
  if (code === 0) return;
  console.error(`${what} failed; what it printed above says why.`);
  process.exit(code);
};

stopOn(install(), 'Installing');
stopOn(build(), 'Building');
/** An empty folder is as good as none: nothing was kept in it. */
const isEmpty = existsSync(data) && readdirSync(data).length === 0;
if (!process.env.DATABASE_URL && (isEmpty || !existsSync(data))) {
  console.log('Hanging the demo pictures …');
  // Seeded aside and moved into place whole: a half-seeded folder is never mistaken for the person's.
  const aside = `${data}.new`;
  rmSync(aside, { recursive: true, force: true });
  stopOn(runNode('tsx/dist/cli.mjs', ['demo/seed.ts'], { PRISM_DATA: aside }), 'Seeding the demo');
  if (isEmpty) rmdirSync(data);
  renameSync(aside, data);
}

// Asked before the server is started: whoever has the port already would answer in its place.
if (!(await portIsFree(port))) {
  console.error(
    `Something already listens on 127.0.0.1:${port}. If it is Bold Prism, it is ready there; else choose another port: PORT=4401 npm run demo`,
  );
  process.exit(1);
}
/** How often it is started again after its watchdog has ended it. */
let restarts = 3;
let child;
function start() {
  child = serve({ port, data, stdio: ['ignore', 'ignore', 'inherit'] });
  child.on('exit', (code, signal) =>
    signal === 'SIGKILL' && restarts-- > 0 ? start() : process.exit(code ?? 0),
  );
}
start();
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
const address = `http://127.0.0.1:${port}`;
try {
  await answering(address, child);
  console.log(
    `\nBold Prism is ready: ${address}\n(Ctrl C ends it; what you did is kept in ${data})`,
  );
} catch (error) {
  console.error(error.message);
  child.kill();
  process.exit(1);
}
