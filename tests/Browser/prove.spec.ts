import { connect } from 'node:net';
import { expect, type Page } from '@playwright/test';
import { atFind, enterAs, fitsAcross, hasNoBarriers, station, test } from './shop';

const well = process.env['RIG_WELL'];
const bad = process.env['RIG_BAD'];

/** What a person at the bench does with a hand fan. */
const air = (port: string, where: string): Promise<void> =>
  new Promise((resolve, reject) => {
    const socket = connect(Number(port), '127.0.0.1', () => socket.end(`@air ${where}\n`, () => resolve()));
    socket.on('error', reject);
    socket.resume();
  });

/** A mended Tern stands at Prove, what is proved cold is proved. */
async function atProve(page: Page): Promise<void> {
  await atFind(page, 'Tern 220', 'jams after a while');
  const adder = page.getByRole('combobox', { name: /What it does/ });
  for (const [letters, name] of [
    ['jam', 'jams when warm'],
    ['hot mat', 'hot material'],
  ] as const) {
    await adder.fill(letters);
    await page.getByRole('option', { name: new RegExp(name) }).click();
    await expect(page.getByRole('button', { name: new RegExp(`Withdraw: ${name}`) })).toBeVisible();
  }
  await page.getByRole('checkbox', { name: 'It is: Liner cooked' }).check();
  await page.getByRole('button', { name: /^Confirm: Liner cooked/ }).click();
  await page.getByRole('button', { name: /^Done so: Liner cooked/ }).click();
  await page.getByRole('button', { name: 'On to Prove' }).click();
  await station(page, 'Prove');
  await page.getByRole('button', { name: 'Passed: Tug heater and sensor leads' }).click();
  await expect(page.getByRole('button', { name: 'Passed: Power on, watch for smoke' })).toBeVisible();
}

async function begin(page: Page, port: string): Promise<void> {
  await page.getByRole('button', { name: 'Run the proofs on the printer…' }).click();
  await page.getByRole('textbox', { name: 'Printer or bridge' }).fill('127.0.0.1');
  await page.getByRole('textbox', { name: 'Port' }).fill(port);
  await page.getByRole('checkbox', { name: /A long print/ }).uncheck();
  await page.getByRole('button', { name: 'Connect and run' }).click();
  // the simulated printer stands at another machine’s address from the test before
  const at = page.getByRole('checkbox', { name: /is at this machine now/ });
  const first = page.getByRole('button', { name: 'none', exact: true });
  await expect(at.or(first)).toBeVisible({ timeout: 60_000 });
  if (await at.isVisible()) {
    await at.check();
    await page.getByRole('button', { name: 'Connect and run' }).click();
  }
  await page.getByRole('button', { name: 'none', exact: true }).click();
  await page.getByRole('button', { name: 'all turn' }).click();
}

test('a repaired machine proves itself on the printer, and its ladder fills', async ({ page }) => {
  test.skip(!well, 'needs a simulated printer at speed');
  test.setTimeout(420_000);
  await enterAs(page, 'Bo Lindqvist');
  await atProve(page);
  await begin(page, well ?? '');
  await expect(page.getByRole('img', { name: /^Hot end \d+ of \d+ degrees/ })).toBeVisible();
  await hasNoBarriers(page, 'proof run');
  // measured by hand meanwhile: the ladder opens the next stage
  await page.getByRole('textbox', { name: /^Measured \(97 to 103/ }).fill('100', { timeout: 90_000 });
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText(/Is the air on\?/)).toBeVisible({ timeout: 90_000 });
  await page.reload();
  await expect(page.getByText(/Is the air on\?/)).toBeVisible();
  await air(well ?? '', 'hotend');
  await page
    .getByRole('button', { name: 'it is on' })
    .click({ timeout: 5000 })
    .catch(() => undefined);
  await expect(page.getByText('Take the cool air away.')).toBeVisible({ timeout: 90_000 });
  await air(well ?? '', 'off');
  await page.getByRole('button', { name: 'it is away' }).click();
  const stages = page.getByRole('list', { name: 'Stages of the run' });
  await expect(stages.getByText(/stopped/).first()).toBeVisible({ timeout: 40_000 });
  await page.getByRole('button', { name: 'straight' }).click({ timeout: 90_000 });
  for (const question of [/Look at the layer/, /Look at the print/]) {
    await expect(page.getByText(question)).toBeVisible({ timeout: 180_000 });
    await page.getByRole('button', { name: 'good', exact: true }).click();
  }
  await expect(page.getByText('✓ All of it passed')).toBeVisible({ timeout: 40_000 });
  await expect(page.getByRole('button', { name: 'Passed: Repeat the complaint' })).toBeVisible();
  await fitsAcross(page);
});

test('a machine without runaway protection goes back to Find with a red tag', async ({ page }) => {
  test.skip(!bad, 'needs a simulated printer at speed');
  test.setTimeout(420_000);
  await enterAs(page, 'Imre Vasalo');
  await atProve(page);
  await begin(page, bad ?? '');
  await expect(page.getByText(/Is the air on\?/)).toBeVisible({ timeout: 90_000 });
  await air(bad ?? '', 'hotend');
  await page.getByRole('button', { name: 'it is on' }).click();
  await page.getByRole('button', { name: 'it is away' }).click({ timeout: 90_000 });
  await air(bad ?? '', 'off');
  await expect(page.getByRole('button', { name: 'Take it back to Find' })).toBeVisible({ timeout: 40_000 });
  await hasNoBarriers(page, 'failed run');
  await page.getByRole('button', { name: 'Take it back to Find' }).click();
  await station(page, 'Find');
  await expect(page.getByText('Red tag: unplugged, no power.')).toBeVisible();
});
