import type { Leaning, SkillProfile } from '@/core/drills/profile';
import type { PracticeReport } from '@/core/drills/report';
import { MUNSELL_SCALE } from '@/core/colour/value-scale';
import { amountWords, offWords, partWords, practiseWords, profileSentence } from './profile-words';

const leaning = (is: string, bias: number, part: Partial<Leaning> = {}): Leaning => ({
  axis: 'family',
  is,
  count: 20,
  bias,
  spread: 0.5,
  error: 0.1,
  ...part,
});
const report = (count: number, value: Partial<SkillProfile> | null): PracticeReport => ({
  count,
  skills: [],
  value: value && { count, bias: 0, spread: 0.6, leanings: [], ...value },
  intensity: null,
  family: null,
  weak: [],
});
const sentence = (of: PracticeReport) => profileSentence(of, MUNSELL_SCALE);

describe('the profile in words', () => {
  it('names what is read too light and too dark, the largest first', () => {
    expect(
      sentence(
        report(150, {
          leanings: [leaning('yellow', 0.5), leaning('violet', -1), leaning('red', 0.1)],
        }),
      ),
    ).toBe(
      'You read violets one step too dark and yellows 0.5 of a step too light; your readings spread by 0.6 of a step.',
    );
  });

  it('says what all values lean by, and that of nothing it can be sure', () => {
    expect(sentence(report(100, { bias: 0.8 }))).toContain(
      'values 0.8 of a step too light on the whole',
    );
    expect(sentence(report(100, { leanings: [leaning('yellow', 0.5, { error: 0.4 })] }))).toContain(
      'without a leaning that is more than chance',
    );
    expect(sentence(report(100, { leanings: [leaning('yellow', 0.5, { count: 3 })] }))).toContain(
      'without a leaning',
    );
  });

  it('says so where answers are too few, and what to do where there are none', () => {
    expect(sentence(report(7, {}))).toBe(
      'Seven answers so far: too few to say how you read values.',
    );
    expect(sentence(report(40, null))).toContain('too few');
    expect(sentence(report(0, null))).toContain('A round takes five minutes.');
  });

  it('has a plain plural for each part, and says what to practise and why', () => {
    expect(partWords('value', 'dark')).toBe('darks');
    expect(partWords('family', 'grey')).toBe('greys');
    expect(partWords('intensity', 'greyed')).toBe('greyed colours');
    const all = {
      ...report(100, { leanings: [leaning('violet', -0.7), leaning('red', 0.05)] }),
      skills: [{ skill: 'family' as const, count: 50, right: 0.76 }],
      weak: [{ skill: 'family' as const, leaning: leaning('blue-green', -0.3), right: 0.45 }],
    };
    expect(practiseWords(all, MUNSELL_SCALE)).toEqual([
      'Values of violets: you read them 0.7 of a step too dark.',
      'Families of blue-greens: 45 % right, 76 % on the whole.',
    ]);
    expect(practiseWords(report(7, { leanings: [leaning('violet', -2)] }), MUNSELL_SCALE)).toEqual(
      [],
    );
  });

  it('measures each in its own unit', () => {
    expect(offWords('value', -0.4, MUNSELL_SCALE)).toBe('0.4 of a step too dark');
    expect(offWords('intensity', 0.31, MUNSELL_SCALE)).toBe('0.3 of a word too strong');
    expect(offWords('intensity', -1.2, MUNSELL_SCALE)).toBe('1.2 words too dull');
    expect(offWords('family', 0.8, MUNSELL_SCALE)).toBe('0.8 of a family off');
    expect(amountWords('family', 0.01, MUNSELL_SCALE)).toBe('no family');
  });
});
