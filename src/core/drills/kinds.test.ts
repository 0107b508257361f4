import fc from 'fast-check';
import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { inGamut } from '../colour/gamut';
import { INTENSITY_LIMITS, INTENSITY_WORDS, intensityWord } from '../colour/intensity';
import type { Oklab } from '../colour/oklab';
import { temperature } from '../colour/temperature';
import { valueOfOklab } from '../colour/value';
import { familyOf, WHEELS } from '../colour/wheel';
import { leadingFits, readHarmony } from '../measure/harmony';
import { readKeyColour } from '../measure/key-colour';
import { mixLab } from '../mixing/mix-lab';
import { pigmentOf } from '../mixing/pigments/pigments';
import { tubeOf } from '../mixing/tube';
import { anySrgb } from '../testing';
import { coloursOf, shownColours } from './eyes';
import { partsOfAreas } from './field';
import { DRILL_KINDS, questionOf } from './kinds';
import { chromaOf } from './making';
import { SKILLS, type Answer, type Form, type Making, type Question } from './question';
import { outcomeOf } from './score';

const SCREEN = { darkest: 1.5, lightest: 9.3 };
const SEEDS = Array.from({ length: 40 }, (_, i) => i * 7919 + 3);

const anyMaking = fc.record<Omit<Making, 'random'>>({
  difficulty: fc.double({ min: 0, max: 1, noNaN: true }),
  wheel: fc.constantFrom(...WHEELS),
  screen: fc.constantFrom(SCREEN, { darkest: 2.5, lightest: 8.8 }),
  colours: fc.array(anySrgb, { maxLength: 8 }),
});

/** The answer that is right, and one that is as wrong as the form has it. */
function answersTo(form: Form): { right: Answer; wrong: Answer } {
  const choice = (of: number): Answer => ({ by: 'choice', choice: of });
  switch (form.by) {
    case 'word':
    case 'colour':
    case 'place': {
      const right = choice(form.right[0]);
      for (let i = 0; ; i++) if (!form.right.includes(i)) return { right, wrong: choice(i) };
    }
    case 'value':
      return {
        right: { by: 'value', value: form.value },
        wrong: { by: 'value', value: form.value + 2 * form.within },
      };
    case 'order':
      return {
        right: { by: 'order', order: form.order },
        wrong: { by: 'order', order: [...form.order].reverse() },
      };
    case 'match':
      return {
        right: { by: 'match', colour: form.colour },
        wrong: { by: 'match', colour: { ...form.colour, L: form.colour.L > 0.5 ? 0.2 : 0.9 } },
      };
  }
}

describe('kinds of questions', () => {
  it('are at least fourteen, each with a skill and a name of its own', () => {
    expect(new Set(DRILL_KINDS.map(({ id }) => id)).size).toBeGreaterThanOrEqual(14);
    expect(DRILL_KINDS.every(({ skill }) => SKILLS.includes(skill))).toBe(true);
    expect(new Set(DRILL_KINDS.map(({ skill }) => skill))).toEqual(new Set(SKILLS));
  });

  it.each(DRILL_KINDS)('$id: can nearly always be made, and always alike from a seed', (kind) => {
    const making = { difficulty: 0.5, wheel: WHEELS[0], screen: SCREEN, colours: [] };
    const made = SEEDS.map((seed) => questionOf(kind, seed, making));
    expect(made.filter((question) => question !== null).length).toBeGreaterThan(36);
    expect(SEEDS.map((seed) => questionOf(kind, seed, making))).toEqual(made);
    expect(new Set(made.map((question) => JSON.stringify(question))).size).toBeGreaterThan(30);
  });

  it.each(DRILL_KINDS)('$id: the right answer scores full, another doesn’t', (kind) => {
    fc.assert(
      fc.property(fc.integer({ min: 0 }), anyMaking, (seed, making) => {
        const question = questionOf(kind, seed, making);
        if (!question) return;
        const { right, wrong } = answersTo(question.form);
        expect(outcomeOf(question, right, making.wheel).isRight).toBe(
          question.isEstimate ? null : true,
        );
        expect(outcomeOf(question, wrong, making.wheel).isRight).toBe(
          question.isEstimate ? null : false,
        );
      }),
      { numRuns: 20 },
    );
  });

  it.each(DRILL_KINDS)('$id: shows nothing that the screen can’t', (kind) => {
    fc.assert(
      fc.property(fc.integer({ min: 0 }), anyMaking, (seed, making) => {
        const question = questionOf(kind, seed, making);
        if (!question) return;
        const { darkest, lightest } = making.screen;
        for (const colour of coloursOf(question)) expect(inGamut(colour)).toBe(true);
        // What is not shown but chosen may lie a little beyond; it isn't what the answer hangs on.
        for (const colour of shownColours(question.shown)) {
          expect(valueOfOklab(colour)).toBeGreaterThanOrEqual(darkest - 0.02);
          expect(valueOfOklab(colour)).toBeLessThanOrEqual(lightest + 0.02);
        }
      }),
      { numRuns: 20 },
    );
  });
});

