import { MUNSELL_SCALE } from '@/core/colour/value-scale';
import { readScreen, type CheckedScreen } from './screen-store';
import { screenSentence } from './screen-words';

const screen: CheckedScreen = { at: 1, room: 'bright', darkest: 2, lightest: 9.2 };

describe('a checked screen', () => {
  it('says what it shows, and what is left out', () => {
    expect(screenSentence(screen, MUNSELL_SCALE)).toBe(
      'In a bright room this screen shows steps from value 2.0 to 9.2: what is darker or lighter than that is in no question.',
    );
    expect(screenSentence({ ...screen, darkest: 0.5, lightest: 9.7 }, MUNSELL_SCALE)).toContain(
      'nothing is left out',
    );
  });

  it('is read from what was stored, and is unknown where that makes no sense', () => {
    expect(readScreen(JSON.stringify(screen))).toEqual(screen);
    for (const stored of [null, 'no JSON', '{}', '{"at":1,"room":"dim","darkest":-3,"lightest":9}'])
      expect(readScreen(stored)).toBeNull();
  });
});
