import { renderToStaticMarkup } from 'react-dom/server';
import { CAUTION_LINES, cautionsOf, STICK_CAUTIONS, STUDIO_CAUTIONS } from '@/core/mixing/cautions';
import { PIGMENTS } from '@/core/mixing/pigments/pigments';
import { CautionLines, StickCautions } from './caution-lines';

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

it('sticks say that their dust is harmful, and where the rest is said', () => {
  const said = textOf(renderToStaticMarkup(<StickCautions />));
  for (const caution of STICK_CAUTIONS) expect(said).toContain(CAUTION_LINES[caution]);
  expect(said).toContain('data sheet');
});
