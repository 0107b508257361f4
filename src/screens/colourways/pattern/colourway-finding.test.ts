import { MUNSELL_SCALE } from '@/core/colour/value-scale';
import { colourwayFinding } from './colourway-finding';

const colour = (id: string) => ({ id }) as never;
const paint = (hex: string, value: number) => ({ hex, value }) as never;
const room = {
  painted: { paints: [paint('#101010', 1), paint('#404040', 2.5), paint('#909090', 6)] },
  nameOf: (hex: string) => `the colour ${hex}`,
} as never;

describe('what a colourway did', () => {
  it('is said with its inks, and that nothing fell together', () => {
    expect(
      colourwayFinding(
        { colours: [colour('a'), colour('b')], fallen: [], inks: null },
        room,
        MUNSELL_SCALE,
      ),
    ).toBe('Three colours became two colours; what stood apart in value still does.');
    const inks = { inks: [colour('a'), colour('b')] } as never;
    expect(
      colourwayFinding({ colours: [colour('a')], fallen: [], inks }, room, MUNSELL_SCALE),
    ).toBe('Three colours became one colour by two inks; what stood apart in value still does.');
  });

  it('names the worst pair that fell together, and counts the others', () => {
    const pair = (one: string, other: string) => ({ pair: [one, other] }) as never;
    expect(
      colourwayFinding(
        {
          colours: [colour('a')],
          fallen: [pair('#909090', '#404040'), pair('#404040', '#101010')],
          inks: null,
        },
        room,
        MUNSELL_SCALE,
      ),
    ).toBe(
      'Three colours became one colour. The colour #909090 and the colour #404040 stood 3.5 steps apart and fall together, and so does one more pair.',
    );
  });
});
