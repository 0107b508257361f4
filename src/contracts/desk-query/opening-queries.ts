import { stepOf } from '@/core/colour/value-scale';
import { pushSettingsOf } from '../push-request';
import type { Settings } from '../settings';
import type { StudyDocument } from '../study';
import { queryKey, type DeskQuery, type QueryOf } from './desk-query';

/** What a study's queries were answered with when it was last read, by the keys of the queries. */
export type StoredAnswers = Readonly<Record<string, unknown>>;

/**
 * What the Desk asks of a study as its steps are opened, as far as figures answer it: the answers are stored
 * with the study's reading, and shown at once. Colours have a query of their own for each wheel.
 */
export function openingQueries(
  document: StudyDocument,
  { scale, wheel }: Pick<Settings, 'scale' | 'wheel'>,
): DeskQuery[] {
  const { values, lightAndShadow, depth } = document;
  const { squint } = values;
  const steps = stepOf(scale);
  return [
    { kind: 'values', settings: values, quick: false },
    { kind: 'valueEnds', squint },
    { kind: 'zoneBodies', settings: values },
    { kind: 'brightness', steps },
    { kind: 'lightAndShadow', squint, corrections: lightAndShadow.corrections },
    { kind: 'separation', squint, steps: steps / 2 },
    { kind: 'form', squint },
    { kind: 'depth', squint, marks: depth.marks },
    { kind: 'focus' },
    { kind: 'hidden', settings: pushSettingsOf(document), wheel },
    { kind: 'countSuggestion', keep: [] },
  ];
}

/** What the step Colours asks. */
export function coloursQuery(
  { values, lightAndShadow }: StudyDocument,
  wheel: Settings['wheel'],
): QueryOf<'colours'> {
  return { kind: 'colours', settings: values, corrections: lightAndShadow.corrections, wheel };
}

/** Answers under their queries' keys. */
export function keyedAnswers(
  queries: readonly DeskQuery[],
  answer: (query: DeskQuery) => unknown,
): StoredAnswers {
  return Object.fromEntries(queries.map((query) => [queryKey(query), answer(query)]));
}
