// `npm run kills -- 100`: kills the server (SIGKILL) at random moments of a mixed load, starts it again, and compares
// what it holds with what it acknowledged. Ends with a line of counts; exits 1 at the first difference.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { answering, build, install, run, serve } from './lib.mjs';

const KILLS = Number(process.argv[2] ?? 100);
const PORT = Number(process.env.PORT ?? 4477);
const URL_OF = `http://127.0.0.1:${PORT}`;
const counts = { acknowledged: 0, refused: 0 };

if (install() || build()) process.exit(1);
const data = mkdtempSync(path.join(tmpdir(), 'bold-prism-kills-'));
const filled = run(process.execPath, ['--import', 'tsx', 'e2e/fill-data.ts', 'demo'], {
  PRISM_DATA: data,
});
if (filled !== 0) process.exit(1);

/** The answer as JSON; null when the server was gone, or the status is not `ok`. */
async function ask(method, at, body, type = 'application/json') {
  try {
    const response = await fetch(`${URL_OF}/api/${at}`, {
      method,
      headers: body === undefined ? {} : { 'content-type': type, 'x-file-name': 'kill.png' },
      body: body === undefined || type !== 'application/json' ? body : JSON.stringify(body),
    });
    const text = await response.text();
    if (!response.ok) {
      counts.refused++;
      return { status: response.status, body: null };
    }
    if (method !== 'GET') counts.acknowledged++;
    return { status: response.status, body: text, json: () => JSON.parse(text) };
  } catch {
    return null;
  }
}

const pause = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds));

let serial = 0;
const unique = (what) =>
  `${what}${(++serial).toString(36)}x${Math.random().toString(36).slice(2, 8)}`;

/** What was acknowledged last, and what was sent and not answered. */
class Told {
  acknowledged = undefined;
  sent = undefined;
  allows(value) {
    return value === this.acknowledged || (this.sent !== undefined && value === this.sent);
  }
  settle(value) {
    this.acknowledged = value;
    this.sent = undefined;
  }
}

/** One tab that saves a field of a document again and again, on whatever revision is the newest. */
function tab(kind, id, field) {
  const told = new Told();
  return {
    told,
    async step() {
      const now = (await ask('GET', `${kind}/${id}`))?.json?.();
      if (!now) return;
      const value = unique(field);
      const document = kind === 'studies' ? now.document : { ...now };
      const content =
        kind === 'studies'
          ? { document: { ...document, [field]: value } }
          : {
              content: {
                name: now.name,
                note: field === 'note' ? value : now.note,
                tags: now.tags,
                swatches:
                  field === 'note'
                    ? now.swatches
                    : now.swatches.map((one, i) => (i === 0 ? { ...one, note: value } : one)),
              },
            };
      told.sent = value;
      const answer = await ask('PUT', `${kind}/${id}`, { basedOn: now.revision, ...content });
      // Refused for another tab's newer revision: nothing of it is stored.
      if (answer) told.settle(answer.body === null ? told.acknowledged : value);
    },
  };
}

let child;
async function start() {
  child = serve({ port: PORT, data, stdio: 'ignore' });
  await answering(URL_OF, child, 120);
}

const fail = (what) => {
  console.error(`\nLOST: ${what}`);
  child.kill('SIGKILL');
  console.error(`The data folder is kept: ${data}`);
  process.exit(1);
};

await start();
/** Every study, page by page. */
async function allStudies() {
  const studies = [];
  for (let total = 1; studies.length < total;) {
    const page = (await ask('GET', `studies?sort=newest&offset=${studies.length}`)).json();
    total = page.total;
    if (page.studies.length === 0) break;
    studies.push(...page.studies);
  }
  return studies;
}

const studies = await allStudies();
const libraries = (await ask('GET', 'libraries')).json();
let ofStudy = null;
for (const { id } of libraries) {
  const library = (await ask('GET', `libraries/${id}`)).json();
  if (library.studyId) ofStudy ??= library;
}
if (!ofStudy) fail('the demo has no library of a study');
const study = ofStudy.studyId;
const folder = (await ask('POST', 'drawers/folders', { name: 'Kills' })).json().id;
const moving = libraries.find(({ id }) => id !== ofStudy.id).id;

const backup = path.join(data, 'kills.zip');
await fetch(`${URL_OF}/api/keep/backup`).then(async (response) =>
  (await import('node:fs/promises')).writeFile(backup, Buffer.from(await response.arrayBuffer())),
);

const maker = tab('studies', study, 'maker');
const source = tab('studies', study, 'source');
const note = tab('libraries', ofStudy.id, 'note');
const swatchNote = tab('libraries', ofStudy.id, 'swatch');
const uploads = new Set();
const copies = new Set();
const place = new Told();
place.settle((await found(moving))?.folderId ?? null);
let restored = 0;
const countBefore = libraries.length;
let restoring = 0;