/** The questions of a kind at a difficulty. */
const questions = (id: string, difficulty: number, wheel = WHEELS[0]): Question[] => {
  const kind = DRILL_KINDS.find((one) => one.id === id)!;
  return SEEDS.flatMap(
    (seed) => questionOf(kind, seed, { difficulty, wheel, screen: SCREEN, colours: [] }) ?? [],
  );
};
const wordOf = ({ form }: Question) => (form.by === 'word' ? form.words[form.right[0]] : '');
const mean = (numbers: readonly number[]) =>
  numbers.reduce((sum, one) => sum + one, 0) / numbers.length;

const PARTS = Array.from({ length: 200 }, (_, i) => 0.04 * 1.03 ** i);

/** What is left to the colour that is wanted, ΔE₀₀: before anything is added, and with the best amount of each tube. */
function mixedOn({ shown, form }: Question) {
  if (shown.as !== 'pile' || form.by !== 'word') throw new Error('a pile');
  const opticsOf = (id: string) => tubeOf(id, [pigmentOf(id)!]).optics;
  const paints = shown.parts.map(({ tube }) => opticsOf(tube));
  const weights = shown.parts.map(({ parts }) => parts);
  const wanted = labFromOklab(shown.wanted);
  expect(ciede2000(mixLab(paints, weights), labFromOklab(shown.colour))).toBeLessThan(0.01);
  const reached = form.words.map((id) =>
    Math.min(
      ...PARTS.map((parts) =>
        ciede2000(mixLab([...paints, opticsOf(id)], [...weights, parts]), wanted),
      ),
    ),
  );
  return {
    before: ciede2000(labFromOklab(shown.colour), wanted),
    reached,
    right: form.right[0],
  };
}

/** How far the nearest of the wrong colours is from the right one. */
function nearestWrong({ form }: Question): number {
  if (form.by !== 'colour') throw new Error('by colour');
  const right = labFromOklab(form.colours[form.right[0]]);
  const wrong = form.colours.filter((_, i) => !form.right.includes(i));
  return Math.min(...wrong.map((one) => ciede2000(right, labFromOklab(one))));
}

