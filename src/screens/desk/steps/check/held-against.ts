import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { SessionCheck, SessionContent } from '@/contracts/session';
import type { StudyDocument } from '@/contracts/study';
import type { WheelId } from '@/core/colour/wheel';
import type { Picture } from '@/core/picture/picture';
import type { HeldAgainst, Photograph } from '@/workers/browser/check.worker';
import type { Ask } from '@/workers/browser/query-queue';
import { madeQuery } from '../../made-query';

/** How a snapshot's photograph is laid. */
export function photographOf(
  session: string,
  {
    snapshot,
    corners,
    white,
    isDigital,
  }: Pick<SessionCheck, 'snapshot' | 'corners' | 'white' | 'isDigital'>,
): Photograph {
  const href = hrefOf(endpoints.getSnapshot, { id: session, snapshot, rendition: 'working' });
  return {
    url: new URL(href, location.href).href,
    ...(corners && { corners }),
    ...(white && { white }),
    isDigital,
  };
}

interface Maker {
  document: StudyDocument;
  ask: Ask;
  wheel: WheelId;
}

/** What a check holds its study against: the model wherever what was named is no more. */
export async function heldAgainst(
  { against }: SessionCheck,
  content: SessionContent,
  session: string,
  maker: Maker,
): Promise<HeldAgainst> {
  if (against.kind === 'itself') return { kind: 'itself' };
  if (against.kind === 'snapshot' && against.id) {
    const laid = content.checks.findLast((check) => check.snapshot === against.id);
    const plain = { corners: null, white: null, isDigital: false };
    return {
      kind: 'photograph',
      photograph: photographOf(session, { ...plain, ...laid, snapshot: against.id }),
    };
  }
  const picture = await madePicture(against, maker);
  return picture ? { kind: 'picture', picture } : { kind: 'model' };
}

/** The plan in the study's zones, or a variant that was kept, as the Desk's worker draws it; null for neither. */
async function madePicture(
  against: SessionCheck['against'],
  { document, ask, wheel }: Maker,
): Promise<Picture | null> {
  if (against.kind === 'plan')
    return ask<'zones'>({ kind: 'zones', settings: document.values, look: 'greys', quick: false });
  const variant =
    against.kind === 'variant' && document.use.variants.find(({ id }) => id === against.id);
  const query = variant ? madeQuery(variant.made, document, wheel, 'whole') : null;
  return query && ask(query);
}
