import { MUNSELL_SCALE } from '@/core/colour/value-scale';
import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import type { TraySwatch } from '@/contracts/study';
import { lookSentence } from './look/look-sentence';
import { paletteSentence, widestGap } from './palette/palette-sentence';
import { valueSentence, zoneNames } from './values/value-sentence';

const swatch = (hex: string, share: number | null, name = hex): TraySwatch => ({
  id: hex,
  name,
  note: '',
  colour: oklabFromHex(hex) as Oklab,
  share,
  locked: false,
  origin: 'extracted',
  area: null,
  spread: null,
});

describe('findings', () => {
  it('say the aim', () => {
    expect(lookSentence({ aims: [], kind: null })).toBe(
      'Say what this study is for: one aim, two at most.',
    );
    expect(lookSentence({ aims: ['values', 'speed'], kind: 'photograph' })).toBe(
      'A study of values and speed, from a photograph.',
    );
    expect(lookSentence({ aims: ['values'], kind: 'own work' })).toBe(
      'A study of values, from own work.',
    );
  });

  it('say how many values carry it, what they take, where lights and darks stop, key and range', () => {
    const zones = [
      { from: 0, to: 4, share: 0.46, mean: 2 },
      { from: 4, to: 6, share: 0.38, mean: 5 },
      { from: 6, to: 10, share: 0.16, mean: 8 },
    ];
    const reading = {
      median: 4.5,
      p5: 1.2,
      p95: 7.9,
      key: 'middle',
      range: 'full',
      carriedBy: 3,
      curve: [0, 0.8, 0.97, 0.98, 0.99, 1, 1, 1, 1],
      zones,
    } as const;
    const whole = { ...reading, zones, curve: [...reading.curve] };
    expect(valueSentence(whole, 'natural', MUNSELL_SCALE)).toBe(
      'Three values carry it: dark 46 %, middle 38 %, light 16 %; the lights stop at 7.9, the darks at 1.2. A middle key of full range.',
    );
    // The shares belong to natural zones of that number alone.
    for (const [zoned, breaks] of [
      [whole, 'even'],
      [{ ...whole, carriedBy: 4 }, 'natural'],
    ] as const)
      expect(valueSentence(zoned, breaks, MUNSELL_SCALE)).not.toContain('46 %');
    expect(valueSentence({ ...whole, carriedBy: 1 }, 'even', MUNSELL_SCALE)).toMatch(
      /^One value carries it;/,
    );
    const onNine = valueSentence(whole, 'even', { steps: 9, first: 1, highIs: 'dark' });
    expect(onNine).toContain('the lights stop at 2.7, the darks at 8.0');
  });

  it('name up to five zones and number more', () => {
    expect(zoneNames(3)).toEqual(['dark', 'middle', 'light']);
    expect(zoneNames(7)[0]).toBe('1, darkest');
    expect(zoneNames(7).at(-1)).toBe('7, lightest');
    expect(zoneNames(9)).toHaveLength(9);
  });

  it('say how many colours, from where to where, and what takes most', () => {
    expect(paletteSentence([], MUNSELL_SCALE)).toMatch(/^No colours yet/);
    expect(
      paletteSentence([swatch('#000000', 0.7, 'night'), swatch('#ffffff', 0.3)], MUNSELL_SCALE),
    ).toBe('Two colours, from value 0.0 to 10.0. Night takes most, 70 %.');
    expect(paletteSentence([swatch('#ffffff', null)], MUNSELL_SCALE)).toBe(
      'One colour, at value 10.0.',
    );
  });

  it('find the widest gap in value, if there is one', () => {
    expect(
      widestGap([swatch('#000000', 1), swatch('#303030', 1), swatch('#f0f0f0', 1)])?.to,
    ).toBeGreaterThan(9);
    expect(widestGap([swatch('#808080', 1), swatch('#909090', 1)])).toBeNull();
    expect(widestGap([])).toBeNull();
  });
});
