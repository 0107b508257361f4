import sharp from 'sharp';
import { expect as all } from '@playwright/test';
import { appFor, expect, test } from './app';
import {
  choose,
  deskIsSet,
  downloaded,
  finding,
  isSaved,
  onStage,
  openStudy,
  pixelAt,
  reload,
  setSlider,
  toStep,
  toTab,
  tray,
  undo,
} from './page-actions';

const app = appFor('demo');
const TERRACE = 'Slate terrace, evening';

test('moods: side by side, by sliders, kept as variants, their light for derived colours', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await toStep(page, 'Use');
  await toTab(page, 'another mood');
  await expect(finding(page)).toContainText('Golden evening: ');
  await choose(page, 'Looked at', 'all moods');
  const sides = page.getByTestId('side-by-side');
  await expect(sides.locator('[data-drawn="true"]')).toHaveCount(8);
  await expect(
    sides.getByTestId('mood-facts').filter({ hasText: 'The middle of its values goes down by 2.' }),
  ).not.toHaveCount(0);
  await sides.getByRole('button', { name: 'moonlight' }).click();
  await expect(finding(page)).toContainText(
    /Moonlight: the middle of its values goes down by 2\.\d steps/,
  );
  await setSlider(page, 'Key', 30);
  await expect(finding(page)).not.toContainText(/goes down by 2\.\d steps/);
  await page.getByRole('button', { name: 'As the mood has it' }).click();
  await expect(finding(page)).toContainText(/goes down by 2\.\d steps/);

  await page.getByRole('button', { name: 'Keep it …' }).click();
  await page.getByRole('dialog').getByLabel('Name').fill('By the moon');
  await page.getByRole('dialog').getByRole('button', { name: 'Keep', exact: true }).click();
  const swatches = await tray(page).count();
  await page.getByRole('button', { name: 'Into the tray' }).click();
  await expect.poll(() => tray(page).count()).toBeGreaterThan(swatches);
  await undo(page).click();
  await expect(tray(page)).toHaveCount(swatches);
  await choose(page, 'Mood', 'lamp');
  await isSaved(page);
  await reload(page);
  await deskIsSet(page);

  await toTab(page, 'kept');
  const kept = page.getByRole('list', { name: 'Kept tries' });
  await expect(kept).toContainText('By the moon');
  await kept.getByRole('button', { name: 'Try By the moon again' }).click();
  await expect(finding(page)).toContainText('Moonlight: ');
  await toTab(page, 'kept');
  await kept.getByRole('button', { name: 'More for By the moon' }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(kept).not.toContainText('By the moon');
  await undo(page).click();
  await expect(kept).toContainText('By the moon');

  await toStep(page, 'Palette');
  await tray(page).first().click();
  await toTab(page, 'build');
  await choose(page, 'What is built', 'derived');
  await page.getByLabel('By the light of').selectOption({ label: 'By the moon' });
  await expect(page.getByRole('slider', { name: 'Warm light' })).toHaveAttribute(
    'aria-valuenow',
    /^-0\.\d/,
  );
});

test('what if one mass were other: in place, in a sentence, and back', async ({ page }) => {
  await openStudy(page, app.url, TERRACE);
  await toStep(page, 'Use');
  await toTab(page, 'what if');
  await expect(finding(page)).toContainText('Touch a mass in the picture');
  await page.getByRole('button', { name: 'Put it back' }).click();
  const [x, y] = await onStage(page, 0.64, 0.18);
  const before = await pixelAt(page, x, y);
  await page.mouse.click(x, y);
  await expect(finding(page)).toContainText('as it is.');
  for (let i = 0; i < 4; i++)
    await page.getByRole('button', { name: 'Darker', exact: true }).click();
  await expect(finding(page)).toContainText(/It parts (more|less) from what is around it/);
  await page.mouse.move(5, 300);
  const brightness = (bytes: number[]) => bytes.reduce((sum, byte) => sum + byte, 0);
  await expect
    .poll(async () => brightness(await pixelAt(page, x, y)))
    .toBeLessThan(brightness(before) - 40);
  await page.getByRole('button', { name: 'Further', exact: true }).click();
  await page.getByRole('button', { name: 'Further', exact: true }).click();
  await page.getByRole('button', { name: 'Further', exact: true }).click();
  await expect(finding(page)).toContainText('steps back');
  await expect(page.getByRole('list', { name: 'Changed masses' })).toContainText(
    'darker by 4, further by 3',
  );
  const png = await downloaded(page, 'Picture as PNG');
  expect((await sharp(png.bytes).metadata()).width).toBeGreaterThan(1000);
  await choose(page, 'Looked at', 'before and after');
  await expect(page.getByTestId('two-pictures')).toHaveAttribute('data-drawn', 'true');
  await choose(page, 'Looked at', 'on the picture');
  await page.getByRole('button', { name: 'As it was' }).click();
  await expect(finding(page)).toContainText('as it is.');
  await page.mouse.move(5, 300);
  await expect.poll(() => pixelAt(page, x, y)).toEqual(before);
});

test('one key: the picture and its table for other programs', async ({ page }) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await toStep(page, 'Use');
  await toTab(page, 'one key');
  await expect(finding(page)).toContainText('off this harmony on the mean');
  await page.getByRole('button', { name: 'As the picture' }).click();
  await setSlider(page, 'How far', 50);
  await expect(page.getByRole('slider', { name: 'How far' })).toHaveAttribute('aria-valuenow', '1');
  await page.getByRole('checkbox', { name: 'Skin stays' }).click();
  await expect(finding(page)).not.toHaveAttribute('aria-busy', 'true');
  const png = await downloaded(page, 'Picture as PNG');
  const { data, info } = await sharp(png.bytes)
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  expect(info.width).toBeGreaterThan(1000);
  const cube = (await downloaded(page, /\.cube/)).bytes.toString();
  expect(cube).toContain('LUT_3D_SIZE 33');
  const points = cube.split('\n').filter((line) => /^\d/.test(line));
  expect(points).toHaveLength(33 ** 3);
  // Where a pixel of the original stands at a point of the table, the picture has what the table says.
  const id = /desk\/([^?]+)/.exec(page.url())![1];
  const study = (await (await page.request.get(`${app.url}/api/studies/${id}`)).json()) as {
    picture: { id: string };
  };
  const original = await page.request.get(`${app.url}/api/pictures/${study.picture.id}/original`);
  const source = await sharp(await original.body())
    .removeAlpha()
    .raw()
    .toBuffer();
  let checked = 0;
  const near = (byte: number) => Math.abs((byte * 32) / 255 - Math.round((byte * 32) / 255)) < 0.07;
  for (let at = 0; at < source.length && checked < 200; at += 3) {
    const rgb = [...source.subarray(at, at + 3)];
    if (!rgb.every(near)) continue;
    const [r, g, b] = rgb.map((byte) => Math.round((byte * 32) / 255));
    const point = points[(b * 33 + g) * 33 + r].split(' ').map((one) => Number(one) * 255);
    point.forEach((level, k) => all(Math.abs(level - data[at + k])).toBeLessThan(4));
    checked++;
  }
  expect(checked).toBeGreaterThan(20);
});
