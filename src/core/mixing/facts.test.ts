import { oklchFromOklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { oklabOf } from './observer';
import { filmOver, massTone } from './paint';
import { spectrumOf } from './spectrum';
import { mixOf, opticsOfMix } from './testing/mixtures';

/**
 * What painters know of mixing, in parts of thick paint. Sources: R. Mayer, The Artist's Handbook of Materials and
 * Techniques; M. Gottsegen, The Painter's Handbook; R. Feller (ed.), Artists' Pigments 1; R. Berns, Color Science and
 * the Visual Arts; G. Buxbaum, G. Pfaff, Industrial Inorganic Pigments; W. Herbst, K. Hunger, Industrial Organic Pigments.
 */
const { C, V, h } = {
  C: (mix: string) => mixOf(mix).C,
  V: (mix: string) => mixOf(mix).V,
  h: (mix: string) => mixOf(mix).h,
};

const white = spectrumOf(() => 1);
function film(mix: string, coat: number, ground = white) {
  const colour = oklabOf(filmOver(opticsOfMix(mix), coat, ground));
  return { ...oklchFromOklab(colour), V: valueOfOklab(colour), colour };
}

/** Of several mixtures the one whose value is nearest. */
const atValue = (value: number, mixes: string[]) =>
  mixes.toSorted((one, other) => Math.abs(V(one) - value) - Math.abs(V(other) - value))[0];
const ladder = (one: string, other: string, most = 30) =>
  Array.from({ length: most }, (_, i) => `${one}:1,${other}:${i + 1}`);

describe('mixing', () => {
  it('ultramarine with cadmium yellow is duller than phthalocyanine green with it, at one value', () => {
    for (const value of [3.5, 4, 4.5]) {
      const dull = atValue(value, ladder('PB29', 'PY35'));
      const clean = atValue(value, ladder('PG7', 'PY35'));
      expect(Math.abs(V(dull) - V(clean))).toBeLessThan(0.35);
      expect(C(clean)).toBeGreaterThan(1.3 * C(dull));
    }
  });

  it('one part of phthalocyanine blue in ten of white is still strong', () => {
    expect(C('PB15.3:1,PW6:10')).toBeGreaterThan(0.14);
    expect(V('PB15.3:1,PW6:10')).toBeLessThan(5.5);
  });

  it('four of white to one lower the chroma of opaque mass tones, and cool cadmium red', () => {
    for (const id of ['PR108', 'PO20', 'PR101', 'PY42', 'PY35', 'PG17', 'PB28', 'PB35', 'PG50'])
      expect([id, C(`${id}:1,PW6:4`) < C(id)]).toEqual([id, true]);
    for (const id of ['PR108', 'PR254', 'PR112', 'PR170'])
      expect([id, h(`${id}:1,PW6:4`) < h(id) - 1]).toEqual([id, true]);
  });

  it('ultramarine, dioxazine and the phthalocyanines gain chroma with the first white', () => {
    for (const id of ['PB29', 'PV23', 'PB15.3', 'PG7', 'PG36'])
      for (const share of [20, 10, 4])
        expect([id, C(`${id}:${share},PW6:1`) > C(id)]).toEqual([id, true]);
  });

  it('complements give a dark neutral', () => {
    for (const mix of ['PR108:4,PG7:1', 'PB29:1,PO20:1', 'PR83:3,PG7:1', 'PV23:1,PY35:8'])
      expect([mix, C(mix) < 0.03 && V(mix) < 3]).toEqual([mix, true]);
  });

  it('burnt sienna and ultramarine make a dark neutral, and greys from warm to cool', () => {
    expect(C('PBr7-burnt-sienna:1,PB29:1')).toBeLessThan(0.025);
    expect(V('PBr7-burnt-sienna:1,PB29:1')).toBeLessThan(2.5);
    const warm = mixOf('PBr7-burnt-sienna:3,PB29:1,PW6:4');
    const cool = mixOf('PBr7-burnt-sienna:1,PB29:1,PW6:4');
    for (const { C: chroma } of [warm, cool]) expect(chroma).toBeLessThan(0.03);
    expect(warm.h).toBeLessThan(90);
    expect(cool.h).toBeGreaterThan(220);
  });

  it('a little black in cadmium yellow makes an olive green', () => {
    for (const black of ['PBk9', 'PBk7', 'PBk11']) {
      const olive = mixOf(`PY35:10,${black}:1`);
      expect(olive.h).toBeGreaterThan(95);
      expect(olive.h).toBeLessThan(130);
      expect(olive.C).toBeLessThan(0.1);
    }
  });

  it('ultramarine with a quinacridone or alizarin is a duller violet than dioxazine', () => {
    const violet = atValue(3.2, ladder('PV23', 'PW6', 12));
    for (const red of ['PR122', 'PV19', 'PV19-rose', 'PR83'])
      expect([red, C(`PB29:1,${red}:1,PW6:4`) < C(violet)]).toEqual([red, true]);
  });

  it('a little violet overwhelms yellow, an earth dulls it safely', () => {
    const violet = mixOf('PY35:10,PV23:1');
    const earth = mixOf('PY35:10,PBr7-raw-sienna:1');
    expect(violet.V).toBeLessThan(V('PY35') - 4);
    expect(violet.C).toBeLessThan(0.04);
    expect(earth.V).toBeGreaterThan(V('PY35') - 1.5);
    expect(earth.C).toBeLessThan(C('PY35'));
    expect(earth.C).toBeGreaterThan(0.12);
  });

  it('ochre in a green dulls it', () => {
    for (const blue of ['PB15.3', 'PG7', 'PB29', 'PG18'])
      expect(C(`${blue}:1,PY35:8,PY42:4`)).toBeLessThan(C(`${blue}:1,PY35:8`));
  });

  it('thin paint over white is weaker than thick', () => {
    for (const id of ['PB29', 'PR108', 'PY42', 'PBr7-burnt-umber', 'PG18'])
      expect(film(id, 0.05).V).toBeGreaterThan(V(id) + 1);
  });
});

describe('pigments', () => {
  it('zinc white tints less than titanium white, and keeps more of a colour (Mayer)', () => {
    for (const id of ['PR122', 'PB29', 'PBk9']) {
      expect(V(`${id}:1,PW4:4`)).toBeLessThan(V(`${id}:1,PW6:4`) - 0.7);
    }
    expect(C('PR122:1,PW4:4')).toBeGreaterThan(C('PR122:1,PW6:4'));
  });

  it('phthalocyanine blue turns to green in white, ultramarine stays a red blue (Herbst, Hunger)', () => {
    expect(h('PB15.3:1,PW6:10')).toBeLessThan(240);
    expect(h('PB29:1,PW6:10')).toBeGreaterThan(250);
  });

  it('lamp black tints several times as strongly as bone black (Buxbaum, Pfaff)', () => {
    expect(V('PBk7:1,PW6:10')).toBeLessThan(V('PBk9:1,PW6:10') - 1);
    expect(V('PBk7:1,PW6:10')).toBeCloseTo(V('PBk9:4,PW6:10'), 0);
  });

  it('greys of black and white look blue (Mayer)', () => {
    for (const black of ['PBk7', 'PBk9']) {
      const grey = mixOf(`${black}:1,PW6:10`);
      expect(grey.h).toBeGreaterThan(220);
      expect(grey.h).toBeLessThan(290);
      expect(grey.C).toBeGreaterThan(0.005);
    }
  });

  it('phthalocyanine green and alizarin make a black (Gottsegen)', () => {
    const black = mixOf('PG7:1,PR83:3');
    expect(black.C).toBeLessThan(0.015);
    expect(black.V).toBeLessThan(1.5);
  });

  it('raw umber is greener than burnt umber in a tint (Feller)', () => {
    expect(h('PBr7-raw-umber:1,PW6:10')).toBeGreaterThan(h('PBr7-burnt-umber:1,PW6:10') + 15);
  });

  it('burning a sienna reddens and darkens it (Feller)', () => {
    expect(h('PBr7-burnt-sienna')).toBeLessThan(h('PBr7-raw-sienna') - 20);
    expect(V('PBr7-burnt-sienna')).toBeLessThan(V('PBr7-raw-sienna'));
  });

  it('nickel azo yellow is brown from the tube and a clean yellow in white (Herbst, Hunger)', () => {
    expect(V('PY150')).toBeLessThan(5);
    expect(C('PY150:1,PW6:10')).toBeGreaterThan(C('PY150'));
    expect(h('PY150:1,PW6:10')).toBeGreaterThan(h('PY150') + 15);
  });

  it('quinacridone magenta turns from red toward violet in white (Herbst, Hunger)', () => {
    expect(h('PR122')).toBeLessThan(30);
    expect(h('PR122:1,PW6:10')).toBeGreaterThan(330);
    expect(h('PR122:1,PW6:10')).toBeLessThan(350);
  });

  it('the bromine in yellow-shade phthalocyanine green makes it yellower (Herbst, Hunger)', () => {
    expect(h('PG36:1,PW6:10')).toBeLessThan(h('PG7:1,PW6:10') - 8);
  });

  it('cadmium red hides black, ultramarine does not (Mayer)', () => {
    const black = massTone(opticsOfMix('PBk9'));
    expect(V('PR108') - film('PR108', 1, black).V).toBeLessThan(0.5);
    expect(film('PR108', 1, black).C).toBeGreaterThan(0.8 * C('PR108'));
    expect(film('PB29', 0.5, black).C).toBeLessThan(0.6 * C('PB29'));
    expect(V('PR108') - film('PR108', 1, black).V).toBeLessThan(
      V('PR83') + 0.5 - film('PR83', 1, black).V,
    );
  });

  it('a scumble of white over black looks blue (Goethe; Berns)', () => {
    const black = massTone(opticsOfMix('PBk9'));
    const scumble = film('PW6', 0.1, black);
    expect(scumble.h).toBeGreaterThan(220);
    expect(scumble.h).toBeLessThan(280);
    expect(scumble.C).toBeGreaterThan(0.01);
  });

  it('transparent paint glows where it is thin over white (Mayer)', () => {
    for (const id of ['PR122', 'PR83', 'PB29', 'PV23', 'PB15.3', 'PY150'])
      expect([id, film(id, 0.05).C > 1.2 * C(id)]).toEqual([id, true]);
  });

  it('phthalocyanine blue with lemon yellow makes a purer green than cerulean or ultramarine (Gottsegen)', () => {
    const greens = (blue: string) =>
      ladder(blue, 'PY3').filter((mix) => h(mix) > 135 && h(mix) < 180);
    const clean = Math.max(...greens('PB15.3').map(C));
    for (const blue of ['PB29', 'PB35', 'PB28'])
      expect(clean).toBeGreaterThan(Math.max(...greens(blue).map(C)));
  });

  it('prussian blue is as strong as a phthalocyanine, indanthrone is duller (Mayer; Herbst, Hunger)', () => {
    expect(Math.abs(V('PB27:1,PW6:20') - V('PB15.3:1,PW6:20'))).toBeLessThan(0.6);
    expect(C('PB60:1,PW6:10')).toBeLessThan(C('PB15.3:1,PW6:10'));
  });

  it('terre verte is weak: half of white all but drowns it (Mayer)', () => {
    expect(C('PG23:1,PW6:4')).toBeLessThan(0.04);
    expect(V('PG23:1,PW6:4')).toBeGreaterThan(6.5);
  });
});
