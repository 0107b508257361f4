import { renderToStaticMarkup } from 'react-dom/server';
import { newDocument } from '@/contracts/study';
import { createDeskStore, DeskContext } from './desk-store';
import { OrderOfWork } from './order-of-work';
import { shortcutFor, shortcutsOf } from './shortcuts';
import { goFor, StepsContext } from './step';
import { STEPS } from './steps';
import { extraStep } from './testing/extra-step/extra-step';
import { veilPartOf } from './use-veil';
import { readAddress, writeAddress } from './view';

/** The Desk's list with the one line that a new step takes. */
const MORE = [...STEPS, extraStep];
const DOCUMENT = newDocument('Dusk');
const press = (key: string) =>
  ({ key, ctrlKey: false, metaKey: false, altKey: false }) as KeyboardEvent;
const ACT = { extract: () => undefined, radius: () => undefined, help: () => undefined };
const openAt = (query: string) =>
  createDeskStore(DOCUMENT, readAddress(MORE, new URLSearchParams(query)));

describe('a step that was added with a folder and a line', () => {
  it('stands in the order of work with its title and state, and shows its panel', () => {
    const store = openAt('step=extra&mood=storm');
    const { Panel } = extraStep;
    const html = renderToStaticMarkup(
      <StepsContext.Provider value={MORE}>
        <DeskContext.Provider value={store}>
          <OrderOfWork />
          <Panel />
        </DeskContext.Provider>
      </StepsContext.Provider>,
    );
    expect(html).toContain('>Extra<');
    expect(html).toContain('of Dusk');
    expect(html).toContain('The mood is storm.');
    expect(html.match(/aria-current="step"/g)).toHaveLength(1);
  });

  it('keeps its part of the address', () => {
    const { view, views } = openAt('step=extra&mood=storm').getState();
    expect(writeAddress(MORE, view, views)).toBe('step=extra&mood=storm');
    // Another step's address does not speak of it.
    expect(writeAddress(MORE, { ...view, step: 'values' }, views)).toBe('step=values');
  });

  it('is gone to by its letter, and its own keys work from everywhere', () => {
    const store = openAt('');
    shortcutFor(MORE, 'look', press('y'))?.run(store.getState(), ACT);
    expect(store.getState().view.step).toBe('extra');
    store.getState().goTo('values');
    shortcutFor(MORE, 'values', press('j'))?.run(store.getState(), ACT);
    const { view, views } = store.getState();
    expect(writeAddress(MORE, view, views)).toBe('step=extra&mood=storm');
    expect(shortcutsOf(MORE).map(({ keys }) => keys)).toEqual(expect.arrayContaining(['Y', 'J']));
  });

  it('says what a veil leaves clear for its own kind of part', () => {
    const context = { document: DOCUMENT, wheel: 'painters' as const, scaleStep: 1 };
    expect(veilPartOf(MORE, { kind: 'corner', side: 'left' }, context)).toEqual({
      kind: 'hue',
      from: 0,
      to: 200,
    });
    expect(veilPartOf(STEPS, { kind: 'corner', side: 'left' }, context)).toBeNull();
  });

  it('lays its marks over the picture', () => {
    expect(extraStep.useOverlay?.().marks).toHaveLength(1);
  });
});

describe('the steps of the Desk', () => {
  it('each have a letter, an id and keys of their own', () => {
    const ids = STEPS.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    const keys = shortcutsOf(STEPS).map(({ keys: one }) => one);
    expect(new Set(keys).size).toBe(keys.length);
  });

  it('give the same key another meaning only where they say so', () => {
    const store = openAt('step=hidden');
    shortcutFor(STEPS, 'hidden', press('b'))?.run(store.getState(), ACT);
    expect(store.getState()).toMatchObject({ tool: 'brush', view: { step: 'hidden' } });
    store.getState().goTo('colours');
    shortcutFor(STEPS, 'colours', press('b'))?.run(store.getState(), ACT);
    expect(store.getState()).toMatchObject({ tool: 'brush', view: { step: 'values' } });
    // A second time puts it down.
    shortcutFor(STEPS, 'values', press('b'))?.run(store.getState(), ACT);
    expect(store.getState()).toMatchObject({ tool: 'look', view: { step: 'values' } });
  });

  it('serve what others want a step for, without being known by them', () => {
    const store = openAt('');
    goFor(STEPS, 'look at a swatch', store.getState());
    expect(store.getState().view.step).toBe('palette');
    goFor(STEPS, 'strengthen', store.getState());
    const { view, views } = store.getState();
    expect(writeAddress(STEPS, view, views)).toBe('step=hidden&tab=strengthen');
    // The open step goes before others: in Mix a swatch is looked at for its recipe.
    store.getState().goTo('mix');
    goFor(STEPS, 'look at a swatch', store.getState());
    expect(store.getState().view.step).toBe('mix');
  });

  it('point at parts of the picture as the document has them now', () => {
    const context = { document: DOCUMENT, wheel: 'screen' as const, scaleStep: 1 };
    expect(veilPartOf(STEPS, { kind: 'zone', index: 1 }, context)).toEqual({
      kind: 'zone',
      index: 1,
      settings: DOCUMENT.values,
    });
    expect(veilPartOf(STEPS, { kind: 'family', index: 3 }, context)).toMatchObject({
      wheel: 'screen',
    });
    expect(veilPartOf(STEPS, { kind: 'swatch', id: 'gone' }, context)).toBeNull();
    expect(veilPartOf(STEPS, { kind: 'place', x: 0, y: 0, radius: 1 }, context)).toBeNull();
  });
});
