'use client';

import type { SessionCheck } from '@/contracts/session';
import { editCheck } from '@/study/session-edits';
import { Choice } from '@/ui/choice';
import { useStepView } from '../../desk-store';
import { useCheckRoom } from './check-room';
import { CHECK_LOOKS, CHECK_TREATMENTS, checkView } from './check-view';
import { CornerEditor } from './corner-editor';
import { InTurn } from './in-turn';
import type { OpenSession } from './open-session';
import { Beside } from './beside';
import { WipeTwo } from './wipe-two';

const LOOK_TITLES = { beside: 'side by side', wipe: 'wipe', turn: 'in turn', photo: 'corners' };
const AS_TITLES = { plain: 'as they are', squint: 'squinting', grey: 'in grey' };
const AGAINST_TITLES = {
  model: 'the model',
  plan: 'the plan',
  variant: 'the variant',
  snapshot: 'the earlier snapshot',
  itself: 'the model',
};

/** The study and what it is held against, and the photograph with its corners. */
export function CheckStage({ open, check }: { open: OpenSession; check: SessionCheck }) {
  const [view, look] = useStepView(checkView);
  const { comparing, pointed } = useCheckRoom();
  const { pictures, state } = comparing;
  // Where the study isn't found, its corners are what is wanted.
  const shown = state === 'lost' ? 'photo' : view.look;
  const titles = [AGAINST_TITLES[check.against.kind], 'the study'] as const;
  const excused = new Set(check.excused.map(({ id }) => id));
  const marks = (check.finding?.relations ?? [])
    .filter(({ id }) => !excused.has(id))
    .slice(0, 3)
    .map(({ id, x, y }, i) => ({ id, x, y, label: String(i + 1), isStrong: id === pointed }));
  const other = [...(check.finding?.edges ?? []), ...(check.finding?.flattened ?? [])].find(
    ({ id }) => id === pointed,
  );
  const all = other ? [...marks, { ...other, label: '', isStrong: true }] : marks;
  return (
    <div
      className="flex h-full w-full flex-col bg-surround"
      data-testid="check-stage"
      data-state={state}
    >
      <div className="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-1 border-b bg-panel px-3 py-1">
        <Choice
          label="How both are looked at"
          showLabel={false}
          value={shown}
          options={CHECK_LOOKS.map((value) => ({ value, title: LOOK_TITLES[value] }))}
          onChange={(next) => look({ look: next })}
        />
        {shown !== 'photo' && (
          <Choice
            label="As what"
            showLabel={false}
            value={view.as}
            options={CHECK_TREATMENTS.map((value) => ({ value, title: AS_TITLES[value] }))}
            onChange={(as) => look({ as })}
          />
        )}
      </div>
      <div className="relative min-h-0 grow">
        {shown === 'photo' ? (
          <CornerEditor
            href={open.snapshots.href(check.snapshot, 'working')}
            corners={check.corners ?? comparing.corners}
            white={check.white}
            onCorners={(corners) =>
              open.store
                .getState()
                .change((was) => editCheck(was, check.id, { corners, finding: null }))
            }
            onWhite={(white) =>
              open.store
                .getState()
                .change((was) => editCheck(was, check.id, { white, finding: null }))
            }
          />
        ) : !pictures ? (
          <p role="status" className="absolute top-4 left-4 bg-panel px-3 py-1.5">
            {state === 'failed'
              ? 'The photograph could not be compared.'
              : state === 'stopped'
                ? 'Stopped.'
                : 'Laying the study on its model …'}
          </p>
        ) : shown === 'beside' ? (
          <Beside
            pictures={pictures}
            titles={titles}
            marks={all}
            isInFrame={comparing.corners !== null}
          />
        ) : shown === 'wipe' ? (
          <WipeTwo pictures={pictures} titles={titles} marks={all} />
        ) : (
          <InTurn pictures={pictures} titles={titles} />
        )}
      </div>
    </div>
  );
}
