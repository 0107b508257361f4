import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { strokeSheet } from '../demo/painter/stroke-sheet';
import { atValue } from '../src/core/colour/at-value';
import { appFor, expect, test } from './app';
import { choose, deskIsSet, dropPicture, finding, isReady, isSaved, toStep } from './page-actions';

// The sheet is put right with a finger.
test.use({ hasTouch: true });
const app = appFor('empty');
const COUNT = 60;
const WIDTH = 1200;
const HEIGHT = 900;

const sheet = () =>
  strokeSheet({
    seed: 5,
    columns: 10,
    colours: Array.from({ length: COUNT }, (_, i) =>
      atValue(2 + Math.floor(i / 10) * 1.2, (i % 10) * 36, () => 0.03 + 0.02 * (i % 4)),
    ),
    width: WIDTH,
    height: HEIGHT,
    tilt: 0.6,
    shadow: 0.4,
    grain: 3,
    light: [1, 0.95, 0.85],
  });

test('a photographed sheet of strokes is read, put right by a touch, and laid out', async ({
  page,
}) => {
  const { picture, places } = sheet();
  const jpeg = await sharp(Buffer.from(picture.data), {
    raw: { width: WIDTH, height: HEIGHT, channels: 4 },
  })
    .jpeg({ quality: 90 })
    .toBuffer();
  await page.goto(`${app.url}/bench?tab=sticks`);
  await isReady(page);

  // What is no picture is told, and nothing is there.
  await page
    .getByLabel('Photograph of a sheet')
    .setInputFiles({ name: 'a.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') });
  await expect(page.getByText(/This file is no picture that the browser can open/)).toBeVisible();

  await page
    .getByLabel('Photograph of a sheet')
    .setInputFiles({ name: 'sheet.jpg', mimeType: 'image/jpeg', buffer: jpeg });
  const strokes = page.getByTestId('stroke');
  await expect(strokes).toHaveCount(COUNT);
  await expect(page.getByTestId('sheet-finding')).toContainText('60 strokes, numbered in reading');
  const canvas = page.getByRole('img', { name: /^The sheet: / });
  const box = (await canvas.boundingBox())!;
  const touch = ({ x, y }: { x: number; y: number }) =>
    canvas.tap({ position: { x: x * box.width, y: y * box.height } });
  // A touch on a number takes it away, and where none is one is added, in its place in the order.
  await touch(places[12]);
  await expect(strokes).toHaveCount(COUNT - 1);
  await touch(places[12]);
  await expect(strokes).toHaveCount(COUNT);
  await touch(places[0]);
  await page.getByRole('button', { name: 'Back one touch' }).click();
  await expect(strokes).toHaveCount(COUNT);

  await page.getByLabel('Name of the set').fill('Window sheet');
  await page.getByLabel('First number').fill('101');
  await expect(strokes.first()).toHaveText('101');
  await page.getByRole('button', { name: 'Add 60 sticks' }).click();
  await expect(finding(page)).toHaveText('60 sticks to hand.');
  await expect(strokes).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(finding(page)).toContainText('No sticks yet');
  await page.getByRole('button', { name: 'Redo', exact: true }).first().click();
  await expect(finding(page)).toHaveText('60 sticks to hand.');
  await page.getByLabel('Find sticks').fill('113');
  await expect(page.getByRole('list', { name: 'Sticks' }).getByRole('listitem')).toHaveCount(1);
  await isSaved(page);

  await page.goto(app.url);
  await dropPicture(page, 'ticket-hall.webp');
  await deskIsSet(page);
  await toStep(page, 'Mix');
  await choose(page, 'Medium', 'sticks');
  await expect(finding(page)).toContainText('near what 60 sticks can lay');
  const stages = page.getByRole('region', { name: /^(underpainting|body|lights|neutrals)$/ });
  await expect(stages.first().getByRole('checkbox').first()).toBeVisible();
  await expect(page.getByText(/^Dust of sticks: /)).toBeVisible();
  const [pdf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Lay-out as PDF' }).click(),
  ]);
  expect(pdf.suggestedFilename()).toContain('sticks to lay out');
  expect((await readFile(await pdf.path())).subarray(0, 4).toString()).toBe('%PDF');
});
