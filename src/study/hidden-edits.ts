import type { Push } from '@/core/amplify/push';
import type { WheelId } from '@/core/colour/wheel';
import { MAX_LOOKS, MAX_PROTECTED_PARTS, type HiddenSettings, type Only } from '@/contracts/hidden';
import type { StoredStroke } from '@/contracts/strokes';
import type { StudyDocument } from '@/contracts/study';
import type { NewId } from './edits';

function withHidden(document: StudyDocument, part: Partial<HiddenSettings>): StudyDocument {
  return { ...document, hidden: { ...document.hidden, ...part } };
}

export function withPush(document: StudyDocument, part: Partial<Push>): StudyDocument {
  return withHidden(document, { push: { ...document.hidden.push, ...part } });
}

/** Keeps the push as it is now under a name. Throws a RangeError when there are too many. */
export function saveLook(document: StudyDocument, name: string, newId: NewId): StudyDocument {
  const { looks, push } = document.hidden;
  if (looks.length >= MAX_LOOKS)
    throw new RangeError(`A study keeps ${MAX_LOOKS} looks. Delete one first.`);
  return withHidden(document, { looks: [...looks, { id: newId(), name, push }] });
}

/** Pushes as a saved look says. */
export function takeLook(document: StudyDocument, id: string): StudyDocument {
  const look = document.hidden.looks.find((one) => one.id === id);
  return look ? withHidden(document, { push: look.push }) : document;
}

export function removeLook(document: StudyDocument, id: string): StudyDocument {
  return withHidden(document, { looks: document.hidden.looks.filter((one) => one.id !== id) });
}

/** Keeps a family as it is, or gives it free again; families of another wheel are forgotten. */
export function keepFamily(document: StudyDocument, wheel: WheelId, family: number): StudyDocument {
  const { kept } = document.hidden;
  const were = kept.wheel === wheel ? kept.families : [];
  const families = were.includes(family)
    ? were.filter((one) => one !== family)
    : [...were, family].sort((one, other) => one - other);
  return withHidden(document, { kept: { wheel, families } });
}

/** Keeps a part as it is. Throws a RangeError when there are too many. */
export function protectPart(document: StudyDocument, part: StoredStroke): StudyDocument {
  const { parts } = document.hidden;
  if (parts.length >= MAX_PROTECTED_PARTS)
    throw new RangeError(
      `A study protects ${MAX_PROTECTED_PARTS} parts. Undo some, or begin anew.`,
    );
  return withHidden(document, { parts: [...parts, part] });
}

export function pushOnly(document: StudyDocument, only: Only): StudyDocument {
  return withHidden(document, { only });
}

export function protectNothing(document: StudyDocument): StudyDocument {
  const { kept } = document.hidden;
  return withHidden(document, {
    kept: { ...kept, families: [] },
    parts: [],
    only: { kind: 'all' },
  });
}