describe('what is right', () => {
  it('is what core reads of the colour', () => {
    for (const difficulty of [0, 0.5, 1]) {
      for (const question of questions('family', difficulty, WHEELS[1]))
        expect(wordOf(question)).toBe(familyOf(question.about, WHEELS[1]).name);
      for (const question of questions('intensity', difficulty))
        expect(wordOf(question)).toBe(intensityWord(chromaOf(question.about)));
      for (const question of questions('toward what a grey leans', difficulty))
        expect(wordOf(question)).toBe(familyOf(question.about).name);
      for (const { form, about } of questions('value', difficulty))
        expect(form).toMatchObject({ by: 'value', value: valueOfOklab(about) });
      for (const { shown, form } of questions('temperature', difficulty)) {
        const [one, other] = shownColours(shown).map(temperature);
        expect(form).toEqual({ by: 'place', right: [one > other ? 0 : 1] });
        const [dark, light] = shownColours(shown).map(valueOfOklab);
        expect(dark).toBeCloseTo(light, 1);
      }
      for (const { shown, form } of questions('order by value', difficulty)) {
        const values = shownColours(shown).map(valueOfOklab);
        const rising = form.by === 'order' ? form.order.map((place) => values[place]) : [];
        expect(rising).toEqual([...values].sort((one, other) => one - other));
      }
      for (const { shown, form } of questions('the odd one', difficulty)) {
        const colours = shownColours(shown);
        const at = form.by === 'place' ? form.right[0] : -1;
        const rest = colours.filter((_, i) => i !== at);
        expect(new Set(rest.map((one) => JSON.stringify(one))).size).toBe(1);
        const apart = ciede2000(labFromOklab(colours[at]), labFromOklab(rest[0]));
        expect(apart).toBeGreaterThanOrEqual(2.49);
      }
      for (const { about, form } of questions('same value, other hue', difficulty)) {
        if (form.by !== 'colour') throw new Error('by colour');
        const off = form.colours.map((one) => Math.abs(valueOfOklab(one) - valueOfOklab(about)));
        expect(off[form.right[0]]).toBeLessThan(0.05);
        off.splice(form.right[0], 1);
        expect(Math.min(...off)).toBeGreaterThanOrEqual(0.55);
      }
      for (const { shown, form } of questions('lightness against brightness', difficulty)) {
        const values = shownColours(shown).map(valueOfOklab);
        expect(form).toEqual({ by: 'place', right: [values[0] > values[1] ? 0 : 1] });
        expect(Math.abs(values[0] - values[1])).toBeGreaterThanOrEqual(0.55);
      }
    }
  });

  it('is what core reads of a made-up picture; of schemes, any that fits as well', () => {
    for (const difficulty of [0, 1]) {
      for (const question of questions('the key at a glance', difficulty)) {
        if (question.shown.as !== 'field') throw new Error('a field');
        expect(readKeyColour(partsOfAreas(question.shown.areas))?.family).toBe(wordOf(question));
      }
      for (const { shown, form } of questions('the scheme', difficulty)) {
        if (shown.as !== 'field' || form.by !== 'word') throw new Error('a field');
        const { fits } = readHarmony(partsOfAreas(shown.areas));
        const leading: string[] = leadingFits(fits).map((fit) => fit.scheme);
        expect(form.words.flatMap((word, i) => (leading.includes(word) ? [i] : []))).toEqual(
          form.right,
        );
      }
      for (const { shown, about, form } of questions('name the hidden colour', difficulty)) {
        if (form.by !== 'word') throw new Error('by word');
        expect(form.words[form.right[0]]).toBe(familyOf(about).name);
        const strongest = [...shownColours(shown)].sort(
          (one, other) => chromaOf(other) - chromaOf(one),
        );
        expect(strongest[0]).toEqual(about);
        expect(intensityWord(chromaOf(about))).toBe(INTENSITY_WORDS[0]);
      }
    }
  });

  it('of a shadow is darker and no stronger, of a reflection nearer the middle and duller', () => {
    for (const { about, form } of questions('the shadow of a light', 0.5)) {
      if (form.by !== 'colour') throw new Error('by colour');
      const isShadow = (one: Oklab) =>
        valueOfOklab(one) < valueOfOklab(about) &&
        chromaOf(one) <= chromaOf(about) * 1.15 &&
        Math.abs(((familyOf(one).index - familyOf(about).index + 18) % 12) - 6) <= 2;
      expect(form.colours.map(isShadow)).toEqual(form.colours.map((_, i) => i === form.right[0]));
    }
    for (const { about, form } of questions('the reflection', 0.5)) {
      if (form.by !== 'colour') throw new Error('by colour');
      const isMirrored = (one: Oklab) =>
        Math.abs(valueOfOklab(one) - 5) < Math.abs(valueOfOklab(about) - 5) - 0.2 &&
        chromaOf(one) < chromaOf(about);
      expect(form.colours.map(isMirrored)).toEqual(form.colours.map((_, i) => i === form.right[0]));
    }
  });

  it('is the tube that brings a pile where it should be, and no other comes near', () => {
    for (const difficulty of [0, 1])
      for (const question of questions('what the pile lacks', difficulty)) {
        const { before, reached, right } = mixedOn(question);
        expect(before).toBeGreaterThanOrEqual(difficulty === 0 ? 14 : 6);
        expect(reached[right]).toBeLessThan(1.5);
        const others = reached.filter((_, i) => i !== right);
        expect(Math.min(...others)).toBeGreaterThan(
          reached[right] + (difficulty === 0 ? 4.5 : 1.5),
        );
      }
    // With tubes of one's own it asks about these, and with too few about a usual set.
    const kind = DRILL_KINDS.find(({ id }) => id === 'what the pile lacks')!;
    const making = { difficulty: 0, wheel: WHEELS[0], screen: SCREEN, colours: [] };
    const tubes = ['PW6', 'PY42', 'PR101', 'PB29', 'PBk9', 'PBr7-raw-umber'].map((id) =>
      tubeOf(id, [pigmentOf(id)!]),
    );
    const own = SEEDS.flatMap((seed) => questionOf(kind, seed, { ...making, tubes }) ?? []);
    expect(own.length).toBeGreaterThan(5);
    for (const { form } of own)
      for (const id of form.by === 'word' ? form.words : [])
        expect(tubes.map((tube) => tube.id)).toContain(id);
    expect(questionOf(kind, 3, { ...making, tubes: tubes.slice(0, 2) })).toEqual(
      questionOf(kind, 3, making),
    );
  });

  it('isn’t scored where it is an estimate: what a grey reads as', () => {
    for (const question of questions('what a grey reads as', 0.5)) {
      expect(question.isEstimate).toBe(true);
      if (question.shown.as !== 'in a ground') throw new Error('in a ground');
      const ground = familyOf(question.shown.ground).index;
      const away = Math.abs(ground - familyOf(question.about).index);
      expect(away).toBe(0);
      expect(chromaOf(question.shown.colour)).toBeLessThan(0.002);
    }
  });
});

