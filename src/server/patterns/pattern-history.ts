import { isDeepStrictEqual } from 'node:util';
import { readPattern, storedPattern, type PatternContent } from '@/contracts/pattern';
import { PATTERN_PARTS, type PatternPart, type PatternRevision } from '@/contracts/pattern-drawing';
import { patternRevision } from '../db/pattern-schema';
import { revisionsIn } from '../documents/revisions';

export const patternRevisions = revisionsIn<PatternContent>(patternRevision, 'pattern', {
  write: storedPattern,
  read: readPattern,
});

/** What of a pattern belongs to each part. */
const OF: Record<PatternPart, (content: PatternContent) => unknown> = {
  title: ({ title, note }) => [title, note],
  drawing: ({ drawing }) => drawing,
  merges: ({ merges, threshold }) => [merges, threshold],
  sources: ({ sources }) => sources,
  choice: ({ choice }) => choice,
  colourways: ({ colourways }) => colourways,
  cloth: ({ cloth }) => cloth,
};

/** What a pattern was, the newest first. */
export async function listPatternHistory(id: string): Promise<PatternRevision[]> {
  const states = await patternRevisions.list(id);
  return states.map(({ revision, savedAt, document }, i) => {
    const before = states[i + 1]?.document ?? null;
    return {
      revision,
      savedAt: savedAt.toISOString(),
      colourways: document.colourways.length,
      changed: before
        ? PATTERN_PARTS.filter((part) => !isDeepStrictEqual(OF[part](before), OF[part](document)))
        : [],
    };
  });
}
