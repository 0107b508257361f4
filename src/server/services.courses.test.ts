import { closePool } from '@/workers/server/pool';
import {
  addCourses,
  COURSES_ID,
  coursesRevisions,
  getCourses,
  listCoursesHistory,
  namedStudies,
  saveCourses,
} from './courses/courses';
import { database } from './db/client';
import { importPicture } from './pictures/import-picture';
import { deleteStudy, getStudy, saveStudy } from './studies/studies';
import { someCourse, someCourses } from './testing/some-courses';
import { wipe } from './testing/all-rows';
import { freshDatabase } from './testing/test-database';
import { redAndBlue } from './testing/test-pictures';

let end: () => Promise<void>;
beforeAll(async () => {
  end = await freshDatabase();
});
beforeEach(() => wipe());
afterAll(() => end());
afterAll(() => closePool());

describe('courses', () => {
  it('are none at first, begun once however often they are looked up, and saved over their revision', async () => {
    await Promise.all([getCourses(), getCourses()]);
    expect(await getCourses()).toEqual({ revision: 1, content: { courses: [] } });
    expect(await saveCourses(1, someCourses('a'))).toMatchObject({ revision: 2 });
    expect((await getCourses()).content).toEqual(someCourses('a'));
  });

  it('refuse what is based on an older state, with the newer one, and store nothing of it', async () => {
    await getCourses();
    await saveCourses(1, someCourses('a'));
    await expect(saveCourses(1, someCourses('b'))).rejects.toMatchObject({
      code: 'newer',
      detail: { revision: 2, content: someCourses('a') },
    });
    expect((await getCourses()).content).toEqual(someCourses('a'));
  });

  it('keep what they were, and say what changed', async () => {
    await getCourses();
    await saveCourses(1, {
      courses: [someCourse('a'), someCourse('b', { title: 'Fog' })],
    });
    const [now, first] = await listCoursesHistory();
    expect(now).toMatchObject({ revision: 2, courses: 2, added: ['Course a', 'Fog'] });
    expect(first).toMatchObject({ revision: 1, courses: 0, added: [], removed: [], changed: [] });
    expect(await coursesRevisions.get(COURSES_ID, 1)).toEqual({ courses: [] });
  });

  it('take what another store has and they lack, and nothing else', async () => {
    await getCourses();
    const own = someCourse('a', { title: 'Mine' });
    await saveCourses(1, { courses: [own] });
    const db = await database();
    await db.transaction((tx) => addCourses(tx, someCourses('a', 'b')));
    expect((await getCourses()).content.courses).toEqual([own, someCourse('b')]);
    const { revision } = await getCourses();
    await db.transaction((tx) => addCourses(tx, someCourses('b')));
    expect((await getCourses()).revision).toBe(revision);
  });

  it('name their studies; one that was deleted has no name', async () => {
    const here = await importPicture(await redAndBlue(90).png().toBuffer(), 'Roofs.png');
    const gone = await importPicture(await redAndBlue(91).png().toBuffer(), 'Sheds.png');
    if (here.kind !== 'new' || gone.kind !== 'new') throw new Error('the store was not empty');
    const { revision, document } = await getStudy(here.studyId);
    await saveStudy(here.studyId, revision, { ...document, maker: 'A. Maker' });
    await deleteStudy(gone.studyId);
    expect(await namedStudies([here.studyId, gone.studyId])).toEqual([
      { id: here.studyId, title: 'Roofs', maker: 'A. Maker', pictureId: expect.any(String) },
    ]);
    expect(await namedStudies([])).toEqual([]);
  });
});
