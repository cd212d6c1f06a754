import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Comes in as one of the demo people. */
export async function enterAs(page: Page, name: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name }).click();
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
}

/** No serious barrier for anybody on this screen. */
export async function hasNoBarriers(page: Page, screen: string): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  const serious = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
  expect(
    serious.map((v) => `${screen}: ${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`),
  ).toEqual([]);
}

/** Nothing sticks out sideways. */
export async function fitsAcross(page: Page): Promise<void> {
  // with everything on it that comes from the server
  await page.waitForLoadState('networkidle');
  const over = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(over).toBeLessThanOrEqual(1);
}

export const station = (page: Page, name: string) =>
  expect(page.getByRole('group', { name: /Stations/ }).locator('[aria-current=step]')).toHaveText(name);
