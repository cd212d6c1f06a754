import { expect } from '@playwright/test';
import { enterAs, hasNoBarriers, test } from './shop';

test('a walk along the counters by keyboard alone: each is noted, what cannot be has its way out', async ({
  page,
}) => {
  await enterAs(page, 'Bo Lindqvist');
  await page.goto('/machines');
  await page.getByRole('link', { name: 'Read counters' }).click();
  await expect(page.getByRole('heading', { name: /Read counters/ })).toBeVisible();
  await hasNoBarriers(page, 'counters');
  const lines = page.locator('main li');
  const read = async (line: number): Promise<number> =>
    Number(/read (\d+)/.exec(await lines.nth(line).innerText())?.[1]);
  const [first, second] = [await read(0), await read(1)];

  await lines.nth(0).getByRole('textbox').focus();
  await page.keyboard.type(String(first + 10));
  await page.keyboard.press('Enter');
  await expect(lines.nth(0)).toContainText(`✓ noted ${first + 10} h`);
  await expect(lines.nth(1).getByRole('textbox')).toBeFocused();
  await page.keyboard.type(String(second - 5));
  await page.keyboard.press('Enter');
  await expect(lines.nth(1)).toContainText('say that it began anew');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Space');
  await page.keyboard.press('Enter');
  await expect(lines.nth(1)).toContainText(`✓ noted ${second - 5} h`);
  await expect(page.getByText('2 of')).toBeVisible();

  // on the machine’s page its readings stand, and a wrong one is withdrawn
  await lines.nth(1).getByRole('link').click();
  await page.locator('summary', { hasText: 'Hours' }).click();
  await expect(page.getByRole('list', { name: 'Readings of its counter' })).toContainText('it began anew');
  await page.getByRole('button', { name: `Withdraw the reading of ${second - 5} h` }).click();
  await expect(page.getByRole('list', { name: 'Readings of its counter' })).not.toContainText(
    'it began anew',
  );
  await hasNoBarriers(page, 'machine');
});
