import { SESSION_MINUTES } from '@/contracts/session';
import type { Course } from '@/contracts/courses';
import { AIMS, MEDIA } from '@/contracts/study';
import { editCourse } from '@/study/course-edits';
import { NoteField, TextField } from '@/ui/field';
import { SelectField } from '@/ui/select-field';
import type { ChangeCourses } from './use-courses';

/** What a course is called, aims at and allows: its sessions begin with it. */
export function CourseFields({ course, change }: { course: Course; change: ChangeCourses }) {
  const { id, title, aim, minutes, medium, allowed } = course;
  const set = (part: Partial<Course>) =>
    change((was) => editCourse(was, id, part), `${id} ${Object.keys(part).join()}`);
  return (
    <div className="my-2 grid grid-cols-[2fr_1fr_1fr_1fr] gap-x-4 gap-y-2 border-t pt-2 max-md:grid-cols-2 print:hidden">
      <TextField
        label="Title of the course"
        value={title}
        maxLength={200}
        error={title.trim() ? undefined : 'A course needs a title.'}
        onChange={({ target }) => set({ title: target.value })}
      />
      <SelectField
        label="Its aim"
        value={aim}
        values={[...new Set([...AIMS, aim])]}
        onChange={(next) => set({ aim: next })}
      />
      <TextField
        label="Minutes for each"
        type="number"
        min={SESSION_MINUTES.min}
        max={SESSION_MINUTES.max}
        value={Number.isFinite(minutes) ? minutes : ''}
        error={
          minutes >= SESSION_MINUTES.min && minutes <= SESSION_MINUTES.max
            ? undefined
            : `From ${SESSION_MINUTES.min} to ${SESSION_MINUTES.max}.`
        }
        onChange={({ target }) => set({ minutes: target.valueAsNumber })}
      />
      <SelectField
        label="Its medium"
        value={medium}
        values={MEDIA}
        onChange={(next) => set({ medium: next })}
      />
      <div className="col-span-full">
        <NoteField
          label="What is allowed in it, a line each"
          placeholder={'three tubes and white\none brush'}
          value={allowed}
          maxLength={2400}
          onChange={({ target }) => set({ allowed: target.value })}
        />
      </div>
    </div>
  );
}
