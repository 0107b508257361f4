import { PAINTERS_WHEEL } from '@/core/colour/wheel';
import { GUARDS } from '@/core/amplify/guards';
import type { HiddenColour } from '@/core/amplify/hidden';
import { NO_PUSH } from '@/core/amplify/push';
import { DEFAULT_HIDDEN } from '@/contracts/hidden';
import { DEFAULT_SETTINGS } from '@/contracts/settings';
import {
  calmSentence,
  departureSentence,
  hiddenSentence,
  guardSentence,
  lockSentence,
  shiftWord,
  sureWord,
} from './hidden-sentences';
import { listedFromDark } from './list-sheet';
import { leaveAloneSentence } from './leave-alone-sentence';
import { pushWords } from '../../push-words';

const colour = (family: string, place: string): HiddenColour => ({
  readsAs: family,
  is: family,
  place,
  point: { x: 0.5, y: 0.5 },
  share: 0.1,
  colour: { L: 0.6, a: 0, b: 0 },
  pushed: { L: 0.6, a: 0, b: -0.05 },
  departure: 0.02,
  moved: 9,
  sureness: 0.8,
});
const reading = {
  before: { strong: 0.02, neutral: 0.7, greens: 0 },
  after: { strong: 0.4, neutral: 0.03, greens: 0.05 },
  cast: 0.041,
  noise: 0.0123,
  warnings: [],
};

describe('what is said of hidden colours', () => {
  it('is how many, and the surest first', () => {
    expect(hiddenSentence([])).toMatch(/^Nothing is hidden here/);
    expect(hiddenSentence([colour('blue', 'upper left')])).toBe(
      'One quiet colour the eye passes over: blue upper left.',
    );
    expect(hiddenSentence([colour('blue', 'upper left'), colour('red', 'at the top')])).toBe(
      'Two quiet colours the eye passes over, blue upper left before all.',
    );
    expect([2, 7, 13, 30].map(shiftWord)).toEqual([
      'slight shift',
      'shift',
      'clear shift',
      'strong shift',
    ]);
    expect([0.9, 0.7, 0.5].map(sureWord)).toEqual(['quite sure', 'fairly sure', 'not sure']);
  });

  it('names figures in every warning', () => {
    const sentences = GUARDS.map((guard) => guardSentence(guard, reading));
    expect(new Set(sentences).size).toBe(GUARDS.length);
    expect(sentences.join(' ')).toContain('40 % of the picture is strong or vivid now');
    expect(sentences.join(' ')).toContain('0.012 in a and b');
    expect(calmSentence(reading)).toBe(
      '3 % stays neutral, where it was 70 %; 40 % is strong or vivid.',
    );
  });

  it('holds a guessed family against the departure, not the grey', () => {
    const said = (guessed: string) =>
      departureSentence(PAINTERS_WHEEL.families.indexOf(guessed), 'red', PAINTERS_WHEEL);
    expect(said('red')).toBe('Against its surroundings it is red, as you said.');
    expect(said('violet')).toBe('Against its surroundings it is red; violet is two families off.');
    expect(said('red-orange')).toContain('one family off');
  });

  it('proves the value lock', () => {
    expect(lockSentence({ mean: 0, most: 0.025 })).toContain('the same picture');
    expect(lockSentence({ mean: 0.071, most: 0.2 })).toContain('0.07 L* on average');
  });

  it('tells a push and what is kept from it', () => {
    expect(pushWords(NO_PUSH)).toBe('nothing yet');
    expect(pushWords({ lift: 0.1, quiet: 0, spread: 0.5, cast: 'local' })).toBe(
      'hues parted 50 % about the tint around each place, all strengthened 10 %',
    );
    expect(leaveAloneSentence(DEFAULT_HIDDEN)).toBe(
      'Nothing is left alone: all that is quiet is strengthened.',
    );
    const kept = { wheel: 'painters' as const, families: [2] };
    expect(leaveAloneSentence({ ...DEFAULT_HIDDEN, kept })).toBe('Orange stays as it is.');
    const more = {
      ...DEFAULT_HIDDEN,
      kept: { ...kept, families: [1, 2] },
      only: { kind: 'zone' as const, index: 1 },
    };
    expect(leaveAloneSentence(more)).toBe(
      'Red-orange and orange stay as they are; only zone 2 is strengthened.',
    );
    const part = { id: 'p', tool: 'brush' as const, radius: 0.02, points: [{ x: 0, y: 0 }] };
    expect(leaveAloneSentence({ ...more, only: { kind: 'all' }, parts: [part] })).toBe(
      'Red-orange, orange and one drawn part stay as they are.',
    );
  });
});

describe('the list to print', () => {
  it('goes from dark to light, with the numbers of the map, value and temperature', () => {
    const light = { ...colour('rust', 'above'), pushed: { L: 0.8, a: 0.03, b: 0.03 } };
    const dark = colour('slate', 'below');
    const listed = listedFromDark([light, dark], DEFAULT_SETTINGS.scale);
    expect(listed.map(({ number, words }) => [number, words])).toEqual([
      [2, 'Slate below'],
      [1, 'Rust above'],
    ]);
    expect(listed[0].figures).toMatch(
      /^value \d\.\d, cool \d\.\d put down, neither warm nor cool as it is; 10 %$/,
    );
    expect(listed[1].figures).toContain('warm');
  });
});
