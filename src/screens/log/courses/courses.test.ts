import { queueOf, type CourseSitting } from '@/core/session/course';
import type { Course, CourseStudy, NamedStudy } from '@/contracts/courses';
import { fullSession } from '@/server/testing/some-session';
import { someCourse } from '@/server/testing/some-courses';
import { sessionEnd } from './course-sittings';
import { courseStudyTitle, coursesSentence, dayWords, progressWords } from './course-words';

const TODAY = '2026-11-30';
const STUDY = '0b9f5f0e-6a2d-4c8e-9a31-3f0f6f5b7a10';
const planned = (id: string, part: Partial<CourseStudy> = {}): CourseStudy => ({
  id,
  studyId: STUDY,
  words: '',
  promised: null,
  isLeftOut: false,
  ...part,
});
const named = (part: Partial<NamedStudy> = {}) =>
  new Map([
    [STUDY, { id: STUDY, title: 'Wet roofs', maker: 'A. Maker', pictureId: STUDY, ...part }],
  ]);

describe('the words of a course', () => {
  it('name a day as it is spoken of from today', () => {
    expect(dayWords(TODAY, TODAY)).toBe('today');
    expect(dayWords('2026-12-04', TODAY)).toBe('Friday, 4 December');
    expect(dayWords('2025-12-04', TODAY)).toBe('4 December 2025');
  });

  it('say how far a study has come', () => {
    const painted = (late: number | null) =>
      progressWords({ state: 'painted', session: 's', painted: '2026-11-23', late }, null, TODAY);
    expect(painted(null)).toBe('painted on Monday, 23 November');
    expect(painted(0)).toBe('painted on Monday, 23 November, on the day');
    expect(painted(1)).toBe('painted on Monday, 23 November, a day late');
    expect(painted(-2)).toBe('painted on Monday, 23 November, two days early');
    const open = { session: null, painted: null, late: null };
    expect(progressWords({ ...open, state: 'waiting' }, null, TODAY)).toBe('to be painted');
    expect(progressWords({ ...open, state: 'begun' }, '2026-11-28', TODAY)).toBe(
      'begun, two days past its day',
    );
    expect(progressWords({ ...open, state: 'left out' }, '2026-11-28', TODAY)).toBe('left out');
  });

  it('name whose palette it is, what is wanted, and what is gone', () => {
    expect(courseStudyTitle(planned('a'), named())).toBe('A. Maker, “Wet roofs”');
    expect(courseStudyTitle(planned('a'), named({ maker: '' }))).toBe('“Wet roofs”');
    expect(courseStudyTitle(planned('a'), new Map())).toBe('a study that is gone');
    expect(courseStudyTitle(planned('a'), null)).toBe('…');
    expect(courseStudyTitle(planned('a', { studyId: null, words: ' a winter ' }), null)).toBe(
      'a winter',
    );
    expect(courseStudyTitle(planned('a', { studyId: null }), null)).toBe('not chosen yet');
  });

  it('sum up courses, with what is next and what became of promises', () => {
    const sentence = (courses: Course[], held: CourseSitting[] = []) =>
      coursesSentence(courses, held, queueOf(courses, held), named(), TODAY);
    expect(sentence([])).toMatch(/^No course yet\./);
    const course = someCourse('c', {
      studies: [
        planned('a', { promised: '2026-11-02' }),
        planned('b', { promised: '2026-12-04' }),
        planned('out', { isLeftOut: true }),
      ],
    });
    expect(sentence([course], [{ entry: 'a', session: 's', ended: '2026-11-03' }])).toBe(
      'One course, one of two studies painted. Next: A. Maker, “Wet roofs”, promised for Friday, 4 December. Of two promises, one late.',
    );
    expect(sentence([course])).toContain('none of two studies painted');
    expect(sentence([course])).toContain('Of two promises, one past its day.');
  });
});

describe('the end of a session', () => {
  const START = 1_780_000_000_000;
  const clock = (...events: [number, 'start' | 'pause' | 'end'][]) => ({
    ...fullSession(),
    minutes: 10,
    clock: events.map(([minutes, is]) => ({
      id: `${is} ${minutes}`,
      at: START + minutes * 60_000,
      is,
    })),
  });
  const at = (minutes: number) => START + minutes * 60_000;

  it('is when its clock was stopped, or ran out; there is none while it runs or rests', () => {
    expect(sessionEnd(clock([0, 'start'], [4, 'end']), at(60))).toBe(at(4));
    // In another window, after the page was opened; and in two windows at once.
    expect(sessionEnd(clock([0, 'start'], [4, 'end']), at(1))).toBe(at(4));
    expect(sessionEnd(clock([0, 'start'], [4, 'end'], [6, 'end']), at(60))).toBe(at(4));
    expect(sessionEnd(clock([0, 'start']), at(5))).toBeNull();
    expect(sessionEnd(clock([0, 'start']), at(60))).toBe(at(10));
    expect(sessionEnd(clock([0, 'start'], [5, 'pause']), at(600))).toBeNull();
  });

  it('is its last picture where it had no clock', () => {
    const session = { ...fullSession(), clock: [] };
    expect(sessionEnd(session, at(60))).toBe(session.snapshots[0].at);
    expect(sessionEnd({ ...session, snapshots: [] }, at(60))).toBeNull();
  });
});
