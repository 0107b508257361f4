'use client';

import { mistakesOf } from '@/core/session/mistakes';
import { nextThing } from '@/core/session/recurring';
import type { Finding } from '@/contracts/finding';
import { GOAL_WORDS, type SessionCheck, type SessionContent } from '@/contracts/session';
import { editCheck } from '@/study/session-edits';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { TextField } from '@/ui/field';
import { Section } from '@/ui/panel-parts';
import type { OpenSession } from './open-session';

/** Whether the aim was met, and one thing to try next. */
export function GoalSection({
  open,
  content,
  check,
  finding,
}: {
  open: OpenSession;
  content: SessionContent;
  check: SessionCheck;
  finding: Finding;
}) {
  const [first] = mistakesOf(
    finding,
    check.excused.map(({ id }) => id),
  );
  const suggested = first && nextThing(first.kind);
  const edit = (part: Partial<SessionCheck>, key?: string) =>
    open.store.getState().change((was) => editCheck(was, check.id, part), key);
  return (
    <Section title="The aim" aside={content.aim}>
      <Choice
        label="Was it met?"
        value={check.goal ?? ('' as never)}
        options={GOAL_WORDS.map((value) => ({ value, title: value }))}
        onChange={(goal) => edit({ goal })}
      />
      <div className="mt-2">
        <TextField
          label="One thing to try next"
          placeholder={suggested}
          value={check.next}
          maxLength={300}
          onChange={({ target }) => edit({ next: target.value }, 'next')}
        />
        {suggested && check.next === '' && (
          <Button weight="quiet" className="mt-1" onClick={() => edit({ next: suggested })}>
            Take “{suggested}”
          </Button>
        )}
      </div>
    </Section>
  );
}
