import { mkdtemp, readdir, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { DamagedFolderError, damageReport } from './damaged-folder';
import { openFolder } from './open';

it('a damaged folder is told with what to do, left as it is, and free for another try', async () => {
  const folder = path.join(await mkdtemp(path.join(tmpdir(), 'bold-prism-damaged-')), 'postgres');
  await (await openFolder(folder)).close();
  const names = await readdir(folder);
  await writeFile(path.join(folder, 'global/pg_control'), Buffer.alloc(8192, 7));
  for (let i = 0; i < 2; i++) {
    const error = await openFolder(folder).catch((thrown: unknown) => thrown);
    expect(error).toBeInstanceOf(DamagedFolderError);
    const report = damageReport(error as DamagedFolderError, '/copies/Bold Prism 2026.zip');
    expect(report).toContain(folder);
    expect(report).toContain('restore the newest copy: /copies/Bold Prism 2026.zip');
    expect(report).toMatch(/is damaged and can’t be opened/);
    expect(damageReport(error as DamagedFolderError, null)).toContain('there is no copy');
  }
  const kept = (await readdir(folder)).filter((name) => !name.startsWith('prism-lock'));
  expect(kept).toEqual(
    expect.arrayContaining(names.filter((name) => !name.startsWith('prism-lock'))),
  );
  await rm(path.dirname(folder), { recursive: true, force: true });
}, 120_000);
