'use client';

import { ArrowDown, ArrowUp, Play, X } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { STAGE_PICTURES } from '@/core/session/stages';
import {
  MAX_LIMITS,
  MAX_STAGES,
  newSession,
  SESSION_MINUTES,
  sessionContentSchema,
  type SessionContent,
} from '@/contracts/session';
import { AIMS, MEDIA } from '@/contracts/study';
import { newId } from '@/study/edits';
import { dropStage, editStage, moveStage, withMedium } from '@/study/session-edits';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { NoteField, TextField } from '@/ui/field';
import { showError } from '@/ui/notices';
import { Select } from '@/ui/select';
import { useDocument, useStepView } from '../../desk-store';
import { checkView } from './check-view';
import { useBeginSession } from './use-begin-session';

/** Opens the form that a session is begun with. */
export function BeginSession() {
  const [{ limits }, look] = useStepView(checkView);
  const [isOpen, setOpen] = useState(limits !== '');
  const close = () => {
    setOpen(false);
    look({ limits: '' });
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
        {isOpen && <SessionForm limits={limits} />}
      </Dialog>
    </>
  );
}

function SessionForm({ limits }: { limits: string }) {
  const title = useDocument((document) => document.title);
  const aims = useDocument((document) => document.aims);
  const medium = useDocument((document) => document.medium);
  const router = useRouter();
  const begin = useBeginSession();
  const [session, setSession] = useState<SessionContent>(() => ({
    ...newSession(title, aims[0] ?? 'values', medium),
    second: aims[1] ?? '',
  }));
  const [allowed, setAllowed] = useState(limits);
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
        <label className="flex flex-col gap-0.5">
          <span className="text-sm text-soft">Aim</span>
          <Select
            label="Aim"
            wide
            value={session.aim}
            options={offered.map((value) => ({ value, title: value }))}
            onChange={(aim) => set({ aim })}
          />
        </label>
        <TextField
          label="Second aim, if any"
          value={session.second}
          maxLength={120}
          onChange={({ target }) => set({ second: target.value })}
        />
        <label className="flex flex-col gap-0.5">
          <span className="text-sm text-soft">Medium</span>
          <Select
            label="Medium"
            wide
            value={session.medium}
            options={MEDIA.map((value) => ({ value, title: value }))}
            onChange={(next) => setSession((was) => withMedium(was, next))}
          />
        </label>
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

const SHOWS_TITLES: Readonly<Record<(typeof STAGE_PICTURES)[number], string>> = {
  picture: 'the picture',
  squint: 'squinting',
  zones: 'its zones',
  plan: 'two values',
  palette: 'the palette',
  none: 'nothing',
};

function StageList({
  session,
  onChange,
}: {
  session: SessionContent;
  onChange: (edit: (was: SessionContent) => SessionContent) => void;
}) {
  const { stages, minutes } = session;
  const sum = stages.reduce((total, { share }) => total + share, 0) || 1;
  return (
    <>
      <ol>
        {stages.map(({ id, name, share, shows }, i) => (
          <li key={id} className="flex items-center gap-1.5 border-b py-1">
            <input
              aria-label={`Name of stage ${i + 1}`}
              value={name}
              maxLength={40}
              onChange={({ target }) =>
                onChange((was) => editStage(was, id, { name: target.value }))
              }
              className="h-10 min-w-0 grow border border-line bg-sheet px-2 text-[15px]"
            />
            <input
              aria-label={`Share of ${name}, in per cent`}
              type="number"
              min={0}
              max={100}
              value={Math.round(share * 100)}
              onChange={({ target }) =>
                onChange((was) =>
                  editStage(was, id, {
                    share: Math.min(1, Math.max(0, (target.valueAsNumber || 0) / 100)),
                  }),
                )
              }
              className="h-10 w-16 border border-line bg-sheet px-2 text-[15px]"
            />
            <span className="w-16 text-sm whitespace-nowrap text-soft">
              {Number.isFinite(minutes) ? `${Math.round((share / sum) * minutes)} min` : ''}
            </span>
            <Select
              label={`Shown beside ${name}`}
              value={shows}
              options={STAGE_PICTURES.map((value) => ({ value, title: SHOWS_TITLES[value] }))}
              onChange={(next) => onChange((was) => editStage(was, id, { shows: next }))}
            />
            <Button
              weight="quiet"
              aria-label={`${name} earlier`}
              disabled={i === 0}
              onClick={() => onChange((was) => moveStage(was, id, -1))}
            >
              <ArrowUp size={16} aria-hidden />
            </Button>
            <Button
              weight="quiet"
              aria-label={`${name} later`}
              disabled={i === stages.length - 1}
              onClick={() => onChange((was) => moveStage(was, id, 1))}
            >
              <ArrowDown size={16} aria-hidden />
            </Button>
            <Button
              weight="quiet"
              aria-label={`Remove ${name}`}
              disabled={stages.length === 1}
              onClick={() => onChange((was) => dropStage(was, id))}
            >
              <X size={16} aria-hidden />
            </Button>
          </li>
        ))}
      </ol>
      <Button
        weight="quiet"
        disabled={stages.length >= MAX_STAGES}
        onClick={() =>
          onChange((was) => ({
            ...was,
            stages: [
              ...was.stages,
              {
                id: newId(),
                name: 'Another stage',
                about: '',
                share: 0.1,
                shows: 'picture',
              },
            ],
          }))
        }
      >
        Add a stage
      </Button>
    </>
  );
}
