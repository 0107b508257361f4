import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { appFor, expect, test } from './app';
import {
  choose,
  deskIsSet,
  finding,
  onStage,
  openStudy,
  pixelAt,
  reload,
  setSlider,
  toStep,
  toTab,
} from './page-actions';

const app = appFor('demo', 'reads');
const MASSES = { name: 'Masses' };

test('a library’s colours go onto another picture, its values held', async ({ page }) => {
  await openStudy(page, app.url, 'Slate terrace, evening');
  await toStep(page, 'Use');
  await expect(finding(page)).toContainText(/Values hold: L\* is off by 0\.\d/);
  const [x, y] = await onStage(page, 0.5, 0.8);
  const before = await pixelAt(page, x, y);
  await page.getByLabel('Colours of').selectOption({ label: 'One lamp in the dark' });
  await expect(finding(page)).toContainText(/Values hold: L\* is off by 0\.\d/);
  await expect.poll(() => pixelAt(page, x, y)).not.toEqual(before);
  const list = page.getByRole('list', MASSES);
  const first = list.getByRole('listitem').first();
  const was = await first.innerText();

  // A mass takes another colour by hand; what is solved again leaves it.
  await first.getByRole('button').first().click();
  const free = first.getByRole('button', { name: / for it$/, pressed: false });
  const other = free.last();
  const name = (await other.getAttribute('aria-label'))!.replace(/ for it$/, '');
  await other.click();
  await expect(first).toContainText(`${name}, held`);
  await choose(page, 'Which way', 'warm and cool');
  await expect(first).toContainText(`${name}, held`);
  await first.getByRole('button', { name: 'Free it' }).click();
  await choose(page, 'Which way', 'by value');
  await expect.poll(() => first.innerText()).toContain(was.split('\n')[0]);

  // A touch in the picture opens the mass that lies there.
  await first.getByRole('button').first().click();
  await expect(list.getByRole('button', { expanded: true })).toHaveCount(0);
  await page.mouse.click(x, y);
  await expect(list.getByRole('button', { expanded: true })).toHaveCount(1);

  await choose(page, 'How', 'palette only');
  await expect(finding(page)).toContainText(
    /Nothing but these colours|this palette has no such value/,
  );
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save PNG' }).click(),
  ]);
  const png = await readFile(await file.path());
  expect((await sharp(png).metadata()).width).toBeGreaterThan(1000);

  await reload(page);
  await deskIsSet(page);
  await expect(page.getByLabel('Colours of')).toContainText('One lamp in the dark');
  await expect(finding(page)).toContainText(
    /Nothing but these colours|this palette has no such value/,
  );
});

test('the same scene in other moods, by sliders', async ({ page }) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await toStep(page, 'Use');
  await toTab(page, 'another mood');
  await expect(finding(page)).toContainText('Golden evening: ');
  const [x, y] = await onStage(page, 0.5, 0.3);
  const evening = await pixelAt(page, x, y);
  await choose(page, 'Mood', 'moonlight');
  await expect(finding(page)).toContainText(
    /Moonlight: the middle of its values goes down by 2\.\d steps/,
  );
  await expect
    .poll(async () => (await pixelAt(page, x, y)).reduce((sum, byte) => sum + byte, 0))
    .toBeLessThan(evening.reduce((sum, byte) => sum + byte, 0) - 60);
  await setSlider(page, 'Key', 30);
  await expect(finding(page)).not.toContainText(/goes down by 2\.\d steps/);
  await page.getByRole('button', { name: 'As the mood has it' }).click();
  await expect(finding(page)).toContainText(/goes down by 2\.\d steps/);
});

test('where nothing is to be put on it, it says so', async ({ page }) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await page.goto(`${page.url().split('?')[0]}?step=use&of=gone`);
  await deskIsSet(page);
  await expect(finding(page)).toContainText('The library is not in the Drawers any more.');
  await page.getByLabel('Colours of').selectOption({ label: 'this study' });
  await expect(finding(page)).toContainText('Values hold');
});
