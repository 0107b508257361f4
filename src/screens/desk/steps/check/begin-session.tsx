'use client';

import { Play } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Course } from '@/contracts/courses';
import { endpoints } from '@/contracts/endpoints/endpoints';
import {
  MAX_LIMITS,
  newSession,
  SESSION_MINUTES,
  sessionContentSchema,
  type SessionContent,
} from '@/contracts/session';
import { AIMS, MEDIA } from '@/contracts/study';
import { withMedium } from '@/study/session-edits';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { NoteField, TextField } from '@/ui/field';
import { showError } from '@/ui/notices';
import { useFetched } from '@/ui/queries';
import { SelectField } from '@/ui/select-field';
import { useDocument, useStepView } from '../../desk-store';
import { checkView } from './check-view';
import { StageList } from './stage-list';
import { useBeginSession } from './use-begin-session';

/** Opens the form that a session is begun with. */
export function BeginSession() {
  const [{ limits, course, entry }, look] = useStepView(checkView);
  const [isOpen, setOpen] = useState(limits !== '' || course !== '');
  const close = () => {
    setOpen(false);
    look({ limits: '', course: '', entry: '' });
  };
  return (
    <>
      <Button weight="strong" onClick={() => setOpen(true)}>
        <Play size={18} aria-hidden /> Session …
      </Button>
      <Dialog
        open={isOpen}
        onClose={close}
        title="A session at the easel"
        about="One aim, a time, and what each stage is about."
        wide
      >
        {isOpen && !course && <SessionForm limits={limits} course={null} />}
        {isOpen && course && <CourseSessionForm limits={limits} course={course} entry={entry} />}
      </Dialog>
    </>
  );
}

/** The form for a study of a course, once what the course says was fetched. */
function CourseSessionForm({
  limits,
  course: id,
  entry,
}: {
  limits: string;
  course: string;
  entry: string;
}) {
  const { data, error } = useFetched(endpoints.getCourses, {});
  if (error) return <p role="alert">{error.message}</p>;
  if (!data) return <p role="status">Looking up the course …</p>;
  const course = data.content.courses.find((one) => one.id === id);
  // A course that was taken away since leaves a session without one.
  return <SessionForm limits={limits} course={course ? { ...course, entry } : null} />;
}

function SessionForm({
  limits,
  course,
}: {
  limits: string;
  /** The course that it is held for, with the id of its study there. */
  course: (Course & { entry: string }) | null;
}) {
  const title = useDocument((document) => document.title);
  const aims = useDocument((document) => document.aims);
  const medium = useDocument((document) => document.medium);
  const router = useRouter();
  const begin = useBeginSession();
  const [session, setSession] = useState<SessionContent>(() => ({
    ...newSession(title, course?.aim ?? aims[0] ?? 'values', course?.medium ?? medium),
    ...(course && { minutes: course.minutes, course: { id: course.id, study: course.entry } }),
    second: aims.find((aim) => aim !== (course?.aim ?? aims[0])) ?? '',
  }));
  const [allowed, setAllowed] = useState(
    [course?.allowed.trim(), limits].filter(Boolean).join('\n'),
  );
  const [isSent, setSent] = useState(false);
  const set = (part: Partial<SessionContent>) => setSession((was) => ({ ...was, ...part }));
  const whole = {
    ...session,
    limits: allowed
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean)
      .slice(0, MAX_LIMITS)
      .map((text, i) => ({ id: `limit-${i + 1}`, text: text.slice(0, 200), kept: null })),
  };
  const isWhole = sessionContentSchema.safeParse(whole).success;
  const offered = [...new Set([...AIMS, session.aim])];
  const send = async () => {
    setSent(true);
    try {
      router.push(`/easel/${await begin(whole)}`);
    } catch (error) {
      setSent(false);
      showError(error);
    }
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      {course && (
        <p className="mb-2 text-[15px]">
          For the course <span className="font-serif text-lg">{course.title}</span>
        </p>
      )}
      <div className="grid grid-cols-2 gap-x-4 gap-y-2 max-sm:grid-cols-1">
        <TextField
          label="Title"
          value={session.title}
          maxLength={200}
          onChange={({ target }) => set({ title: target.value })}
        />
        <TextField
          label="Minutes"
          type="number"
          min={SESSION_MINUTES.min}
          max={SESSION_MINUTES.max}
          value={Number.isFinite(session.minutes) ? session.minutes : ''}
          onChange={({ target }) => set({ minutes: target.valueAsNumber })}
        />
        <SelectField
          label="Aim"
          value={session.aim}
          values={offered}
          onChange={(aim) => set({ aim })}
        />
        <TextField
          label="Second aim, if any"
          value={session.second}
          maxLength={120}
          onChange={({ target }) => set({ second: target.value })}
        />
        <SelectField
          label="Medium"
          value={session.medium}
          values={MEDIA}
          onChange={(next) => setSession((was) => withMedium(was, next))}
        />
        <TextField
          label="Ground"
          placeholder="grey card, 20 × 25 cm"
          value={session.ground}
          maxLength={120}
          onChange={({ target }) => set({ ground: target.value })}
        />
      </div>
      <div className="mt-2">
        <NoteField
          label="What is allowed, a line each"
          placeholder={'three tubes and white\none brush'}
          value={allowed}
          onChange={({ target }) => setAllowed(target.value)}
        />
      </div>
      <h3 className="mt-3 mb-1 border-b pb-1 text-sm font-semibold">
        Stages, in the order you paint them
      </h3>
      <StageList session={session} onChange={setSession} />
      <div className="sticky -bottom-6 mt-2 -mb-6 flex items-center justify-end gap-4 border-t bg-sheet py-3">
        {!isWhole && (
          <span role="alert" className="text-sm">
            A session needs a title, an aim, 1 to {SESSION_MINUTES.max} minutes and named stages.
          </span>
        )}
        <Button
          type="submit"
          weight="strong"
          className="min-h-12 px-6"
          disabled={!isWhole || isSent}
        >
          To the easel
        </Button>
      </div>
    </form>
  );
}
