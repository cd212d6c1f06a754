import { expect, type Page } from '@playwright/test';
import { hasNoBarriers, station, test } from './shop';

/** Presses Tab until the thing wanted has the focus. */
async function tabTo(page: Page, role: string, name: RegExp): Promise<void> {
  for (let i = 0; i < 120; i++) {
    const [found, label] = await page.evaluate(() => {
      const el = document.activeElement as HTMLElement | null;
      const own = el?.getAttribute('aria-label') ?? '';
      const labels =
        el && 'labels' in el
          ? [...((el as HTMLInputElement).labels ?? [])].map((l) => l.innerText).join(' ')
          : '';
      return [
        el?.getAttribute('role') ?? el?.tagName.toLowerCase() ?? '',
        own || labels || el?.innerText || '',
      ];
    });
    if (found === role && name.test(label)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`${role} ${name} was not reached by Tab`);
}

const press = async (page: Page, name: RegExp): Promise<void> => {
  await expect(page.getByRole('button', { name }).first()).toBeEnabled();
  await tabTo(page, 'button', name);
  await page.keyboard.press('Enter');
};

test('the whole visit with the keyboard alone', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByLabel('Login')).toBeFocused();
  await hasNoBarriers(page, 'login');
  await page.keyboard.type('imre');
  await page.keyboard.press('Tab');
  await page.keyboard.type('harbour-quay');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();

  // a known machine that is not on the bench, found on the list with j
  await page.keyboard.press('g');
  await page.keyboard.press('m');
  await expect(page.getByRole('heading', { name: /Machines/ })).toBeVisible();
  await expect(page.locator('[data-line]').first()).toBeVisible();
  await page.keyboard.press('j');
  await expect(page.locator('[data-line]').first()).toBeFocused();
  const tag = await page
    .locator('main li', { hasText: /in service|with its owner/ })
    .first()
    .locator('[data-line]')
    .getAttribute('data-line');

  // b: book in, six inputs: tag, complaint, when; kind stands at repair
  await page.keyboard.press('b');
  await expect(page.getByLabel(/^Tag, serial or owner/)).toBeFocused();
  await page.keyboard.type((tag ?? '').toLowerCase().replaceAll('-', ''));
  await expect(page.getByRole('heading', { name: 'Known here' })).toBeVisible();
  await tabTo(page, 'textarea', /Complaint/);
  await page.keyboard.type('the belt hangs loose and prints walk sideways');
  await tabTo(page, 'radio', /Crept in/);
  await page.keyboard.press('Space');
  await press(page, /^Book in$/);
  await station(page, 'Make safe');
  await press(page, /^No to all/);
  await press(page, /^On to Find/);
  await station(page, 'Find');

  // f, letters, enter: findings; then the check’s answer by one key
  await expect(page.getByRole('combobox', { name: /What it does/ })).toBeVisible();
  for (const letters of ['belt loo', 'belt ten']) {
    if (letters === 'belt loo') await page.keyboard.press('f');
    await expect(page.getByRole('combobox', { name: /What it does/ })).toBeFocused();
    await page.keyboard.type(letters);
    await expect(page.getByRole('option').first()).toBeVisible();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('option')).toHaveCount(0);
    await expect(page.getByRole('combobox', { name: /What it does/ })).toHaveValue('');
  }
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await expect(page.locator('section[aria-labelledby=what-it-could-be] li').first()).toContainText(
    'Belt slack',
  );
  const look = page.locator('section[aria-labelledby=do-next] h3');
  const asked = await look.innerText();
  if (!/^(Mend|Swap)/.test(asked)) {
    await page.keyboard.press('n');
    await expect(look).not.toHaveText(asked);
  }
  await tabTo(page, 'input', /It is: Belt slack/);
  await page.keyboard.press('Space');
  await press(page, /^Confirm: Belt slack/);
  await station(page, 'Fix');
  await press(page, /^Done so/);
  await expect(page.getByText('✓ mend noted')).toBeVisible();
  await press(page, /^On to Prove/);
  await station(page, 'Prove');

  for (let i = 0; i < 12; i++) {
    const ladder = page.locator('h2', { hasText: 'The ladder' });
    const before = await ladder.innerText();
    if (await page.getByRole('button', { name: 'On to Send out' }).isEnabled()) break;
    const value = page.getByRole('textbox', { name: /^Measured/ });
    if (await value.isVisible()) {
      await expect(value).toBeFocused();
      // what has a most only is passed by little, a share of something by all of it
      const little = /at most/.test(await page.getByText(/^Measured/).innerText());
      await page.keyboard.type(little ? '1' : '100');
      await page.keyboard.press('Enter');
    } else {
      await press(page, /^Passed/);
    }
    await expect(ladder).not.toHaveText(before);
  }
  await press(page, /^On to Send out/);
  await station(page, 'Send out');
  await press(page, /^Sign: /);
  await expect(page.getByText(/^✓ Finished/)).toBeVisible();

  // scan the tag: the passport shows the visit
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('/');
  await page.keyboard.type(`${tag}`);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('main')).toContainText('Confirmed: Belt slack');

  // single keys rest while somebody types
  await page.keyboard.press('/');
  await page.keyboard.type('bolt');
  await expect(page.getByRole('combobox', { name: /Scan or type/ })).toHaveValue('bolt');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Shift+?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await hasNoBarriers(page, 'keys');
});
