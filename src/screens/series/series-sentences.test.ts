import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { PAINTERS_WHEEL } from '@/core/colour/wheel';
import { readSeries } from '@/core/palette/series';
import { rangeSentence, seriesSentence, straySentence } from './series-sentences';

const SCALE = { steps: 11, first: 0, highIs: 'light' } as const;
const member = (title: string, ...hexes: string[]) => ({
  title,
  swatches: hexes.map((hex) => ({ name: hex, colour: oklabFromHex(hex) as Oklab, share: null })),
});
const dusk = member('dusk', '#203050', '#8090a8', '#f0d8a0');
const rain = member('rain', '#243456', '#7a8ca4', '#ecd29a');
const fog = member('fog', '#8a8c8e', '#a0a2a4', '#30b050');

describe('what is said of a series', () => {
  it('is how it holds together and what all have', () => {
    expect(seriesSentence(readSeries([dusk, rain], PAINTERS_WHEEL), PAINTERS_WHEEL)).toMatch(
      /^These two palettes hold together well \(\d+ of 100\); .*blue .* in all of them\.$/,
    );
    const all = readSeries([dusk, rain, fog], PAINTERS_WHEEL);
    expect(seriesSentence(all, PAINTERS_WHEEL)).toMatch(/three palettes .* no family is in all/);
  });

  it('is who reaches less far, and what to do with a stray', () => {
    const titles = ['dusk', 'rain', 'fog'];
    const all = readSeries([dusk, rain, fog], PAINTERS_WHEEL);
    expect(rangeSentence(all, titles, SCALE)).toMatch(/at the widest; fog reaches less far\.$/);
    expect(rangeSentence(readSeries([dusk, rain], PAINTERS_WHEEL), titles, SCALE)).toBeNull();
    const [green] = all.members[2].strays;
    expect(straySentence(green, 2, titles, PAINTERS_WHEEL)).toMatch(
      /^“#30b050” has nothing near it \(\d+\), and nothing in any other picture is green: let (dusk|rain), which comes nearest, take it too\.$/,
    );
    expect(straySentence({ ...green, share: 0.02 }, 2, titles, PAINTERS_WHEEL)).toMatch(
      /nothing in any other picture is green: all that is has 2 % of fog, which can do without\.$/,
    );
    const kin = { member: 1, name: 'reed', colour: green.colour };
    expect(straySentence({ ...green, kin }, 2, titles, PAINTERS_WHEEL)).toMatch(
      /\): bring it toward “reed” of rain\.$/,
    );
  });
});
