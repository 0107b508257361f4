import fc from 'fast-check';
import {
  courseProgress,
  daysBetween,
  promisesOf,
  queueOf,
  type CourseSitting,
  type PlannedStudy,
} from './course';

const study = (id: string, part: Partial<PlannedStudy> = {}): PlannedStudy => ({
  id,
  promised: null,
  isLeftOut: false,
  ...part,
});
const sitting = (entry: string, ended: string | null, session = `of ${entry}`): CourseSitting => ({
  entry,
  session,
  ended,
});

describe('how far a study of a course has come', () => {
  it('waits, is begun, and is painted when a clock was stopped', () => {
    expect(courseProgress(study('a'), [])).toEqual({
      state: 'waiting',
      session: null,
      painted: null,
      late: null,
    });
    expect(courseProgress(study('a'), [sitting('a', null), sitting('b', '2026-10-01')])).toEqual({
      state: 'begun',
      session: 'of a',
      painted: null,
      late: null,
    });
    expect(courseProgress(study('a'), [sitting('a', '2026-10-01')]).state).toBe('painted');
  });

  it('counts the first sitting that was ended, whichever comes first in the list', () => {
    const later = sitting('a', '2026-10-09', 'second');
    const earlier = sitting('a', '2026-10-02', 'first');
    for (const held of [
      [later, earlier],
      [earlier, later],
    ])
      expect(courseProgress(study('a', { promised: '2026-10-04' }), held)).toMatchObject({
        painted: '2026-10-02',
        session: 'first',
        late: -2,
      });
  });

  it('is left out only where nothing was painted for it', () => {
    const out = study('a', { isLeftOut: true });
    expect(courseProgress(out, [sitting('a', null)]).state).toBe('left out');
    expect(courseProgress(out, [sitting('a', '2026-10-01')]).state).toBe('painted');
  });

  it('reckons days over the end of summer time and of years', () => {
    expect(daysBetween('2026-10-24', '2026-10-26')).toBe(2);
    expect(daysBetween('2026-12-31', '2027-01-01')).toBe(1);
    expect(daysBetween('2028-03-01', '2028-02-28')).toBe(-2);
  });
});

describe('the queue', () => {
  const courses = [
    { id: 'one', studies: [study('a'), study('b', { promised: '2026-12-05' })] },
    { id: 'two', studies: [study('c', { promised: '2026-12-01' })] },
    { id: 'three', studies: [study('d', { isLeftOut: true }), study('e')] },
    { id: 'empty', studies: [] },
  ];

  it('has the next of each course, by the day it is promised for', () => {
    const next = queueOf(courses, [sitting('a', '2026-11-20')]);
    expect(next.map(({ course, study: { id } }) => [course.id, id])).toEqual([
      ['two', 'c'],
      ['one', 'b'],
      ['three', 'e'],
    ]);
  });

  it('names no study twice, none that is painted or left out, and at most one of a course', () => {
    const days = fc.constantFrom(null, '2026-10-01', '2026-10-02', '2026-11-30');
    const planned = fc.record({ promised: days, isLeftOut: fc.boolean() });
    const row = fc.array(fc.array(planned, { maxLength: 6 }), { maxLength: 6 });
    fc.assert(
      fc.property(row, fc.array(fc.tuple(fc.nat(5), fc.nat(5), days)), (rows, held) => {
        const made = rows.map((studies, i) => ({
          id: `${i}`,
          studies: studies.map((one, j) => ({ id: `${i}-${j}`, ...one })),
        }));
        const sittings = held.map(([i, j, ended]) => sitting(`${i}-${j}`, ended));
        const queue = queueOf(made, sittings);
        expect(new Set(queue.map(({ course }) => course.id)).size).toBe(queue.length);
        for (const { course, study: next } of queue) {
          const before = course.studies.slice(0, course.studies.indexOf(next));
          expect(['waiting', 'begun']).toContain(courseProgress(next, sittings).state);
          for (const one of before)
            expect(['painted', 'left out']).toContain(courseProgress(one, sittings).state);
        }
        const promised = queue.map(({ study: next }) => next.promised ?? '9999');
        expect(promised).toEqual([...promised].sort());
      }),
    );
  });
});

describe('promises', () => {
  it('are kept, late, overdue or still open; one left out is none', () => {
    const studies = [
      study('kept', { promised: '2026-10-05' }),
      study('late', { promised: '2026-10-05' }),
      study('overdue', { promised: '2026-10-05' }),
      study('open', { promised: '2026-12-24' }),
      study('today', { promised: '2026-11-30' }),
      study('out', { promised: '2026-10-05', isLeftOut: true }),
      study('no day'),
    ];
    const held = [sitting('kept', '2026-10-05'), sitting('late', '2026-10-07')];
    expect(promisesOf(studies, held, '2026-11-30')).toEqual({
      made: 5,
      kept: 1,
      late: 1,
      overdue: 1,
    });
  });
});
