import { expect } from '@playwright/test';
import { writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import QRCode from 'qrcode';
import { enterAs, test } from './shop';
import { browser as executable } from '../../playwright.config';

const TAG = 'HR-222-X';
const film = join(tmpdir(), `odd-bench-label-${process.pid}.y4m`);

/** What a camera sees that is held over a label: 640 × 480, grey, its code in the middle (YUV4MPEG2). */
function filmed(text: string): Buffer {
  const [width, height, module] = [640, 480, 12];
  const { size, data } = QRCode.create(text, { errorCorrectionLevel: 'M' }).modules;
  const luma = Buffer.alloc(width * height, 200);
  const [left, top] = [(width - size * module) >> 1, (height - size * module) >> 1];
  for (let y = -4 * module; y < (size + 4) * module; y++)
    for (let x = -4 * module; x < (size + 4) * module; x++) {
      const [column, row] = [Math.floor(x / module), Math.floor(y / module)];
      const dark = column >= 0 && row >= 0 && column < size && row < size && data[row * size + column];
      luma[(top + y) * width + left + x] = dark ? 20 : 235;
    }
  const frame = Buffer.concat([Buffer.from('FRAME\n'), luma, Buffer.alloc((width * height) / 2, 128)]);
  return Buffer.concat([
    Buffer.from(`YUV4MPEG2 W${width} H${height} F10:1 Ip A1:1 C420\n`),
    ...Array.from({ length: 10 }, () => frame),
  ]);
}

writeFileSync(film, filmed(TAG));
test.use({
  launchOptions: {
    executablePath: executable,
    args: [
      '--no-sandbox',
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
  },
});

test('the camera reads a label at Book in and in the scan field', async ({ page }) => {
  await enterAs(page, 'Sam Okafo');
  await page.goto('/book-in');
  const field = page.getByLabel(/^Tag, serial or owner/);
  await expect(field).toBeFocused();
  await page.getByRole('button', { name: 'Read a code with the camera' }).nth(1).click();
  await expect(field).toHaveValue(TAG, { timeout: 30_000 });
  await expect(page.getByRole('heading', { name: 'Known here' })).toBeVisible();
  await expect(page.getByLabel(/^Complaint/)).toBeFocused();
  // nothing of it is fetched from anywhere else
  await page.getByRole('button', { name: 'Read a code with the camera' }).first().click();
  // to its job when it is on the bench
  await page.waitForURL(new RegExp(`/machines/${TAG}$|/jobs/\\d+$`), { timeout: 30_000 });
});
