import { expect } from '@playwright/test';
import { content, typed } from '../../resources/js/Machines/family';
import { enterAs, test } from './shop';

test('each family that is opened in the form and kept again says the same', async ({ page }) => {
  await enterAs(page, 'Ada Morrow');
  const words = (await (await page.request.get('/api/v1/knowledge')).json()) as {
    families: { code: string; unknown?: boolean }[];
  };
  expect(words.families.length).toBeGreaterThan(5);
  const whole = (of: unknown): string =>
    JSON.stringify(of, (_, value: unknown) =>
      value !== null && typeof value === 'object' && !Array.isArray(value)
        ? Object.fromEntries(
            Object.entries(value)
              .filter(([, one]) => one !== undefined)
              .sort(([a], [b]) => a.localeCompare(b)),
          )
        : value,
    );
  for (const { code } of words.families) {
    const family = (await (await page.request.get(`/api/v1/families/${code}`)).json()) as {
      content: Record<string, unknown>;
    };
    const after = content(typed(family.content));
    for (const [key, value] of Object.entries(family.content).filter(([key]) => key !== 'code'))
      expect(whole(after[key]), `${code}.${key}`).toBe(whole(value));
  }
});
