import { byteOfLinear, LINEAR_OF_BYTE } from '../colour/srgb';
import { mapped } from '../raster/homography';
import { paintedBy } from '../testing';
import { compare } from './compare';
import { register } from './registration';
import { landscape, laidIn, relit } from './testing';
import { relationWords, shiftWords, valueWords } from './words';

const model = landscape();
/** White paper in the light of a room, and a table. */
const PAPER = [216, 216, 216] as const;
const TABLE = [70, 56, 44] as const;
const PLACE = [70, 50] as const;
const SIZE = [380, 290] as const;

const lit = (factor: number) => (byte: number) => byteOfLinear(factor * LINEAR_OF_BYTE[byte]);

describe('a study against its model', () => {
  it('finds no mistake in the model itself, as a photograph and as a file', () => {
    const photographed = compare(model, model)!;
    expect(photographed.shift).toBeNull();
    expect(photographed.relations).toEqual([]);
    const { shift, relations, registration } = compare(model, model, { isDigital: true })!;
    expect(relations).toEqual([]);
    expect(shift!.value).toBeCloseTo(0, 1);
    expect(shift!.valueGain).toBeCloseTo(1, 2);
    expect(shift!.chromaGain).toBeCloseTo(1, 2);
    expect(Math.abs(shift!.hueTurn)).toBeLessThan(0.3);
    expect(registration.error).toBeLessThan(0.001);
    expect(registration.confidence).toBeGreaterThan(0.9);
  });

  it('is laid on the model wherever it lies, and a file on a larger canvas too', () => {
    const photo = laidIn(model, TABLE, SIZE, PLACE);
    const { toPhoto } = register(model, photo)!;
    // The lamp, the roof, the foot of the house, the end of the path.
    for (const [x, y] of [
      [0.72, 0.2],
      [0.3, 0.38],
      [0.3, 0.66],
      [0.6, 0.9],
    ]) {
      const [u, v] = mapped(toPhoto, x, y);
      expect(Math.abs(u * SIZE[0] - 70 - 240 * x)).toBeLessThan(1);
      expect(Math.abs(v * SIZE[1] - 50 - 180 * y)).toBeLessThan(1);
    }
    const { shift, relations } = compare(model, photo, { isDigital: true })!;
    expect(shift!.value).toBeCloseTo(0, 1);
    expect(relations).toEqual([]);
  });

  it('takes the paper around it for white, whatever the light, and says nothing of the whole without', () => {
    // In warm light, darker to the right: study and paper alike.
    const room = relit(laidIn(model, [244, 244, 244], SIZE, PLACE), (byte, channel, x) =>
      lit([0.8, 0.7, 0.55][channel] * (1 - 0.3 * x))(byte),
    );
    const onPaper = compare(model, room)!;
    expect(onPaper.knownBy).toBe('paper');
    // The paper is 244: a little lighter than what paper is taken for.
    expect(Math.abs(onPaper.shift!.value)).toBeLessThan(0.15);
    expect(onPaper.shift!.chromaGain).toBeCloseTo(1, 1);
    expect(onPaper.relations).toEqual([]);
    const onTable = compare(model, laidIn(model, TABLE, SIZE, PLACE))!;
    expect(onTable.knownBy).toBeNull();
    expect(onTable.shift).toBeNull();
    // Paper that has run out to white says nothing.
    expect(compare(model, laidIn(model, [255, 255, 255], SIZE, PLACE))!.shift).toBeNull();
  });

  it('tells paper and a grey card that were named from each other by what they make of the study', () => {
    const withCard = laidIn(model, TABLE, SIZE, PLACE);
    for (let y = 250; y < 285; y++)
      for (let x = 150; x < 220; x++) withCard.data.set([118, 118, 118], (y * SIZE[0] + x) * 4);
    const { knownBy, shift } = compare(model, withCard, { white: { x: 185 / 380, y: 267 / 290 } })!;
    expect(knownBy).toBe('place');
    expect(Math.abs(shift!.value)).toBeLessThan(0.1);
  });

  it('says the shift, and the relation that is off with its place', () => {
    const study = paintedBy(model.width, model.height, (x, y) => {
      const at = (y * model.width + x) * 4;
      const [r, g, b] = [0, 1, 2].map((k) => model.data[at + k]);
      // The house too light; all of it a little darker.
      const isHouse = r === 176 && g === 92;
      return [r, g, b].map((byte) => lit(isHouse ? 1.7 : 0.8)(byte)) as [number, number, number];
    });
    const { shift, relations } = compare(model, laidIn(study, PAPER, SIZE, PLACE), {
      isDigital: true,
    })!;
    expect(shift!.value).toBeLessThan(-0.3);
    expect(relations[0].x).toBeGreaterThan(0.2);
    expect(relations[0].x).toBeLessThan(0.4);
    expect(relations[0].value).toBeGreaterThan(1);
    expect(relationWords(relations[0])).toMatch(
      /^the (moderate|strong|dull) middle red-orange, on the left: .*too light.* against the rest$/,
    );
  });

  it('is not found in another picture, unless somebody says where', () => {
    const other = paintedBy(200, 200, (x, y) => [
      (x * 31 + y * 17) % 256,
      ((x >> 4) * 67) % 256,
      ((y >> 4) * 91) % 256,
    ]);
    expect(compare(model, other)).toBeNull();
    const named = compare(model, other, {
      corners: [
        [0.1, 0.1],
        [0.9, 0.1],
        [0.9, 0.9],
        [0.1, 0.9],
      ],
    })!;
    expect(named.registration.confidence).toBeLessThan(0.5);
    const onLine = [
      [0.1, 0.1],
      [0.5, 0.1],
      [0.9, 0.1],
      [0.1, 0.9],
    ] as const;
    expect(compare(model, other, { corners: onLine })).toBeNull();
  });
});

describe('words', () => {
  it('count steps by halves', () => {
    expect([0.3, 0.5, 0.9, 1.4, 2.1, 2.6].map(valueWords)).toEqual([
      'half a value',
      'half a value',
      'a value',
      'a value and a half',
      '2 values',
      '2 values and a half',
    ]);
  });

  it('say the shift in one sentence', () => {
    expect(shiftWords({ value: 0.02, valueGain: 1.01, chromaGain: 0.98, hueTurn: 1 })).toBe(
      'On the whole the study stands where its model does.',
    );
    expect(shiftWords({ value: -0.6, valueGain: 0.8, chromaGain: 1.2, hueTurn: 8 })).toBe(
      'On the whole the study is 0.6 of a value too dark, 20 % too narrow in its values, 20 % too strong and turned by 8° of hue, as from red to orange.',
    );
  });

  it('name the family that a hue turned to', () => {
    const relation = {
      x: 0.1,
      y: 0.1,
      value: 0,
      chroma: 0.03,
      hue: 30,
      share: 0.1,
      colour: { L: 0.6, a: 0.1, b: 0.08 },
      weight: 1,
    };
    expect(relationWords(relation)).toBe(
      'the moderate middle red-orange, upper left: too strong and turned towards yellow-orange against the rest',
    );
  });
});
