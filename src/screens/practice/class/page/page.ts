import './page.css';
import type { Oklab } from '@/core/colour/oklab';
import { wheelOf } from '@/core/colour/wheel';
import type { Answer, Question } from '@/core/drills/question';
import { outcomeOf } from '@/core/drills/score';
import { truthOf } from '@/core/drills/truth';
import type { ClassAnswers, ClassRound } from '@/contracts/class-round';
import { promptOf } from '../../round/question-words';
import { captionOf } from '../../round/truth-words';
import { whyOf } from '../../round/why';
import { answerElements } from './answers';
import { button, element, patch } from './elements';

/** The page of a round for a class: it runs by itself from a file, fetches nothing and knows nobody's name. */

const main = document.querySelector('main')!;
const round = JSON.parse(document.getElementById('round')!.textContent ?? '') as ClassRound;
const wheel = wheelOf(round.wheel);
const answers: (Answer | null)[] = round.questions.map(() => null);
let sitting = '';

function show(title: string, ...children: HTMLElement[]): void {
  const heading = element('h1', '', title);
  heading.tabIndex = -1;
  main.replaceChildren(heading, ...children);
  heading.focus();
}

function begin(): void {
  answers.fill(null);
  sitting = `${Date.now().toString(36)}-${Math.random().toString(36).slice(2)}`;
  show(
    round.title,
    element(
      'p',
      '',
      `${round.questions.length} questions, one at a time; after each you are told what was right. At the end there is a file of your answers to give back. It holds no name.`,
    ),
    button('Begin', () => ask(0), 'strong'),
  );
}

function ask(at: number): void {
  const question = round.questions[at];
  const say = (answer: Answer) => {
    answers[at] = answer;
    tell(at, answer);
  };
  show(
    `${at + 1} of ${round.questions.length}. ${promptOf(question)}`,
    ...shownElements(question),
    ...answerElements(question, round, say),
    button('Leave it out', () => goOn(at)),
  );
}

function tell(at: number, answer: Answer): void {
  const question = round.questions[at];
  const outcome = outcomeOf(question, answer, wheel);
  const truth = truthOf(question, answer, wheel);
  const why = whyOf({
    question,
    answer,
    outcome,
    ...{ wheel, scale: round.scale, surround: round.surround },
    nameOf: (word) => word,
  });
  const word = outcome.isRight === null ? 'Not scored.' : outcome.isRight ? 'Right.' : 'Missed.';
  const { patches, isStrengthened } = truth;
  const captions = patches.map(({ role }) => captionOf(question, role)).filter(Boolean);
  show(
    `${word} ${why}`,
    ...(question.shown.as === 'field' || question.shown.as === 'in a ground'
      ? shownElements(question)
      : []),
    ...(patches.length > 0
      ? [element('div', 'colours joined', ...patches.map(({ colour }) => patch(colour)))]
      : []),
    ...(captions.length > 0
      ? [
          element(
            'p',
            '',
            `${captions.length > 1 ? 'From the left: ' : ''}${captions.join(' | ')}${isStrengthened ? ', strengthened' : ''}`,
          ),
        ]
      : []),
    button('Next', () => goOn(at), 'strong'),
  );
}

const goOn = (at: number) => (at + 1 < round.questions.length ? ask(at + 1) : end());

function end(): void {
  const given = answers.filter((answer) => answer !== null).length;
  show(
    `${given} of ${round.questions.length} answered.`,
    element('p', '', 'Keep the file of your answers and give it to whoever gave you this round.'),
    button('Keep my answers', keepAnswers, 'strong'),
    button('Once more from the first', begin),
  );
}

function keepAnswers(): void {
  const given: ClassAnswers = { is: 'answers to a round', version: 1, id: sitting, round, answers };
  const text = JSON.stringify(given);
  const link = element('a', '');
  link.href = URL.createObjectURL(new Blob([text], { type: 'application/json' }));
  link.download = `answers ${sitting}.json`;
  link.click();
}

function shownElements({ shown, form }: Question): HTMLElement[] {
  switch (shown.as) {
    case 'patch':
      return form.by === 'match' ? [] : [element('div', 'colours', patch(shown.colour))];
    case 'in a ground': {
      const ground = element('span', 'ground', patch(shown.colour));
      ground.style.background = patch(shown.ground).style.background;
      return [element('div', 'colours', ground)];
    }
    case 'field':
      return [element('div', 'colours', fieldElement(shown.areas))];
    default:
      return [];
  }
}

const IN_ROW = 3;
/** Flex items whose factors come to less than 1 don't fill their line. */
const WHOLE = 100;

function fieldElement(areas: readonly { colour: Oklab; share: number }[]): HTMLElement {
  const rows: HTMLElement[] = [];
  for (let i = 0; i < areas.length; i += IN_ROW) {
    const own = areas.slice(i, i + IN_ROW);
    const row = element('div', '');
    row.style.flex = String(own.reduce((sum, { share }) => sum + share, 0) * WHOLE);
    for (const { colour, share } of own) {
      const area = patch(colour);
      area.style.flex = String(share * WHOLE);
      row.append(area);
    }
    rows.push(row);
  }
  return element('div', 'field', ...rows);
}

/** A figure is the answer of that number, or that value; Enter goes on. */
function onKey({ key, target, ctrlKey, metaKey, altKey }: KeyboardEvent): void {
  if (ctrlKey || metaKey || altKey) return;
  if (key === 'Enter' && !(target instanceof HTMLButtonElement))
    main.querySelector<HTMLButtonElement>('button.strong')?.click();
  const values = [...main.querySelectorAll<HTMLButtonElement>('.values button')];
  const choices = main.querySelectorAll<HTMLButtonElement>('.words button, .colours button');
  if (/^\d$/.test(key))
    (values.find(({ textContent }) => textContent === key) ?? choices[Number(key) - 1])?.click();
}

document.addEventListener('keydown', onKey);
begin();
