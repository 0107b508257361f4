import { limitsOf, mannerOf, mannerSentence, type StudyOfMaker } from './manner';

const study = (part: Partial<StudyOfMaker> = {}): StudyOfMaker => ({
  id: 'a',
  title: 'Roofs',
  pictureId: 'p',
  key: 'middle',
  range: 'medium',
  darkest: 2,
  median: 5,
  lightest: 8,
  light: 6.5,
  shadow: 3,
  intensity: { light: 0.05, halfTone: 0.09, shadowEdge: 0.06, shadow: null },
  strongest: 0.12,
  families: [{ family: 'blue', share: 0.4 }],
  edges: null,
  ...part,
});

describe('a maker’s manner', () => {
  it('is what most of the pictures have, and means of the rest', () => {
    const manner = mannerOf([
      study(),
      study({ darkest: 4, edges: { found: 0.5, soft: 0.3, lost: 0.2 } }),
      study({ key: 'high', families: [{ family: 'red', share: 0.3 }] }),
    ])!;
    expect(manner).toMatchObject({
      count: 3,
      key: 'middle',
      liesIn: 'halfTone',
      families: ['blue'],
    });
    expect(manner.darkest).toBeCloseTo(8 / 3);
    expect(manner.intensity.shadow).toBeNull();
    expect(manner.edges).toEqual({ found: 0.5, soft: 0.3, lost: 0.2 });
    expect(mannerSentence('A. Maker', manner)).toBe(
      'A. Maker: a middle key and a medium range, from value 2.7 to 8.0. Intensity lies in the half-tones. Most lean on blue. Of the edges 20 % are lost.',
    );
    expect(mannerOf([])).toBeNull();
  });

  it('sets the limits of a session', () => {
    const limits = limitsOf(mannerOf([study()])!);
    expect(limits[0]).toBe('values from 2.0 to 8.0, a middle key');
    expect(limits[1]).toMatch(/^nothing stronger than \w+/);
    expect(limits[2]).toBe('families: blue');
  });
});
