import type { Picture } from '@/core/picture/picture';
import type { DeskAnswers } from '@/contracts/desk-query/desk-answers';
import type {
  DeskQuery,
  QueryKind,
  QueryOf,
  VeilPart,
  VeilPartOf,
} from '@/contracts/desk-query/desk-query';
import type { DerivedImages } from './derived-images';

/** What queries are answered from. */
export interface Sources {
  /** The working copy as it came. */
  working: Picture;
  /** The developed picture and what is made of it. */
  images: DerivedImages;
}

export type Answers = {
  [K in QueryKind]: (query: QueryOf<K>, sources: Sources) => DeskAnswers[K];
};

export type VeilAnswers = {
  [K in VeilPart['kind']]: (part: VeilPartOf<K>, images: DerivedImages) => Picture;
};

/** Answers a query by the table's entry of its kind. */
export function answerBy(answers: Answers) {
  return <K extends QueryKind>(query: QueryOf<K>, sources: Sources): DeskAnswers[K] => {
    const answer = answers[query.kind as K] as (
      query: DeskQuery,
      sources: Sources,
    ) => DeskAnswers[K];
    return answer(query, sources);
  };
}
