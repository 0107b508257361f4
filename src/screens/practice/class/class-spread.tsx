import type { Question } from '@/core/drills/question';
import type { Spread } from '@/core/drills/teachers-round';
import type { ValueScale } from '@/core/colour/value-scale';
import { hexFromOklab } from '@/core/colour/hex';
import type { ClassRound } from '@/contracts/class-round';
import { capital, count, several, valueWords } from '@/ui/words';
import { offWords } from '../profile/profile-words';
import { promptOf } from '../round/question-words';

/** Nearer than this, in Munsell steps, a value is right on it. */
const EXACT = 0.05;

/** How a class answered a round: of each question how many were right, and what was chosen how often. */
export function ClassSpread({
  round,
  people,
  spread,
}: {
  round: ClassRound;
  people: number;
  spread: readonly Spread[];
}) {
  const hardest = hardestOf(round, spread);
  return (
    <section aria-label={round.title}>
      <p className="font-serif text-xl leading-tight text-pretty" data-testid="spread">
        {round.title}: the answers of {count(people)} came back.
        {hardest && ` Hardest was “${hardest}”`}
      </p>
      <ol className="mt-2">
        {round.questions.map((question, i) => (
          <li key={i} className="flex gap-3 border-t py-2">
            <span
              aria-hidden
              className="h-10 w-10 shrink-0"
              style={{ background: hexFromOklab(question.about) }}
            />
            <div className="min-w-0 grow">
              <p>
                {i + 1}. {promptOf(question)}{' '}
                <span className="text-soft">{answerWords(question, round)}</span>
              </p>
              <p className="font-semibold">{rightWords(spread[i])}</p>
              <Chosen question={question} spread={spread[i]} />
              {spread[i].valueOff && (
                <p className="text-[15px] text-soft">
                  {quartileWords(spread[i].valueOff!, round.scale)}
                </p>
              )}
            </div>
          </li>
        ))}
      </ol>
    </section>
  );
}

function rightWords({ answered, right }: Spread): string {
  if (answered === 0) return 'Nobody answered.';
  return right === null
    ? `${capital(several(answered, 'answer'))}; not scored.`
    : `${right} of ${answered} right.`;
}

/** The quarter, the middle and the three quarters of how far values were off. */
function quartileWords(quartiles: readonly [number, number, number], scale: ValueScale): string {
  const [low, middle, high] = quartiles.map((off) =>
    Math.abs(off) < EXACT ? 'right on it' : offWords('value', off, scale),
  );
  return low === high
    ? `Values, in the middle: ${middle}.`
    : `Values, in the middle: ${middle}; half lie from ${low} to ${high}.`;
}

/** What was right, in words, where it is no colour that is shown. */
function answerWords({ form }: Question, { scale }: ClassRound): string {
  if (form.by === 'word') return `(${form.right.map((i) => form.words[i]).join(' or ')})`;
  if (form.by === 'value') return `(${valueWords(form.value, scale)})`;
  return form.by === 'colour' || form.by === 'place' ? `(number ${form.right[0] + 1})` : '';
}

/** How often each answer was chosen, as bars; only what was chosen. */
function Chosen({ question: { form }, spread }: { question: Question; spread: Spread }) {
  if (!spread.chosen || spread.answered === 0) return null;
  const nameOf = (i: number) => (form.by === 'word' ? form.words[i] : `number ${i + 1}`);
  return (
    <ul aria-label="Chosen" className="mt-1 text-[15px]">
      {spread.chosen.map((times, i) =>
        times === 0 ? null : (
          <li key={i} className="flex items-center gap-2">
            <span className="w-32 shrink-0 truncate">{nameOf(i)}</span>
            <span
              aria-hidden
              className="h-2.5 bg-ink"
              style={{ width: `${(times / spread.answered) * 55}%` }}
            />
            {times}
          </li>
        ),
      )}
    </ul>
  );
}

/** What the smallest share got right; null where all were right or none was scored. */
function hardestOf({ questions }: ClassRound, spread: readonly Spread[]): string | null {
  const scored = spread.flatMap(({ answered, right }, i) =>
    right === null || answered === 0 ? [] : [{ i, share: right / answered }],
  );
  const least = scored.sort((one, other) => one.share - other.share).at(0);
  return !least || least.share === 1 ? null : promptOf(questions[least.i]);
}
