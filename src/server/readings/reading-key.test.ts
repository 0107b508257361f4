import { newDocument, type StudyDocument } from '@/contracts/study';
import { readingKey } from './reading-key';

const document = newDocument('Study');
const withValues = (part: Partial<StudyDocument['values']>) =>
  readingKey({ ...document, values: { ...document.values, ...part } });

const LASSO: StudyDocument['lightAndShadow']['corrections'][number] = {
  id: 'a',
  side: 'light',
  tool: 'lasso',
  radius: 0,
  points: [{ x: 0, y: 0 }],
};

describe('the key of a stored reading', () => {
  it('changes with all that the reading is made of', () => {
    const keys = [
      readingKey(document),
      withValues({ zones: 5 }),
      withValues({ breaks: 'even' }),
      withValues({ squint: 0.02 }),
      withValues({ breaks: 'hand', thresholds: [2, 5, 8] }),
      withValues({ breaks: 'hand', thresholds: [2, 5, 7] }),
      readingKey({ ...document, framing: { angle: 2, crop: null } }),
      readingKey({ ...document, lightAndShadow: { corrections: [LASSO] } }),
    ];
    expect(new Set(keys).size).toBe(keys.length);
  });

  it('does not change with what it is not made of', () => {
    expect(readingKey({ ...document, title: 'Another' })).toBe(readingKey(document));
    expect(withValues({ thresholds: [3] })).toBe(readingKey(document));
  });
});
