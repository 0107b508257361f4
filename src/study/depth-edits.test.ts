import { MAX_DEPTH_MARKS, newDocument, studyDocumentSchema } from '@/contracts/study';
import { addDepthMark, withoutDepthMarks } from './depth-edits';

const document = newDocument('Study');
const mark = (id: string) => ({ id, x: 0.2, y: 0.3, is: 'near' as const });

describe('marks of depth', () => {
  it('are laid over those before, and all taken off at once', () => {
    const marked = addDepthMark(addDepthMark(document, mark('one')), { ...mark('two'), is: 'sky' });
    expect(marked.depth.marks.map(({ is }) => is)).toEqual(['near', 'sky']);
    expect(studyDocumentSchema.parse(marked)).toEqual(marked);
    expect(withoutDepthMarks(marked)).toEqual(document);
    // Nothing to take off is no change, and no step to undo.
    expect(withoutDepthMarks(document)).toBe(document);
  });

  it('are refused with a way out when there are too many', () => {
    const full = {
      ...document,
      depth: { marks: Array.from({ length: MAX_DEPTH_MARKS }, (_, i) => mark(String(i))) },
    };
    expect(() => addDepthMark(full, mark('more'))).toThrow(/keeps 200 marks.*Undo/);
    expect(full.depth.marks).toHaveLength(MAX_DEPTH_MARKS);
  });
});
