'use client';

import type { Wheel } from '@/core/colour/wheel';
import type { Answer, Question } from '@/core/drills/question';
import { MatchAnswer } from './match-answer';
import { OrderAnswer } from './order-answer';
import { PlaceAnswer } from './place-answer';
import { ValueAnswer } from './value-answer';
import { WordAnswer } from './word-answer';

/** What a question is answered by. */
export function AnswerForm({
  question: { form, shown },
  wheel,
  nameOf,
  onAnswer,
}: {
  question: Question;
  wheel: Wheel;
  nameOf: (word: string) => string;
  onAnswer: (answer: Answer) => void;
}) {
  const choose = (choice: number) => onAnswer({ by: 'choice', choice });
  switch (form.by) {
    case 'word':
      return <WordAnswer words={form.words.map(nameOf)} onChoose={choose} />;
    case 'colour':
      return <PlaceAnswer colours={form.colours} isJoined={false} onChoose={choose} />;
    case 'place':
      return shown.as === 'row' ? (
        <PlaceAnswer colours={shown.colours} isJoined onChoose={choose} />
      ) : null;
    case 'value':
      return <ValueAnswer onValue={(value) => onAnswer({ by: 'value', value })} />;
    case 'order':
      return shown.as === 'row' ? (
        <OrderAnswer
          colours={shown.colours}
          onOrder={(order) => onAnswer({ by: 'order', order })}
        />
      ) : null;
    case 'match':
      return (
        <MatchAnswer
          colour={form.colour}
          start={form.start}
          wheel={wheel}
          onMatch={(colour) => onAnswer({ by: 'match', colour })}
        />
      );
  }
}
