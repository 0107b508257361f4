import { renderToStaticMarkup } from 'react-dom/server';
import {
  CAUTION_LINES,
  cautionsOf,
  MEDIUM_TECHNIQUES,
  STUDIO_CAUTIONS,
} from '@/core/mixing/cautions';
import { LAYERED_MEDIA } from '@/core/mixing/medium-recipe';
import { PIGMENTS } from '@/core/mixing/pigments/pigments';
import { CautionLines, TechniqueCautions } from './caution-lines';

const textOf = (html: string) => html.replace(/<[^>]*>/g, ' ').replaceAll('&#x27;', "'");

it.each(PIGMENTS.map(({ id }) => id))('%s: each line it asks for, and those of the work', (id) => {
  const pigment = PIGMENTS.find((one) => one.id === id)!;
  const own = cautionsOf([pigment]);
  const said = textOf(renderToStaticMarkup(<CautionLines pigments={[pigment]} studio />));
  for (const caution of [...own, ...STUDIO_CAUTIONS])
    expect(said).toContain(CAUTION_LINES[caution]);
  const bare = renderToStaticMarkup(<CautionLines pigments={[pigment]} />);
  expect(bare === '').toBe(own.length === 0);
});

it('every metal that has a line is in some pigment that is known', () => {
  const found = new Set(cautionsOf(PIGMENTS));
  for (const metal of ['cadmium', 'cobalt', 'nickel', 'chromium', 'manganese', 'lead', 'zinc'])
    expect(found).toContain(metal);
});

it.each(LAYERED_MEDIA)(
  '%s: each way of working that asks for care, and where the rest is said',
  (medium) => {
    const said = textOf(renderToStaticMarkup(<TechniqueCautions medium={medium} />));
    for (const caution of MEDIUM_TECHNIQUES[medium]) expect(said).toContain(CAUTION_LINES[caution]);
    if (MEDIUM_TECHNIQUES[medium].length > 0) expect(said).toContain('data sheet');
    else expect(said.trim()).toBe('');
  },
);

it('at a step only its own ways of working are said', () => {
  const said = textOf(
    renderToStaticMarkup(<TechniqueCautions medium="sticks" only={['alcohol wash']} />),
  );
  expect(said).toContain(CAUTION_LINES['alcohol wash']);
  expect(said).not.toContain(CAUTION_LINES.fixative);
});
