import type { StudyDocument } from '@/contracts/study';
import { list } from '@/ui/words';

/** The finding of the step: what the study is for. */
export function lookSentence({ aims, kind }: Pick<StudyDocument, 'aims' | 'kind'>): string {
  const from = kind ? `, from ${kind === 'own work' ? 'own work' : `a ${kind}`}` : '';
  if (aims.length === 0) return 'Say what this study is for: one aim, two at most.';
  return `A study of ${list(aims)}${from}.`;
}
