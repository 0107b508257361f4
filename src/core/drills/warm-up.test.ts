import { MISTAKE_KINDS } from '../session/mistakes';
import { SKILLS } from './question';
import { warmUpSkills } from './warm-up';

describe('a warm-up', () => {
  it('is made of what an aim needs, and of something for an aim that is one’s own', () => {
    expect(warmUpSkills('values', [])).toEqual(['value', 'order', 'light']);
    expect(warmUpSkills('hidden colour', [])).toContain('lean');
    expect(warmUpSkills('to finish at last', [])).toEqual(['value', 'family', 'intensity']);
  });

  it('is made of what keeps going wrong, too, each skill once', () => {
    expect(warmUpSkills('values', ['whole too strong', 'darks too light'])).toEqual([
      'value',
      'order',
      'light',
      'intensity',
      'match',
    ]);
    expect(warmUpSkills('values', ['edges lost', 'turns flattened'])).toEqual(
      warmUpSkills('values', []),
    );
    expect(warmUpSkills('values', ['whole turned'])).toContain('temperature');
    for (const skill of warmUpSkills('speed', MISTAKE_KINDS)) expect(SKILLS).toContain(skill);
  });
});
