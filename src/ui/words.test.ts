import { splitTags } from './tags';
import { list, percent, several } from './words';

describe('words', () => {
  it('say shares, numbers and lists as people do', () => {
    expect([0, 0.001, 0.005, 0.456, 1].map(percent)).toEqual([
      '0 %',
      'under 1 %',
      '1 %',
      '46 %',
      '100 %',
    ]);
    expect(several(1, 'colour')).toBe('one colour');
    expect(several(12, 'swatch', 'swatches')).toBe('12 swatches');
    expect(list(['a', 'b', 'c'])).toBe('a, b and c');
    expect(list(['a'])).toBe('a');
    expect(splitTags(' rain, , dusk,rain ')).toEqual(['rain', 'dusk']);
  });
});
