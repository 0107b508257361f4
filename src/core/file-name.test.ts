import fc from 'fast-check';
import { fileNameFrom } from './file-name';

describe('file names', () => {
  it('are whole where nothing stands against it', () => {
    expect(fileNameFrom('Wet dusk', '.gpl', 'library')).toBe('Wet dusk.gpl');
    expect(fileNameFrom('雨 3.5', '.prism.json', 'library')).toBe('雨 3.5.prism.json');
  });

  it.each([
    ['../etc/passwd', 'etc passwd.json'],
    ['CON', '_CON.json'],
    ['aux.backup', '_aux.backup.json'],
    ['Lpt1 ', '_Lpt1.json'],
    ['console', 'console.json'],
    ['a\u0000b\nc', 'a b c.json'],
    ['. .', 'library.json'],
    ['end...', 'end.json'],
  ])('are safe in place of %s', (stem, name) => {
    expect(fileNameFrom(stem, '.json', 'library')).toBe(name);
  });

  it('take at most 200 bytes, and end between two signs', () => {
    expect(fileNameFrom('😀'.repeat(100), '.css', 'x')).toBe(`${'😀'.repeat(49)}.css`);
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 400 }), (stem) => {
        const name = fileNameFrom(stem, '.css', 'x');
        expect(Buffer.byteLength(name)).toBeLessThanOrEqual(201);
        expect(name).not.toMatch(/[\\/:*?"<>|\u0000-\u001f]|^[. ]|\p{Surrogate}/u);
      }),
    );
  });
});