describe('difficulty', () => {
  it('rises: what tells the right answer from a wrong one grows less', () => {
    const levels = [0, 0.25, 0.5, 0.75, 1];
    const measures: Record<string, (question: Question) => number> = {
      family: ({ about }) => chromaOf(about),
      value: ({ form }) => (form.by === 'value' ? form.within : 0),
      temperature: ({ shown }) => {
        const [one, other] = shownColours(shown).map(temperature);
        return Math.abs(one - other);
      },
      'toward what a grey leans': ({ about }) => chromaOf(about),
      match: ({ form }) => (form.by === 'match' ? form.within.value : 0),
      'order by value': ({ shown }) => {
        const values = shownColours(shown)
          .map(valueOfOklab)
          .sort((one, other) => one - other);
        return values[1] - values[0];
      },
      'the odd one': ({ shown, form }) => {
        const colours = shownColours(shown);
        const at = form.by === 'place' ? form.right[0] : 0;
        return ciede2000(
          labFromOklab(colours[at]),
          labFromOklab(colours[(at + 1) % colours.length]),
        );
      },
      'lightness against brightness': ({ shown }) => {
        const [one, other] = shownColours(shown).map(valueOfOklab);
        return Math.abs(one - other);
      },
      'name the hidden colour': ({ about }) => chromaOf(about),
      intensity: ({ about }) =>
        Math.min(...INTENSITY_LIMITS.map((limit) => Math.abs(chromaOf(about) / limit - 1))),
      'same value, other hue': ({ about, form }) => {
        if (form.by !== 'colour') throw new Error('by colour');
        const off = form.colours.map((one) => Math.abs(valueOfOklab(one) - valueOfOklab(about)));
        return Math.min(...off.filter((_, i) => !form.right.includes(i)));
      },
      'what a grey reads as': ({ about }) => chromaOf(about),
      'the shadow of a light': nearestWrong,
      'the reflection': ({ about, form }) => {
        if (form.by !== 'colour') throw new Error('by colour');
        return (
          Math.max(...form.colours.map((one) => Math.abs(valueOfOklab(one) - 5))) -
          Math.abs(valueOfOklab(about) - 5)
        );
      },
      'the key at a glance': ({ shown, about }) =>
        shown.as === 'field'
          ? shown.areas.reduce(
              (sum, { colour, share }) =>
                sum + (familyOf(colour).index === familyOf(about).index ? share : 0),
              0,
            )
          : 0,
      'the scheme': ({ shown }) => mean(shownColours(shown).map(chromaOf)),
      'what the pile lacks': (question) => mixedOn(question).before,
    };
    expect(new Set(Object.keys(measures))).toEqual(new Set(DRILL_KINDS.map(({ id }) => id)));
    for (const [id, measure] of Object.entries(measures)) {
      const along = levels.map((difficulty) => mean(questions(id, difficulty).map(measure)));
      for (let i = 1; i < along.length; i++) expect(along[i]).toBeLessThan(along[i - 1]);
    }
  });
});

describe('scoring', () => {
  it('says how far off in a painter’s units', () => {
    const [question] = questions('value', 0.5);
    if (question.form.by !== 'value') throw new Error('by value');
    const answer: Answer = { by: 'value', value: question.form.value + 1.5 };
    expect(outcomeOf(question, answer, WHEELS[0])).toEqual({
      isRight: false,
      valueOff: expect.closeTo(1.5, 9) as number,
    });
    const [named] = questions('family', 0.5);
    if (named.form.by !== 'word') throw new Error('by word');
    const off = (named.form.right[0] + 10) % 12;
    expect(outcomeOf(named, { by: 'choice', choice: off }, WHEELS[0]).familyOff).toBe(2);
  });

  it('refuses an answer of another form', () => {
    const [value] = questions('value', 0.5);
    const [order] = questions('order by value', 0.5);
    expect(() => outcomeOf(value, { by: 'choice', choice: 0 }, WHEELS[0])).toThrow(RangeError);
    expect(() => outcomeOf(order, { by: 'order', order: [0, 0, 0] }, WHEELS[0])).toThrow(
      RangeError,
    );
  });
});
