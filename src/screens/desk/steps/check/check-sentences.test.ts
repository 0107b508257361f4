import { fullSession } from '@/server/testing/some-session';
import {
  checkSentence,
  edgeWords,
  flattenedWords,
  placingWords,
  proportionWords,
} from './check-sentences';

const finding = fullSession().checks[0].finding!;

describe('what a check says', () => {
  it('begins with the whole, or why that isn’t known', () => {
    expect(checkSentence(finding, 'model', [])).toBe(
      'On the whole the study is 0.3 of a value too light, 10 % too narrow in its values and 20 % too strong.',
    );
    expect(checkSentence({ ...finding, shift: null }, 'model', [])).toContain('can’t be told');
    expect(checkSentence(finding, 'model', ['shift', 'relation-1'])).toBe(
      'The difference on the whole is left out. No mass is off against the rest, held against its model.',
    );
  });

  it('says of a study by itself what it is', () => {
    const alone = { ...finding, registration: null };
    expect(checkSentence(alone, 'itself', [])).toBe(
      'By itself: a middle key with a medium range (dark 30 %, middle 50 %, light 20 %); of its edges 50 % are found and 20 % lost.',
    );
  });

  it('warns where the study may not lie right', () => {
    expect(placingWords(finding)).toBeNull();
    const unsure = { ...finding, registration: { error: 0.02, confidence: 0.45 } };
    expect(placingWords(unsure)).toContain('corners');
  });

  it('names edges, turns and proportions by their place', () => {
    expect(edgeWords(finding.edges[0])).toBe(
      'A hard edge was lost in the middle, along 20 % of the side.',
    );
    expect(flattenedWords(finding.flattened[0])).toBe(
      'Upper right, a slow turn of 1.2 values lies flat (3 % of the picture).',
    );
    expect(proportionWords(finding.proportions)).toBe(
      'Its proportions are off: dark 20 % for 30 % and light 30 % for 20 %.',
    );
    expect(proportionWords(null)).toBeNull();
  });
});
