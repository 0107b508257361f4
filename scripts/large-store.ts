// `npm run large-store -- 5`: fills a store with so many gigabytes (pictures, and histories of 700 MB), backs it up, restores
// that into an empty store, backs that up as well, and compares the two entry by entry. Says how much
// memory each took above an open store. Needs four times the disk.
import { spawnSync } from 'node:child_process';
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdtemp, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { newDocument, type StudyDocument } from '../src/contracts/study';
import { closeDatabase, database } from '../src/server/db/client';
import { picture, pictureBytes, study, studyRevision } from '../src/server/db/schema';
import { openArchive } from '../src/server/keep/archive';
import { backup } from '../src/server/keep/backup';
import { restoreAll } from '../src/server/testing/restore-all';

const PICTURE_BYTES = 20 * 1024 ** 2;
const REVISIONS = 2800;
const STUDIES = 10;
const MB = 1024 ** 2;

/** About 250 kB, of text that hardly packs. */
function longDocument(title: string): StudyDocument {
  const document = newDocument(title);
  const swatches = Array.from({ length: 64 }, () => ({
    id: randomUUID(),
    name: 'Slate',
    note: randomBytes(1900).toString('hex'),
    colour: { L: 0.5, a: 0, b: 0 },
    share: null,
    locked: false,
    origin: 'picked' as const,
    role: null,
    follows: null,
    components: [],
    change: null,
    recipe: null,
    mediumRecipes: [],
    area: null,
    spread: null,
    parts: [],
  }));
  return { ...document, palette: { ...document.palette, swatches } };
}

async function fill(gigabytes: number): Promise<void> {
  const db = await database();
  const pictures: string[] = [];
  for (let size = 0; size < gigabytes * 1024 * MB - REVISIONS * 250_000; size += PICTURE_BYTES) {
    const original = randomBytes(PICTURE_BYTES);
    const [{ id }] = await db
      .insert(picture)
      .values({
        hash: createHash('sha256').update(original).digest('hex'),
        name: `Plate ${pictures.length}.png`,
        type: 'image/png',
        size: original.length,
        ...{ width: 4000, height: 3000, workingWidth: 1600, workingHeight: 1200 },
      })
      .returning({ id: picture.id });
    await db.insert(pictureBytes).values({
      pictureId: id,
      original,
      working: randomBytes(100_000),
      thumbnail: randomBytes(10_000),
    });
    pictures.push(id);
  }
  const studies = await db
    .insert(study)
    .values(
      pictures.map((pictureId, i) => ({
        pictureId,
        title: `Plate ${i}`,
        document: (i < STUDIES ? longDocument : newDocument)(`Plate ${i}`),
        revision: 1,
      })),
    )
    .returning({ id: study.id });
  for (let i = 0; i < REVISIONS; i++)
    await db.insert(studyRevision).values({
      ownerId: studies[i % STUDIES].id,
      revision: Math.floor(i / STUDIES) + 1,
      content: longDocument(`Plate ${i}`),
    });
}

const save = async (file: string) => pipeline(await backup(), createWriteStream(file));

async function restoreFrom(file: string): Promise<void> {
  const archive = await openArchive(file);
  await restoreAll(archive);
  archive.close();
}

const PHASES: Record<string, (of: string) => Promise<void>> = {
  /** Making the tables takes memory of its own, which would hide what comes after. */
  tables: async () => undefined,
  fill: (gigabytes) => fill(Number(gigabytes)),
  backup: save,
  restore: restoreFrom,
};

/** Runs a phase in this process, and says the highest memory that it took above that of the open store. */
async function phase(name: string, of: string): Promise<void> {
  await database();
  const before = process.memoryUsage.rss();
  let most = before;
  const watch = setInterval(() => (most = Math.max(most, process.memoryUsage.rss())), 50);
  const start = performance.now();
  await PHASES[name](of);
  clearInterval(watch);
  const seconds = ((performance.now() - start) / 1000).toFixed(0);
  console.log(
    `${name}: ${seconds} s, at most ${Math.round((most - before) / MB)} MB above the ${Math.round(before / MB)} MB of an open store`,
  );
  // Studies without readings would be read next.
  if (name === 'restore') process.exit(0);
  await closeDatabase();
}

async function entriesOf(file: string) {
  const archive = await openArchive(file);
  archive.close();
  return new Map(
    archive.manifest.entries.map(({ path, size, sha256 }) => [path, { size, sha256 }]),
  );
}

async function all(gigabytes: string): Promise<void> {
  const folder = await mkdtemp(path.join(tmpdir(), 'prism-large-'));
  const run = (name: string, of: string, data: string) => {
    const { status } = spawnSync(
      process.execPath,
      ['--import', 'tsx', 'scripts/large-store.ts', name, of],
      { stdio: 'inherit', env: { ...process.env, PRISM_DATA: path.join(folder, data) } },
    );
    if (status !== 0) throw new Error(`${name} failed`);
  };
  const [one, other] = ['one.zip', 'other.zip'].map((name) => path.join(folder, name));
  try {
    run('fill', gigabytes, 'first');
    run('backup', one, 'first');
    await rm(path.join(folder, 'first'), { recursive: true });
    run('tables', '', 'second');
    run('restore', one, 'second');
    run('backup', other, 'second');
    const [before, after] = [await entriesOf(one), await entriesOf(other)];
    const differing = [...before].filter(
      ([name, { sha256 }]) => after.get(name)?.sha256 !== sha256,
    );
    console.log(
      `${((await stat(one)).size / 1024 ** 3).toFixed(2)} GB, ${before.size} entries, ${differing.length} of them differ`,
    );
    if (differing.length > 0) console.log(differing.map(([name]) => name).join('\n'));
    process.exitCode = differing.length > 0 || before.size !== after.size ? 1 : 0;
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

const [name, of] = process.argv.slice(2);
await (name in PHASES ? phase(name, of) : all(name ?? '5'));
