'use client';

import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { STAGE_PICTURES } from '@/core/session/stages';
import { MAX_STAGES, type SessionContent } from '@/contracts/session';
import { newId } from '@/study/edits';
import { dropStage, editStage, moveStage } from '@/study/session-edits';
import { Button } from '@/ui/button';
import { Select } from '@/ui/select';

const SHOWS_TITLES: Readonly<Record<(typeof STAGE_PICTURES)[number], string>> = {
  picture: 'the picture',
  squint: 'squinting',
  zones: 'its zones',
  plan: 'two values',
  palette: 'the palette',
  none: 'nothing',
};

/** The stages of a session in the order they are painted in, with their shares of the time. */
export function StageList({
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