async function found(id) {
  const search = { search: {}, offset: 0, limit: 60 };
  const answer = (await ask('POST', 'drawers/search', search))?.json?.();
  return answer?.libraries.find((one) => one.id === id);
}

const actors = [
  maker.step,
  source.step,
  note.step,
  swatchNote.step,
  async () => {
    const noise = Buffer.from(Array.from({ length: 48 * 48 * 3 }, () => Math.random() * 255));
    const png = await sharp(noise, { raw: { width: 48, height: 48, channels: 3 } })
      .png()
      .toBuffer();
    const answer = await ask('POST', 'pictures', png, 'application/octet-stream');
    const done = answer?.body?.split('\n').find((line) => line.includes('"done"'));
    if (done) uploads.add(JSON.parse(done).studyId);
  },
  async () => {
    const to = place.acknowledged === folder ? null : folder;
    place.sent = to;
    const answer = await ask('PATCH', 'drawers/folders', { ids: [moving], folderId: to });
    if (answer) place.settle(answer.body === null ? place.acknowledged : to);
  },
  async () => {
    const answer = await ask('POST', 'keep/copies');
    if (answer?.body) copies.add(answer.json().name);
  },
  async () => {
    const { readFile } = await import('node:fs/promises');
    const look = await ask('POST', 'keep/receive', await readFile(backup), 'application/zip');
    if (!look?.body) return;
    const { token } = look.json();
    const order = { token, studies: [], libraries: [ofStudy.id], rest: false, settings: false };
    restoring++;
    const answer = await ask('POST', 'keep/restore', { ...order, differing: 'both' });
    if (!answer) return;
    restoring--;
    if (answer.body) restored += answer.json().libraries;
  },
];

/** Compares what the server holds with what it said it holds. */
async function verify() {
  const one = (await ask('GET', `studies/${study}`)).json();
  for (const [name, { told }] of Object.entries({ maker, source })) {
    if (told.acknowledged !== undefined && !told.allows(one.document[name]))
      fail(`${name} is ${one.document[name]}, ${told.acknowledged} was acknowledged`);
    if (told.acknowledged !== undefined || told.sent !== undefined) told.settle(one.document[name]);
  }
  const library = (await ask('GET', `libraries/${ofStudy.id}`)).json();
  for (const [value, { told }] of [
    [library.note, note],
    [library.swatches[0].note, swatchNote],
  ]) {
    if (told.acknowledged !== undefined && !told.allows(value))
      fail(`${value} is in the library, ${told.acknowledged} was acknowledged`);
    if (told.acknowledged !== undefined || told.sent !== undefined) told.settle(value);
  }
  for (const text of [one.document.maker, library.note, library.swatches[0].note]) {
    if (!text) continue;
    const search = { search: { text }, offset: 0, limit: 60 };
    const hits = (await ask('POST', 'drawers/search', search)).json().libraries;
    if (!hits.some(({ id }) => id === ofStudy.id)) fail(`a search for ${text} does not find it`);
  }
  const there = new Set((await allStudies()).map(({ id }) => id));
  for (const id of uploads) if (!there.has(id)) fail(`the study ${id} of an upload`);
  const { folderId } = await found(moving);
  if (!place.allows(folderId)) fail(`the folder of ${moving}`);
  place.settle(folderId);
  const count = (await ask('GET', 'drawers/counts')).json().libraries - countBefore;
  if (count < restored || count > restored + restoring)
    fail(`${count} libraries more than at first, ${restored} were restored`);
  restored = count;
  restoring = 0;
  const kept = new Set((await ask('GET', 'keep/copies')).json().map(({ name }) => name));
  const newest = [...copies].sort().at(-1);
  if (newest && !kept.has(newest)) fail(`the copy ${newest}`);
  const check = (await ask('POST', 'keep/check')).json();
  if (check.problems.length + check.mended.length > 0)
    fail([...check.problems, ...check.mended].join(' '));
}

for (let kill = 1; kill <= KILLS; kill++) {
  let running = true;
  const loops = actors.map(async (act) => {
    while (running) {
      await act();
      // Nobody works without a breath, and a machine that only stores pictures never comes to its copies.
      await pause(100 + Math.random() * 400);
    }
  });
  // Copies and restores take longer than saves: every fourth time they have the time to be acknowledged.
  const least = kill % 4 === 0 ? 12_000 : 300;
  await pause(least + Math.random() * 5000);
  running = false;
  child.kill('SIGKILL');
  await new Promise((ended) => child.once('exit', ended));
  await Promise.all(loops);
  await start();
  await verify();
  process.stdout.write(kill % 10 === 0 ? `${kill}\n` : '.');
}
child.kill('SIGTERM');
await new Promise((ended) => child.once('exit', ended));
rmSync(data, { recursive: true, force: true });
console.log(
  `${KILLS} kills, ${counts.acknowledged} acknowledged changes, ${counts.refused} refused, ${uploads.size} pictures, ${restored} restored, ${copies.size} copies: nothing lost. ${studies.length} studies at first.`,
);
