import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import type { ChromaReading } from '@/core/measure/chroma';
import type { DominantHue } from '@/core/measure/hues';
import type { KeyColour } from '@/core/measure/key-colour';
import type { ReadsAs } from '@/core/measure/reads-as';
import type { Verdict } from '@/core/measure/warm-cool';
import {
  chromaSentence,
  harmonySentence,
  huesSentence,
  keySentence,
  renamed,
  readsAsSentence,
  leanWords,
  pairSentence,
  warmthSentence,
} from './colour-sentences';
import { initials } from '@/ui/tide';

const of = (hex: string) => oklabFromHex(hex) as Oklab;

const hue = (family: string, share: number): DominantHue => ({
  family,
  hue: 0,
  from: 0,
  to: 90,
  share,
  value: 5,
  chroma: 0.1,
  colour: of('#336699'),
});
const key = (shares: readonly number[]): KeyColour => ({
  family: 'blue',
  hue: 258,
  colour: of('#336699'),
  bands: shares.map((share, i) => ({ from: 2 * i, to: 2 * i + 2, share, colour: null })),
});

describe('findings of colour', () => {
  it('say what it is in, and the key', () => {
    const hues = { dominant: [hue('blue', 0.5), hue('orange', 0.2), hue('red', 0.01)] };
    const reading = { ...hues, families: [], neutral: 0.29, density: [] };
    expect(huesSentence(reading, null)).toBe(
      'It is in blue 50 % and orange 20 %, with 29 % neutral.',
    );
    expect(huesSentence({ ...reading, neutral: 0.97 }, null)).toBe(
      'It is in greys: 97 % of it is neutral.',
    );
    expect(keySentence(key([0.2, 0.3, 0.2, 0.4, 0.1]))).toMatch(
      /the darks, the middles and the lights/,
    );
    expect(keySentence(key([0.2, 0.3, 0.2, 0.4, 0]))).toBe(
      'The key is blue, in all but the lightest fifth of its values.',
    );
    expect(keySentence(key([0.2, 0, 0, 0.4, 0]))).toBe(
      'The key is blue, in the darkest and light fifths of its values.',
    );
    expect(keySentence(key([0, 0, 0, 0, 0]))).toMatch(/as far as there is one/);
  });

  it('say which side is the warmer', () => {
    const place = (x: number, hex: string) => ({ x, y: 0.5, temperature: 0, colour: of(hex) });
    const reading = {
      mean: 0,
      light: 0.5,
      shadow: -0.3,
      warmest: place(0.9, '#e08020'),
      coolest: place(0.1, '#204080'),
      zones: [],
      verdict: 'warmer' as Verdict | null,
      votes: { warmer: 0.6, cooler: 0.3, alike: 0.1 },
      by: 0.8 as number | null,
      pairs: [],
    };
    expect(warmthSentence(reading)).toMatch(
      /^The light is warmer than the shadow, by 0\.8 where one colour stands in both\. It is warmest on the right \(.* orange\) and coolest on the left/,
    );
    expect(warmthSentence({ ...reading, verdict: 'cooler' })).toMatch(
      /^The light is cooler .* by 0\.8/,
    );
    expect(warmthSentence({ ...reading, verdict: 'alike' })).toMatch(/are alike in temperature/);
    expect(warmthSentence({ ...reading, verdict: 'mixed' })).toMatch(
      /^The light is mixed: warmer than its shadow in 60.% of what can be told, cooler in 30.%/,
    );
    expect(warmthSentence({ ...reading, verdict: null, by: null })).toMatch(/^No colour stands/);
  });

  it('say what a pair of one’s own leans to, whichever was touched first', () => {
    const [lit, shaded] = ['#d8b080', '#50545c'].map(of);
    expect(pairSentence(lit, shaded)).toMatch(/the lighter is warmer by \d\.\d/);
    expect(pairSentence(shaded, lit)).toBe(pairSentence(lit, shaded));
    expect(pairSentence(of('#808080'), of('#404040'))).toMatch(/alike in temperature/);
    expect([leanWords(0.32), leanWords(-0.5), leanWords(0.01)]).toEqual([
      'warmer 0.3',
      'cooler 0.5',
      'alike',
    ]);
  });

  it('say how much is strong and where', () => {
    const words = {
      neutral: 0.3,
      greyed: 0.3,
      dull: 0.3,
      moderate: 0.05,
      strong: 0.03,
      vivid: 0.02,
    };
    const reading = { words, strongInLight: 1, accents: [] } as unknown as ChromaReading & {
      accents: [];
    };
    expect(chromaSentence(reading)).toBe(
      'Strong or vivid is 5 % of it and nearly all of that lies in the light; 60 % of it is greyed or neutral.',
    );
    expect(chromaSentence({ ...reading, strongInLight: 0 })).toMatch(/lies in the shadow/);
    expect(chromaSentence({ ...reading, strongInLight: 0.4 })).toMatch(
      /40 % of that lies in the light/,
    );
    const quiet = { ...words, strong: 0, vivid: 0 };
    expect(chromaSentence({ ...reading, words: quiet, strongInLight: null })).toMatch(
      /^Nothing is strong; the most it has is moderate/,
    );
  });

  it('name two schemes that are near each other, and what falls outside', () => {
    const fit = (scheme: 'triad' | 'complement', of: number) => ({
      scheme,
      fit: of,
      rotation: 0,
      sectors: [],
    });
    const outside = [
      {
        family: 'green',
        share: 0.01,
        colour: of('#30a050'),
        distance: 40,
        kind: 'accent' as const,
      },
    ];
    const reading = { outside, round: [], roundColours: [], coloured: 0.5 };
    expect(harmonySentence({ ...reading, fits: [fit('triad', 80), fit('complement', 77)] })).toBe(
      'It is nearest to triad (80 of 100) or complement (77). Green stands outside the scheme: 1 %, an accent.',
    );
    expect(
      harmonySentence({ ...reading, outside: [], fits: [fit('triad', 80), fit('complement', 60)] }),
    ).toBe('It is nearest to triad (80 of 100).');
    expect(
      harmonySentence({
        ...reading,
        fits: [fit('triad', 74), fit('complement', 72), fit('triad', 70), fit('complement', 69)],
      }),
    ).toBe(
      'No scheme stands out: triad (74), complement (72) and triad (70) fit it about as well.',
    );
    expect(harmonySentence({ ...reading, fits: [], coloured: 0.02 })).toMatch(
      /no scheme to speak of/,
    );
  });

  it('say what a grey seems, and only where it is called something else', () => {
    const read = (reads: string): ReadsAs => ({
      mass: 1,
      share: 0.02,
      place: { x: 0.1, y: 0.1 },
      colour: of('#7d7d7d'),
      surround: of('#c08030'),
      reads: of(reads),
      pushed: 0.02,
    });
    expect(renamed([read('#7d7d7d'), read('#6f7d95')])).toHaveLength(1);
    expect(readsAsSentence([read('#6f7d95')])).toMatch(
      /upper left, reads as .* beside .*: an estimate\.$/,
    );
    expect(readsAsSentence([])).toMatch(/^No near-neutral/);
    expect(['red', 'blue-green', 'spring green'].map(initials)).toEqual(['R', 'BG', 'SG']);
  });
});
