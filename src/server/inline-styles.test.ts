import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { NOTICES_STYLE } from './inline-styles';

it('lets in the style that the package of notices writes, as it is installed', async () => {
  const source = await readFile('node_modules/sonner/dist/index.mjs', 'utf8');
  const [, literal] = /^__insertCSS\((".*")\);?$/m.exec(source) ?? [];
  const css = JSON.parse(literal) as string;
  expect(css).toContain('[data-sonner-toaster]');
  const hashOf = (text: string) => `sha256-${createHash('sha256').update(text).digest('base64')}`;
  expect(NOTICES_STYLE).toEqual(['', css].map(hashOf));
});
