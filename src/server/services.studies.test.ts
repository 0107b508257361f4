import { eq } from 'drizzle-orm';
import { ALL_STUDIES, type StudySearch } from '@/contracts/study-search';
import { database } from './db/client';
import { study } from './db/schema';
import { refreshReading } from './readings/refresh';
import { searchStudies } from './studies/search-studies';
import { cardsOf, listStudies } from './studies/study-cards';
import { deleteStudy, getStudy, saveStudy } from './studies/studies';
import { freshDatabase } from './testing/test-database';
import { fillStudies } from './testing/many-studies';

const COUNT = 70;
let end: () => Promise<void>;
beforeAll(async () => {
  end = await freshDatabase();
  await fillStudies(COUNT);
});
afterAll(() => end());

const found = (part: Partial<StudySearch> = {}, offset = 0, limit = 60) =>
  searchStudies({ ...ALL_STUDIES, ...part }, 'painters', offset, limit);
const idOf = async (title: string) =>
  (await listStudies()).find((card) => card.title === title)!.id;

describe('searching studies', () => {
  it('brings pages that are all of them, each once, with an overview of all on the first', async () => {
    const first = await found({ sort: 'title' });
    const second = await found({ sort: 'title' }, 60);
    expect([first.total, second.total]).toEqual([COUNT, COUNT]);
    expect([...first.studies, ...second.studies].map(({ title }) => title)).toEqual(
      Array.from({ length: COUNT }, (_, i) => `Study ${i}`),
    );
    expect(first.overview).toMatchObject({ all: COUNT, aspects: Array(COUNT).fill(1.5) });
    expect(second.overview).toBeNull();
    expect((await found({}, 1000)).studies).toEqual([]);
    expect((await found()).studies).toEqual(
      await cardsOf(
        (await found()).studies.map(({ id }) => id),
        'painters',
      ),
    );
  });

  it('finds what is said of a study in any script, whatever stands where a word should', async () => {
    const id = await idOf('Study 3');
    const { revision, document } = await getStudy(id);
    const [swatch] = document.palette.swatches;
    await saveStudy(id, revision, {
      ...document,
      maker: 'Ágnes Ökrös',
      source: '漁港の朝',
      aims: ['values'],
      palette: {
        ...document.palette,
        swatches: [{ ...swatch, name: 'Wet slate' }, ...document.palette.swatches.slice(1)],
      },
    });
    for (const text of ['ágnes', 'ÖKRÖS study', '漁港', 'values', 'wet SLATE', '3 slate'])
      expect((await found({ text })).studies.map((card) => card.id)).toEqual([id]);
    expect((await found({ text: 'slate harbour' })).total).toBe(0);

    const damaged = await idOf('Study 5');
    const db = await database();
    for (const document of [
      { maker: 7, palette: 'none', aims: { a: 1 } },
      [],
      'x',
      { version: 99 },
    ])
      await db
        .update(study)
        .set({ document })
        .where(eq(study.id, damaged))
        .then(async () => {
          const [card] = (await found({ text: 'Study 5', sort: 'title' })).studies;
          expect(card).toMatchObject({ id: damaged, isReadable: false });
        });
  });

  it('counts what each value of a facet would leave, and leaves deleted studies out', async () => {
    const id = await idOf('Study 0');
    const other = await idOf('Study 7');
    await Promise.all([id, other, await idOf('Study 3')].map(refreshReading));
    const { overview } = await found({ key: 'high', text: 'study' });
    expect(overview?.counts.key).toEqual([
      { of: 'low', count: 3 },
      { of: 'high', count: 0 },
    ]);
    const low = await found({ key: 'low', sort: 'title' });
    expect(low.studies.map(({ title }) => title)).toEqual(['Study 0', 'Study 3', 'Study 7']);
    await deleteStudy(id);
    expect(await found({ key: 'low' })).toMatchObject({ total: 2, overview: { all: COUNT - 1 } });
  });
});
