import fc from 'fast-check';
import {
  coursesContentSchema,
  MAX_COURSE_STUDIES,
  MAX_COURSES,
  NO_COURSES,
  type CoursesContent,
} from '@/contracts/courses';
import {
  addCourse,
  addCourseStudy,
  dropCourse,
  dropCourseStudy,
  editCourse,
  editCourseStudy,
  moveCourseStudy,
  newCourse,
  restoreCourse,
} from './course-edits';

const withThree = (): CoursesContent =>
  ['a', 'b', 'c'].reduce(
    (content, id) => addCourseStudy(content, 'one', { id, studyId: null, words: id }),
    addCourse(NO_COURSES, newCourse('one', 'Dusk')),
  );
const order = (content: CoursesContent) => content.courses[0].studies.map(({ id }) => id).join('');

describe('edits of courses', () => {
  it('put a new course first, change it and take it away', () => {
    const two = addCourse(withThree(), newCourse('two', 'Fog'));
    expect(two.courses.map(({ title }) => title)).toEqual(['Fog', 'Dusk']);
    const edited = editCourse(two, 'two', { aim: 'edges', minutes: 40 });
    expect(edited.courses[0]).toMatchObject({ id: 'two', aim: 'edges', minutes: 40 });
    expect(edited.courses[1]).toBe(two.courses[1]);
    expect(dropCourse(edited, 'one').courses.map(({ id }) => id)).toEqual(['two']);
  });

  it('put a course back where it was, whatever was changed since, and once', () => {
    const two = addCourse(withThree(), newCourse('two', 'Fog'));
    const [, gone] = two.courses;
    const since = editCourse(dropCourse(two, 'one'), 'two', { title: 'Mist' });
    const back = restoreCourse(since, gone, 1);
    expect(back.courses.map(({ title }) => title)).toEqual(['Mist', 'Dusk']);
    expect(back.courses[1]).toBe(gone);
    expect(restoreCourse(back, gone, 0)).toBe(back);
  });

  it('move a study in its row, and no further than its ends', () => {
    expect(order(moveCourseStudy(withThree(), 'one', 'c', -1))).toBe('acb');
    expect(order(moveCourseStudy(withThree(), 'one', 'a', 1))).toBe('bac');
    expect(order(moveCourseStudy(withThree(), 'one', 'a', -1))).toBe('abc');
    expect(order(moveCourseStudy(withThree(), 'one', 'c', 1))).toBe('abc');
    expect(order(moveCourseStudy(withThree(), 'one', 'nobody', 1))).toBe('abc');
  });

  it('promise a day, leave out, take away', () => {
    const promised = editCourseStudy(withThree(), 'one', 'b', {
      promised: '2026-12-05',
      isLeftOut: true,
    });
    expect(promised.courses[0].studies[1]).toMatchObject({
      words: 'b',
      promised: '2026-12-05',
      isLeftOut: true,
    });
    expect(order(dropCourseStudy(promised, 'one', 'b'))).toBe('ac');
  });

  it('hold no more than can be stored', () => {
    let content = withThree();
    for (let i = 0; i < MAX_COURSE_STUDIES + 3; i++)
      content = addCourseStudy(content, 'one', { id: `more-${i}`, studyId: null, words: '' });
    for (let i = 0; i < MAX_COURSES + 3; i++)
      content = addCourse(content, newCourse(`course-${i}`, 'Another'));
    expect(content.courses).toHaveLength(MAX_COURSES);
    expect(content.courses.at(-1)?.studies).toHaveLength(MAX_COURSE_STUDIES);
    expect(coursesContentSchema.safeParse(content).success).toBe(true);
  });

  it('keep what can be stored storable, whatever is done in whatever order', () => {
    const id = fc.constantFrom('a', 'b', 'c', 'd');
    const edit = fc.oneof(
      id.map((one) => (was: CoursesContent) => dropCourseStudy(was, 'one', one)),
      fc.tuple(id, fc.constantFrom(-1 as const, 1 as const)).map(
        ([one, by]) =>
          (was: CoursesContent) =>
            moveCourseStudy(was, 'one', one, by),
      ),
      id.map(
        (one) => (was: CoursesContent) =>
          editCourseStudy(was, 'one', one, { promised: '2027-01-31' }),
      ),
    );
    fc.assert(
      fc.property(fc.array(edit, { maxLength: 20 }), (edits) => {
        const after = edits.reduce((was, one) => one(was), withThree());
        expect(coursesContentSchema.safeParse(after).success).toBe(true);
        expect(new Set(order(after)).size).toBe(order(after).length);
      }),
    );
  });
});
