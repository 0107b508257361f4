import { valueOfOklab } from '@/core/colour/value';
import { scaleMarks } from '@/core/colour/value-scale';
import { wheelOf, wheelPosition } from '@/core/colour/wheel';
import { chromaOf, colourAt } from '@/core/drills/making';
import type { Answer, Question } from '@/core/drills/question';
import type { ClassRound } from '@/contracts/class-round';
import { valueSteps } from '../../round/value-steps';
import { button, colourButton, element, patch } from './elements';

const STAGES = ['value', 'intensity', 'family'] as const;

type Said = (answer: Answer) => void;

/** What a question of a round is answered by. */
export function answerElements(
  { form, shown }: Question,
  { wheel, scale }: Pick<ClassRound, 'wheel' | 'scale'>,
  say: Said,
): HTMLElement[] {
  const choose = (choice: number) => () => say({ by: 'choice', choice });
  const row = 'colours' in shown ? shown.colours : [];
  switch (form.by) {
    case 'word':
      return [element('div', 'words', ...form.words.map((word, i) => button(word, choose(i))))];
    case 'colour':
    case 'place': {
      const all = form.by === 'colour' ? form.colours : row;
      return [
        element(
          'div',
          'colours',
          ...all.map((colour, i) => colourButton(colour, i + 1, choose(i))),
        ),
      ];
    }
    case 'value': {
      const steps = valueSteps(scale).map(({ value, mark }) => {
        const made = button(mark === null ? '·' : String(mark), () => say({ by: 'value', value }));
        made.setAttribute('aria-label', `Value ${positionWords(value)}`);
        return made;
      });
      return [element('p', '', 'From dark to light:'), element('div', 'values', ...steps)];
    }
    case 'order':
      return [orderElement(row, say)];
    case 'match':
      return matchElements(form, wheel, say);
  }

  function positionWords(value: number): string {
    const marks = scaleMarks(scale);
    const along = (value / 10) * (marks.length - 1);
    return String(
      Math.round(2 * (marks[0].mark + along * Math.sign(marks[1].mark - marks[0].mark))) / 2,
    );
  }
}

/** Colours that are pressed one after another, the darkest first; pressed again, the last goes back. */
function orderElement(colours: readonly Question['about'][], say: Said): HTMLElement {
  const order: number[] = [];
  const said = element('p', '', 'Press them one after another, the darkest first.');
  said.setAttribute('role', 'status');
  const buttons = colours.map((colour, i) =>
    colourButton(colour, i + 1, () => {
      if (order.includes(i)) order.splice(order.indexOf(i), 1);
      else order.push(i);
      said.textContent = `So far, from the darkest: ${order.map((one) => one + 1).join(', ')}`;
      if (order.length === colours.length) say({ by: 'order', order });
    }),
  );
  return element('div', 'column', element('div', 'colours', ...buttons), said);
}

function matchElements(
  form: Extract<Question['form'], { by: 'match' }>,
  wheelId: ClassRound['wheel'],
  say: Said,
): HTMLElement[] {
  const wheel = wheelOf(wheelId);
  const own = element('span', '');
  const sliders = [
    slider('Value', 10, 0.1, valueOfOklab(form.start)),
    slider('Intensity', 0.3, 0.005, chromaOf(form.start)),
    slider('Family', wheel.families.length, 0.1, wheelPosition(wheel.hueOf(form.start), wheel)),
  ];
  const [value, chroma, position] = sliders.map(({ input }) => input);
  const colour = () =>
    colourAt(wheel, position.valueAsNumber, value.valueAsNumber, chroma.valueAsNumber);
  const draw = () => {
    own.style.background = patch(colour()).style.background;
  };
  for (const { input } of sliders) input.addEventListener('input', draw);
  draw();
  // Value first, then intensity, then family; what was set may be set again.
  let stage = 0;
  const next = button(
    '',
    () => {
      if (stage === STAGES.length - 1) say({ by: 'match', colour: colour() });
      else name(stage + 1);
    },
    'strong',
  );
  const name = (now: number) => {
    stage = now;
    sliders.forEach(({ input }, i) => (input.disabled = i > now));
    next.textContent = now === STAGES.length - 1 ? 'That matches' : `The ${STAGES[now]} is right`;
  };
  name(0);
  return [
    element('div', 'colours', patch(form.colour), own),
    element('div', '', ...sliders.map(({ label }) => label)),
    next,
  ];
}

function slider(words: string, max: number, step: number, at: number) {
  const input = element('input', '');
  input.type = 'range';
  input.min = '0';
  input.max = String(max);
  input.step = String(step);
  input.value = String(at);
  return { input, label: element('label', '', words, input) };
}
