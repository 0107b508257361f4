'use client';

import { AGAINST, type SessionContent, type SessionSnapshot } from '@/contracts/session';
import { newId } from '@/study/edits';
import { addCheck, editCheck, newCheck, stageNamed } from '@/study/session-edits';
import { Select } from '@/ui/select';
import { Tick } from '@/ui/tick';
import { useDocument, useStepView } from '../../desk-store';
import { checkView } from './check-view';
import { useOpenCheck, type OpenSession } from './open-session';
import { SessionUndo } from './session-choice';

const TITLES = {
  model: 'its model',
  plan: 'the plan in zones',
  variant: 'a variant that was kept',
  snapshot: 'an earlier photograph',
  itself: 'nothing: by itself',
};

/** What the study is held against, and whether it is a file that was made on a screen. */
export function AgainstChoice({
  open,
  content,
  snapshot,
}: {
  open: OpenSession;
  content: SessionContent;
  snapshot: SessionSnapshot;
}) {
  const [view, look] = useStepView(checkView);
  const variants = useDocument((document) => document.use.variants);
  const { check } = useOpenCheck(open);
  const earlier = content.snapshots.filter(({ id, at }) => id !== snapshot.id && at < snapshot.at);
  const offered = AGAINST.filter(
    (kind) =>
      (kind !== 'variant' || variants.length > 0) && (kind !== 'snapshot' || earlier.length > 0),
  );
  const { change } = open.store.getState();
  const first = (kind: (typeof AGAINST)[number]) =>
    kind === 'variant'
      ? variants[0].id
      : kind === 'snapshot'
        ? earlier[earlier.length - 1].id
        : null;
  const choose = (kind: (typeof AGAINST)[number]) => {
    look({ against: kind });
    const known = content.checks.some(
      (one) => one.snapshot === snapshot.id && one.against.kind === kind,
    );
    if (!known)
      change((was) =>
        addCheck(was, {
          ...newCheck(was, newId(), snapshot.id, Date.now()),
          against: { kind, id: first(kind) },
        }),
      );
  };
  const named =
    view.against === 'variant'
      ? variants.map(({ id, name }) => ({ value: id, title: name }))
      : view.against === 'snapshot'
        ? earlier.map(({ id, stage }, i) => ({
            value: id,
            title: `${i + 1}: ${stageNamed(content, stage)}`,
          }))
        : [];
  return (
    <div className="mb-2 flex flex-wrap items-center gap-x-3 gap-y-1 text-[15px]">
      <span>Held against</span>
      <Select
        label="Held against"
        value={view.against}
        options={offered.map((value) => ({ value, title: TITLES[value] }))}
        onChange={choose}
      />
      {named.length > 0 && check && (
        <Select
          label="Which"
          value={check.against.id ?? named[0].value}
          options={named}
          onChange={(id) =>
            change((was) =>
              editCheck(was, check.id, {
                against: { kind: check.against.kind, id },
                finding: null,
              }),
            )
          }
        />
      )}
      <span className="ml-auto">
        <SessionUndo open={open} />
      </span>
      {check && (
        <Tick
          checked={check.isDigital}
          onChange={(isDigital) =>
            change((was) => editCheck(was, check.id, { isDigital, finding: null }))
          }
        >
          made on a screen
        </Tick>
      )}
    </div>
  );
}
