'use client';

import {
  MAX_SNAPSHOTS,
  newSession,
  type SessionContent,
  type SessionSnapshot,
} from '@/contracts/session';
import { newId } from '@/study/edits';
import { addCheck, addSnapshot, newCheck } from '@/study/session-edits';
import { Button } from '@/ui/button';
import { Finding } from '@/ui/panel-parts';
import { showError } from '@/ui/notices';
import { useDocument, useStepView } from '../../desk-store';
import { AgainstChoice } from './against-choice';
import { BeginSession } from './begin-session';
import { CheckFindings } from './check-findings';
import { checkSentence, placingWords } from './check-sentences';
import { useCheckRoom } from './check-room';
import { checkView } from './check-view';
import { GoalSection } from './goal-section';
import { useOpenCheck } from './open-session';
import { OwnFigures } from './own-figures';
import { ImportPhotograph, Photographs } from './photographs';
import { SessionChoice } from './session-choice';
import { useBeginSession } from './use-begin-session';

const STAGE_WORDS = {
  photograph: 'Fetching the photograph …',
  place: 'Finding the study in the photograph, evening its light …',
  differences: 'Comparing mass by mass …',
} as const;

/** From the easel back to the Desk: sessions, their photographs, and what a check finds. */
export function CheckPanel() {
  const { sessions, open, comparing } = useCheckRoom();
  const [view, look] = useStepView(checkView);
  const { content, snapshot, check } = useOpenCheck(open);
  const title = useDocument((document) => document.title);
  const aims = useDocument((document) => document.aims);
  const medium = useDocument((document) => document.medium);
  const begin = useBeginSession();

  /** Brought in without a session, a photograph is one of a study that was painted without the clock. */
  const importPhotograph = async (file: Blob, name: string, from: SessionSnapshot['from']) => {
    const id = newId();
    const shot = { id, at: Date.now(), stage: null, from };
    const withShot = (was: SessionContent) => {
      const next = addSnapshot(was, shot);
      return addCheck(next, newCheck(next, newId(), id, Date.now()));
    };
    if (!open) {
      const session = await begin(withShot(newSession(title, aims[0] ?? 'colour', medium)), {
        id,
        file,
        name,
      });
      look({ session, shot: id, against: 'model' });
      return;
    }
    await open.snapshots.keep(id, file, name);
    open.store.getState().change(withShot);
    look({ shot: id, against: 'model' });
  };

  if (!sessions)
    return (
      <p role="status" className="text-soft">
        Fetching the sessions of this study …
      </p>
    );
  const excused = check?.excused.map(({ id }) => id) ?? [];
  const isWaiting = snapshot !== null && open?.snapshots.waiting.has(snapshot.id);
  return (
    <>
      {check?.finding ? (
        <Finding stale={comparing.state === 'working'}>
          {checkSentence(check.finding, check.against.kind, excused)}
        </Finding>
      ) : (
        <Finding>
          {sessions.length === 0
            ? 'Nothing was painted from this picture yet. Begin a session, or import a photograph of what you painted.'
            : !snapshot
              ? 'No photograph yet. Import one to see where the study stands against its model.'
              : comparing.state === 'lost'
                ? 'The study was not found in the photograph. Drag its four corners to where the painting ends.'
                : comparing.state === 'failed'
                  ? 'The photograph could not be compared. It is kept; try again.'
                  : check
                    ? 'Comparing the study with its model.'
                    : 'This photograph is not checked yet.'}
        </Finding>
      )}
      {check?.finding && placingWords(check.finding) && (
        <p role="alert" className="mb-2 text-[15px] font-semibold">
          {placingWords(check.finding)}
        </p>
      )}
      {isWaiting && (
        <p role="status" className="mb-2 text-[15px]">
          The photograph waits for the server; it is kept in this browser.
        </p>
      )}
      {comparing.state === 'working' && !isWaiting && (
        <p role="status" className="mb-2 flex items-center gap-3 text-[15px]">
          {comparing.stage ? STAGE_WORDS[comparing.stage] : 'Getting ready …'}
          <Button onClick={comparing.stop}>Stop</Button>
        </p>
      )}
      {(comparing.state === 'failed' || comparing.state === 'stopped') && (
        <p className="mb-2">
          <Button onClick={comparing.again}>Compare again</Button>
        </p>
      )}

      <div className="mb-3 flex flex-wrap gap-2">
        <BeginSession />
        <ImportPhotograph
          disabled={(content?.snapshots.length ?? 0) >= MAX_SNAPSHOTS}
          onPicture={(file, name, from) => void importPhotograph(file, name, from).catch(showError)}
        />
      </div>
      {sessions.length > 0 && <SessionChoice sessions={sessions} />}
      {open && content && content.snapshots.length > 0 && (
        <Photographs open={open} content={content} chosen={snapshot?.id ?? null} />
      )}
      {open && content && snapshot && (
        <AgainstChoice open={open} content={content} snapshot={snapshot} />
      )}
      {open && snapshot && !check && !isWaiting && (
        <Button
          weight="strong"
          className="mt-1 w-full"
          onClick={() =>
            open.store.getState().change((was) =>
              addCheck(was, {
                ...newCheck(was, newId(), snapshot.id, Date.now()),
                against: { kind: view.against, id: null },
              }),
            )
          }
        >
          Check this photograph
        </Button>
      )}
      {open && check?.finding && (
        <>
          <CheckFindings open={open} check={check} finding={check.finding} />
          <GoalSection open={open} content={content!} check={check} finding={check.finding} />
          <OwnFigures finding={check.finding} />
        </>
      )}
    </>
  );
}
