import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, type Page } from '@playwright/test';
import { atFind, enterAs, fitsAcross, hasNoBarriers, test } from './shop';

const folder = mkdtempSync(join(tmpdir(), 'instruments-'));

const workItOut = (page: Page) => page.getByRole('button', { name: 'Work it out' }).click();

test('a bed mesh pasted from a spreadsheet says which way to turn each screw', async ({ page }) => {
  await enterAs(page, 'Bo Lindqvist');
  await page.keyboard.press('i');
  await expect(page.getByRole('heading', { name: 'Instruments' })).toBeVisible();
  await page.getByRole('link', { name: 'Bed plane' }).click();
  // tabs and decimal commas, with a heading
  await page
    .getByRole('textbox', { name: /^Points/ })
    .fill('x\ty\tz\n30\t30\t0,12\n205\t30\t0,31\n30\t205\t-0,05\n205\t205\t0,14');
  await workItOut(page);
  await expect(page.getByText(/^✕ Out\./)).toBeVisible();
  await expect(page.getByRole('row', { name: /back left ↑ .* counter-clockwise/ })).toBeVisible();
  await expect(page.getByRole('img', { name: 'Heights of the bed from above' })).toBeVisible();
  await page.getByText('How this is worked out').click();
  await expect(page.getByText(/Least squares/)).toBeVisible();
  await hasNoBarriers(page, 'bed plane');
  await fitsAcross(page);
  // commas
  await page.getByRole('textbox', { name: /^Points/ }).fill('30,30,0\n205,30,0\n30,205,0');
  await workItOut(page);
  await expect(page.getByText(/^● Well\./)).toBeVisible();
  await page.getByRole('textbox', { name: /^Points/ }).fill('30 30\n1 2');
  await workItOut(page);
  await expect(page.getByText(/row 1: 2 values stand there, 3 are wanted/).first()).toBeVisible();
});

test('a thermal log and a G-code file are dropped on the screen', async ({ page }) => {
  await enterAs(page, 'Bo Lindqvist');
  await page.goto('/instruments/thermal-log');
  let csv = 'time_s,actual_c,target_c\n';
  for (let t = 0; t <= 200; t++) csv += `${t},${t < 90 ? 20 + 2 * t : 200 + (t % 3) / 10},200\n`;
  const drop = async (name: string, text: string): Promise<void> => {
    const files = await page.evaluateHandle(
      ([file, content]) => {
        const transfer = new DataTransfer();
        transfer.items.add(new File([content ?? ''], file ?? ''));
        return transfer;
      },
      [name, text],
    );
    await page.getByRole('group', { name: /^(Log|G-code)/ }).dispatchEvent('drop', { dataTransfer: files });
  };
  await drop('heat.csv', csv);
  await expect(page.getByText(/^● Well\./)).toBeVisible();
  await expect(page.getByRole('img', { name: /^The log: temperature over time against 200/ })).toBeVisible();
  await hasNoBarriers(page, 'thermal log');

  await page.getByRole('link', { name: 'G-code', exact: true }).click();
  await drop('part.gcode', 'G21\nG90\nM83\nM104 S210\nG28\nG1 X10 Y10 E1 F3000\nG1 X230 Y10 E5\n');
  await expect(page.getByText(/X goes to 230 mm; the machine has 0 to 220/).first()).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'line 7' })).toBeVisible();
});

test('a belt plucked in a job changes the ranking', async ({ page }) => {
  await enterAs(page, 'Imre Vasalo');
  await atFind(page, 'Tern 220', 'layers walk sideways');
  const adder = page.getByRole('combobox', { name: /What it does/ });
  await adder.fill('layers step');
  await page.getByRole('option', { name: /layers step sideways/ }).click();
  await expect(page.getByRole('button', { name: /Withdraw: layers step/ })).toBeVisible();
  const job = page.url().split('/').pop() ?? '';

  const wav = join(folder, 'pluck.wav');
  execFileSync('bin/odd-bench', ['pluck', wav, '--hz', '82', '--noise', '15']);
  await page.goto(`/instruments/pluck-frequency?job=${job}`);
  await page.locator('input[type=file]').setInputFiles(wav);
  await expect(page.getByText(/82(\.\d)? Hz, confidence/)).toBeVisible();
  await page.getByRole('link', { name: 'Take it to the belt tension' }).click();
  await expect(page.getByRole('textbox', { name: /^Pitch when plucked/ })).toHaveValue(/^8[12]\.\d$/);
  await page.getByRole('textbox', { name: /known good/ }).fill('110');
  await workItOut(page);
  await expect(page.getByText(/of the reference’s tension/)).toBeVisible();
  await page.getByLabel('Taken at').selectOption({ label: 'Y belt' });
  await page.getByRole('button', { name: 'Keep it in the job' }).click();
  await expect(page.getByText(/Kept in the job/)).toBeVisible();
  await expect(page.getByText(/This machine: /)).toBeVisible();
  await hasNoBarriers(page, 'belt tension in a job');

  await page.getByRole('link', { name: 'Back to the job' }).first().click();
  await expect(page.locator('section[aria-labelledby=what-it-could-be] li').first()).toContainText(
    'Belt slack',
  );
  await expect(page.locator('section[aria-labelledby=what-it-does]')).toContainText('Belt tension');
  await page.reload();
  await expect(page.locator('section[aria-labelledby=what-it-could-be] li').first()).toContainText(
    'Belt slack',
  );
});

test('a recording that is none is refused where it was dropped', async ({ page }) => {
  await enterAs(page, 'Bo Lindqvist');
  await page.goto('/instruments/pluck-frequency');
  const file = join(folder, 'noise.wav');
  writeFileSync(file, 'this is no sound');
  await page.locator('input[type=file]').setInputFiles(file);
  await expect(page.getByText('This is no WAV file.').first()).toBeVisible();
  for (const width of [768, 1280]) {
    await page.setViewportSize({ width, height: 800 });
    await fitsAcross(page);
  }
});

test('every instrument fits its screen and gives a result from what it starts with', async ({ page }) => {
  await enterAs(page, 'Bo Lindqvist');
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/instruments');
  const links = page.getByRole('navigation', { name: 'Instruments' }).getByRole('link');
  await expect(links).toHaveCount(17);
  for (let i = 0; i < 17; i++) {
    await links.nth(i).click();
    await expect(links.nth(i)).toHaveAttribute('aria-current', 'page');
    const ways = page.getByRole('list', { name: 'Ways to ask' }).getByRole('link');
    for (let way = 0, many = Math.max(1, await ways.count()); way < many; way++) {
      if (many > 1) {
        await ways.nth(way).click();
        // its form comes with its name
        await expect(ways.nth(way)).toHaveAttribute('aria-current', 'true');
      }
      if ((await page.locator('input[type=file]').count()) === 0) {
        await workItOut(page);
        await expect(page.getByText('How this is worked out')).toBeVisible();
      }
      const over = await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight);
      expect(over, `${page.url()} is ${over} px too high`).toBeLessThanOrEqual(0);
    }
  }
});
