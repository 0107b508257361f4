import { PAINTERS_WHEEL } from '@/core/colour/wheel';
import { readColourStudy } from '@/core/measure/colour-study';
import { measureSources } from '@/core/measure/sources';
import { readValues } from '@/core/measure/values';
import { paintedBy } from '@/core/testing';
import type { ComparedStudy } from '@/contracts/compare';
import { differences, namesOf } from './differences';
import { figures } from './figures';

const SCALE = { steps: 11, first: 0, highIs: 'light' } as const;
type Rgb = readonly [number, number, number];

/** A study of a picture in upright bands of these colours. */
function studyOf(title: string, ...bands: Rgb[]): ComparedStudy {
  const picture = paintedBy(160, 60, (x) => bands[Math.floor((x * bands.length) / 160)]);
  const zones = { zones: 3, breaks: 'natural' as const };
  return {
    id: title,
    title,
    maker: '',
    pictureId: title,
    swatches: [],
    values: readValues(measureSources(picture), { ...zones, squint: 0 }),
    colours: readColourStudy(measureSources(picture), { zones, wheel: PAINTERS_WHEEL, squint: 0 }),
  };
}

const dusk = studyOf('dusk', [30, 40, 90], [40, 60, 120], [220, 150, 60]);
const noon = studyOf('noon', [240, 220, 150], [230, 200, 120], [120, 60, 40]);
const fog = studyOf('fog', [120, 120, 121], [180, 180, 180], [150, 150, 150]);

describe('two studies side by side', () => {
  it('are alike when they are the same', () => {
    expect(differences(dusk, dusk, SCALE)).toEqual([
      'They are alike in value, family, temperature, intensity and harmony.',
    ]);
  });

  it('differ in value, family, key and temperature', () => {
    const said = differences(dusk, noon, SCALE).join(' ');
    expect(said).toMatch(/“noon” is lighter than “dusk” by \d\.\d steps/);
    expect(said).toMatch(/only “dusk” in blue/i);
    expect(said).toMatch(/On the whole “noon” is warmer by/);
    expect(differences(noon, dusk, SCALE).join(' ')).toMatch(/“dusk” is darker than “noon”/);
  });

  it('say when only one of them has colour to speak of', () => {
    const said = differences(dusk, fog, SCALE).join(' ');
    expect(said).toMatch(/Only “dusk” has a key colour/);
    expect(said).toMatch(/Only “dusk” is near a scheme/);
    expect(said).toMatch(/Neutrals are 0 % of “dusk” and 100 % of “fog”/);
    expect(differences(fog, dusk, SCALE).join(' ')).toMatch(/Only “dusk” has a key colour/);
    expect(said).toMatch(/“fog” is the duller: its mean chroma is 0\.\d+ against 0\.\d+/);
  });

  it('are called by their titles, as far as these tell them apart', () => {
    expect(namesOf('Lower station, rain at dusk', 'Slate terrace, evening')).toEqual([
      '“Lower station”',
      '“Slate terrace”',
    ]);
    expect(namesOf('Pond, noon', 'Pond, dusk')).toEqual(['“Pond, noon”', '“Pond, dusk”']);
    for (const same of [
      ['Pond', 'Pond'],
      [', noon', 'Pond'],
    ])
      expect(namesOf(same[0], same[1])).toEqual(['the first', 'the second']);
    const [long] = namesOf('a'.repeat(200), 'Pond');
    expect(long.length).toBeLessThan(40);
    expect(differences(dusk, fog, SCALE).join(' ')).toMatch(
      /Light and shadow lie \d\.\d steps apart in “dusk”, \d\.\d steps in “fog”/,
    );
  });

  it('have their figures in rows of two', () => {
    const rows = figures([dusk, fog], { scale: SCALE, tolerance: 'usual' });
    expect(rows.every(({ cells }) => cells.length === 2)).toBe(true);
    const row = (title: string) => rows.find((one) => one.title === title)?.cells;
    expect(row('Key colour')?.[1]).toBe('none');
    expect(row('Harmony')?.[1]).toBe('near neutral');
    expect(row('Neutral')).toEqual(['0 %', '100 %']);
  });
});
