import { columnsOf, keysOf, TABLES } from './tables';

describe('the tables that are kept', () => {
  it('are all there are but the bytes of pictures, parents before their children', () => {
    expect([...TABLES].sort()).toEqual([
      'attempt',
      'courses',
      'courses_revision',
      'drill_answer',
      'folder',
      'library',
      'library_revision',
      'pattern',
      'pattern_drawing',
      'pattern_revision',
      'picture',
      'reading',
      'saved_search',
      'session',
      'session_revision',
      'session_snapshot',
      'setting',
      'shelf',
      'shelf_revision',
      'study',
      'study_revision',
      'swatch',
      'tag',
      'wheel_reading',
    ]);
    const place = (table: string) => TABLES.indexOf(table);
    for (const [parent, child] of [
      ['picture', 'study'],
      ['study', 'study_revision'],
      ['study', 'library'],
      ['folder', 'library'],
      ['library', 'swatch'],
      ['reading', 'wheel_reading'],
    ])
      expect(place(parent)).toBeLessThan(place(child));
  });

  it('have the keys and columns that the schema says', () => {
    expect(keysOf('study')).toEqual(['id']);
    expect(keysOf('swatch')).toEqual(['library_id', 'id']);
    expect(columnsOf('study_revision')).toEqual([
      'study_id',
      'revision',
      'document',
      'began_at',
      'saved_at',
    ]);
    expect(() => keysOf('nothing')).toThrow();
  });
});
