import { newDocument, studyDocumentSchema, type StudyDocument } from '@/contracts/study';
import { mergeOf } from './merge';

const merge = mergeOf(studyDocumentSchema);
const plain = newDocument('Fog');
const stroke = (id: string) => ({
  id,
  tool: 'brush' as const,
  radius: 0.02,
  points: [{ x: 0.5, y: 0.5 }],
});
const withParts = (...ids: string[]): StudyDocument => ({
  ...plain,
  hidden: { ...plain.hidden, parts: ids.map(stroke) },
});

describe('two windows of one study', () => {
  it('that each leave a part alone under Hidden keep both parts', () => {
    const { value, conflicts } = merge(withParts('a'), withParts('a', 'm'), withParts('a', 't'));
    expect(value.hidden.parts.map(({ id }) => id)).toEqual(['a', 't', 'm']);
    expect(conflicts).toEqual([]);
  });

  it('never end with one’s turn and the other’s crop', () => {
    const framed = (framing: StudyDocument['framing']) => ({ ...plain, framing });
    const turned = framed({ angle: 3, crop: null });
    const cropped = framed({ angle: 0, crop: { x: 0.1, y: 0.1, width: 0.5, height: 0.5 } });
    const { value, conflicts } = merge(plain, turned, cropped);
    expect(value.framing).toEqual(turned.framing);
    expect(conflicts.map(({ path }) => path)).toEqual([['framing']]);
  });

  it('keep what a merged swatch was made of whole', () => {
    const part = (name: string) => ({ at: 0, swatch: { name } });
    const swatch = (name: string, parts: unknown[]) => ({ id: 's', name, parts });
    const tray = (...swatches: unknown[]) =>
      ({ ...plain, palette: { ...plain.palette, swatches } }) as StudyDocument;
    const { value } = merge(
      tray(swatch('was', [])),
      tray(swatch('was', [part('mine')])),
      tray(swatch('theirs', [])),
    );
    expect(value.palette.swatches[0]).toMatchObject(swatch('theirs', [part('mine')]));
  });
});
