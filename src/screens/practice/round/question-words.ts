import type { Question } from '@/core/drills/question';

/** What each kind of question asks. */
const PROMPTS: Readonly<Record<string, string>> = {
  family: 'Which family is it?',
  value: 'How light is it?',
  intensity: 'How intense is it?',
  temperature: 'Which is the warmer?',
  'toward what a grey leans': 'Toward which family does this grey lean?',
  match: 'Match it: value, then intensity, then family.',
  'order by value': 'Put them in order, the darkest first.',
  'the odd one': 'Which one is another colour?',
  'same value, other hue': 'Which of the four is as light as the large one?',
  'lightness against brightness': 'Which is lighter in value?',
  'what a grey reads as': 'Toward which family will the grey lean in this ground?',
  'the shadow of a light': 'This stands in a warm light. Which is its shadow?',
  'the reflection': 'Which is its reflection in water?',
  'the key at a glance': 'Which family is the key, from the darks to the lights?',
  'the scheme': 'Which scheme is it?',
  'name the hidden colour': 'One of these is no plain grey. Which family is it?',
  'what the pile lacks': 'Which tube brings the pile on the left to the colour on the right?',
};

/** What is asked of a place in a picture. */
const OF_A_PLACE: Readonly<Record<string, string>> = {
  family: 'Which family is the place in the ring?',
  value: 'How light is the place in the ring?',
  intensity: 'How intense is the place in the ring?',
};

export const promptOf = ({ kind, shown }: Pick<Question, 'kind' | 'shown'>): string =>
  (shown.as === 'place' ? OF_A_PLACE[kind] : PROMPTS[kind]) ?? '';
