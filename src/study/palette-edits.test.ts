import { PAPER_WHITE, TRUE_WHITE } from '@/core/palette/ends';
import fc from 'fast-check';
import { anySrgb } from '@/core/testing';
import { MAX_TRAY, studyDocumentSchema } from '@/contracts/study';
import {
  addSwatches,
  editSwatches,
  mergeSwatches,
  ordered,
  removeSwatches,
  replaceByComponents,
  takeApart,
  toggleEnd,
  withRoles,
} from './palette-edits';
import { ids, of, swatch, withTray } from './testing/trays';

let made = 0;
const newId = () => `new-${++made}`;

describe('merging', () => {
  const tray = withTray(
    swatch('ink', '#202840', { share: 0.5 }),
    swatch('leaf', '#4a7a4a', { share: 0.3, note: 'far bank', role: 'main' }),
    swatch('moss', '#507e4c', { share: 0.1, note: 'near bank', locked: true }),
    swatch('cream', '#f0e6c8', { share: 0.1 }),
  );

  it('takes the mean by share, adds the shares and keeps the notes', () => {
    const merged = mergeSwatches(tray, new Set(['leaf', 'moss']), newId);
    expect(merged.palette.swatches).toHaveLength(3);
    const one = merged.palette.swatches[1];
    expect(one).toMatchObject({
      name: 'leaf',
      note: 'far bank\nnear bank',
      locked: true,
      role: 'main',
      origin: 'merged',
    });
    expect(one.share).toBeCloseTo(0.4, 12);
    expect(one.colour.L).toBeCloseTo((of('#4a7a4a').L * 3 + of('#507e4c').L) / 4, 12);
    expect(studyDocumentSchema.parse(merged)).toEqual(merged);
  });

  it('is taken apart without a loss, however often it was merged', () => {
    fc.assert(
      fc.property(
        fc.array(anySrgb, { minLength: 3, maxLength: 12 }),
        fc.array(fc.nat(), { minLength: 2, maxLength: 5 }),
        fc.array(fc.nat(), { minLength: 1, maxLength: 3 }),
        (colours, first, second) => {
          const start = withTray(
            ...colours.map((colour, i) => ({
              ...swatch(`s${i}`, '#000000'),
              colour,
              share: i / 10,
            })),
          );
          const among = (document: typeof start, picks: number[]) =>
            new Set(picks.map((pick) => ids(document)[pick % ids(document).length]));
          const once = mergeSwatches(start, among(start, first), newId);
          const oneId = ids(once).find((id) => !ids(start).includes(id));
          if (!oneId) return expect(once).toBe(start);
          const twice = mergeSwatches(once, new Set([oneId, ...among(once, second)]), newId);
          const twoId = ids(twice).find((id) => !ids(once).includes(id));
          const back = twoId ? takeApart(twice, twoId) : twice;
          expect(back).toEqual(once);
          expect(takeApart(back, oneId)).toEqual(start);
        },
      ),
    );
  });

  it('of fewer than two is nothing done, and what was not merged is not taken apart', () => {
    expect(mergeSwatches(tray, new Set(['ink', 'gone']), newId)).toBe(tray);
    expect(takeApart(tray, 'ink')).toBe(tray);
  });
});

describe('the tray', () => {
  const tray = withTray(
    swatch('sky', '#8fb0d8', { share: 0.2 }),
    swatch('earth', '#6a4a30', { share: 0.5 }),
    swatch('grey', '#808080', { share: 0.3 }),
  );

  it('is put in order by value, family or share', () => {
    expect(ids(ordered(tray, 'value'))).toEqual(['earth', 'grey', 'sky']);
    expect(ids(ordered(tray, 'share'))).toEqual(['earth', 'grey', 'sky']);
    expect(ids(ordered(tray, 'family'))).toEqual(['grey', 'earth', 'sky']);
  });

  it('edits several alike, and gives roles in order', () => {
    const locked = editSwatches(tray, new Set(['sky', 'grey']), { locked: true, role: 'ground' });
    expect(locked.palette.swatches.map((one) => [one.locked, one.role])).toEqual([
      [true, 'ground'],
      [false, null],
      [true, 'ground'],
    ]);
    const roles = withRoles(tray, ['accent', 'main', null]).palette.swatches;
    expect(roles.map(({ role }) => role)).toEqual(['accent', 'main', null]);
  });

  it('puts an area’s colours in place of their average', () => {
    const brown = swatch('brown', '#6a4a30', {
      origin: 'picked',
      spread: 9,
      components: [
        { colour: of('#5a5a30'), share: 0.5 },
        { colour: of('#8a5a28'), share: 0.3 },
        { colour: of('#7a3020'), share: 0.2 },
      ],
    });
    const after = replaceByComponents(withTray(brown, swatch('sky', '#8fb0d8')), 'brown', newId);
    expect(after.palette.swatches).toHaveLength(4);
    expect(ids(after)).not.toContain('brown');
    expect(after.palette.swatches.filter(({ origin }) => origin === 'picked')).toHaveLength(3);
    expect(new Set(after.palette.swatches.map(({ name }) => name)).size).toBe(4);
    expect(replaceByComponents(tray, 'sky', newId)).toBe(tray);
  });

  it('gets ends, each by its own name and once, which a second touch takes away', () => {
    const ends = toggleEnd(
      toggleEnd(tray, 'paper white', PAPER_WHITE),
      'darkest dark',
      of('#101418'),
    );
    const { swatches } = ends.palette;
    expect(swatches[0]).toMatchObject({ name: 'darkest dark', role: 'dark', origin: 'end' });
    expect(swatches.at(-1)).toMatchObject({ name: 'paper white', role: 'light', origin: 'end' });
    expect(studyDocumentSchema.parse(ends)).toEqual(ends);
    const back = toggleEnd(toggleEnd(ends, 'paper white', PAPER_WHITE), 'darkest dark', of('#000'));
    expect(back.palette.swatches).toEqual(tray.palette.swatches);
    const taken = withTray({ ...swatch('x', '#ffffff'), name: 'true white' });
    expect(
      toggleEnd(taken, 'true white', TRUE_WHITE).palette.swatches.map(({ name }) => name),
    ).toEqual(expect.arrayContaining(['true white', 'true white 2']));
  });

  it('takes several at once or none, and says when there is no room', () => {
    const { name: _, ...more } = swatch('a', '#123456');
    const several = Array.from({ length: 3 }, (_, i) => ({ ...more, id: `more-${i}` }));
    expect(addSwatches(tray, several).palette.swatches).toHaveLength(6);
    const full = withTray(
      ...Array.from({ length: MAX_TRAY - 1 }, (_, i) => swatch(`s${i}`, '#123456')),
    );
    expect(() => addSwatches(full, several)).toThrow(/no room for 3 more/);
  });

  it('lets go of what followed a swatch that is taken out', () => {
    const follows = {
      kind: 'rule' as const,
      from: 'sky',
      rule: 'shadow' as const,
      amount: 0.5,
      warmth: 0,
      wheel: 'painters' as const,
    };
    const linked = withTray(swatch('sky', '#8fb0d8'), swatch('its shadow', '#50607a', { follows }));
    expect(removeSwatches(linked, new Set(['sky'])).palette.swatches).toEqual([
      swatch('its shadow', '#50607a'),
    ]);
  });
});
