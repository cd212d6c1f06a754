import { expect, type Locator, type Page } from '@playwright/test';
import { enterAs, fitsAcross, hasNoBarriers, test } from './shop';

const racks = [1, 2, 3, 4, 5].map((id) => ({ id, name: `Rack ${id}`, shelves: 4, places: 10, version: 1 }));
const families = [
  { code: 'tern-220', name: 'Tern 220', motion: 'bedslinger', closed: false },
  { code: 'heron-cx', name: 'Heron CX', motion: 'corexy', closed: true },
  { code: 'gannet-delta', name: 'Gannet Delta', motion: 'delta', closed: false },
];

/** So many machines on racks of forty places; some with signs. */
function machines(many: number) {
  return Array.from({ length: many }, (_, i) => ({
    tag: `TR-${100 + i}-H`,
    family: families[i % 3]?.code,
    place: i % 17 === 3 ? 'bench' : 'service',
    hours: 500 + 13 * i,
    risk: i % 11 === 5 ? 0.31 : 0.02,
    worst: i % 11 === 5 ? 'Nozzle' : null,
    service: 'wipe down',
    serviceDays: i % 13 === 7 ? -2 : 20,
    openJob: i % 17 === 3 ? 1000 + i : null,
    station: i % 17 === 3 ? 'Find' : null,
    redTag: i === 60 ? 'plug brown' : null,
    wonder: null,
    rack: 1 + Math.floor(i / 40),
    shelf: 1 + (Math.floor(i / 10) % 4),
    spot: 1 + (i % 10),
  }));
}

/** The farm’s screen over such machines, whatever the shop has. */
async function farmOf(page: Page, many: number, drawn = racks): Promise<void> {
  await page.route(/\/api\/v1\/fleet\/farm/, (route) =>
    route.fulfill({
      json: {
        weeks: 2,
        racks: drawn,
        families,
        machines: machines(many),
        more: false,
        hoursLastWeek: 9000,
        likely: 0.15,
      },
    }),
  );
}

test('two hundred machines are one look at 1280 × 800, and the signs are told apart by their shape', async ({
  page,
}) => {
  await enterAs(page, 'Ada Morrow');
  await farmOf(page, 200);
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/farm');
  const all = page.locator('main li a[href^="/machines/"]');
  await expect(page.getByRole('region', { name: 'Rack 5' })).toBeVisible();
  const boxes = await all.evaluateAll((links) =>
    links
      .filter((link) => link.closest('section[aria-label^="Rack"]'))
      .map((link) => link.getBoundingClientRect().toJSON() as DOMRect),
  );
  expect(boxes).toHaveLength(200);
  expect(Math.max(...boxes.map((box) => box.bottom))).toBeLessThanOrEqual(800);
  expect(Math.max(...boxes.map((box) => box.right))).toBeLessThanOrEqual(1280);
  // none lies over another
  const spots = new Set(boxes.map((box) => `${Math.round(box.x)} ${Math.round(box.y)}`));
  expect(spots.size).toBe(200);
  await expect(page.getByRole('button', { name: /likely to fail within 2 weeks 18/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /red tag 1/ })).toBeVisible();
  await hasNoBarriers(page, 'a farm of 200');
  await fitsAcross(page);

  // those with another sign step back
  await page.getByRole('button', { name: /service due/ }).click();
  const away = page.locator('main section[aria-label^="Rack"] a.opacity-25');
  await expect(away).toHaveCount(200 - machines(200).filter((one) => one.serviceDays < 0).length);
  await page.setViewportSize({ width: 768, height: 1024 });
  await fitsAcross(page);
});

test('a farm with nothing in it says what to do, and one without racks as well', async ({ page }) => {
  await enterAs(page, 'Ada Morrow');
  await farmOf(page, 0, []);
  await page.goto('/farm');
  await expect(page.getByText(/Machines held as “own farm” stand here/)).toBeVisible();
  await hasNoBarriers(page, 'an empty farm');
  await page.unroute(/\/api\/v1\/fleet\/farm/);
  await page.route(/\/api\/v1\/fleet\/farm/, (route) =>
    route.fulfill({
      json: {
        weeks: 2,
        racks: [],
        families,
        machines: machines(3).map((one) => ({ ...one, rack: null, shelf: null, spot: null })),
        more: false,
        hoursLastWeek: 90,
        likely: 0.15,
      },
    }),
  );
  await page.reload();
  await expect(page.getByText(/No rack is drawn yet/)).toBeVisible();
  await expect(page.getByRole('link', { name: 'TR-101-H' })).toBeVisible();
});

test('a rack is drawn and a machine put on it with the keyboard alone, and what cannot be is said', async ({
  page,
}) => {
  await enterAs(page, 'Tove Kessler');
  await page.goto('/farm');
  const name = `Rack ${String(Date.now()).slice(-5)} behind-the-heavy-sliding-door-of-the-old-store`;
  await page.getByRole('button', { name: 'Draw racks' }).focus();
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: 'Name' }).last().fill(name);
  await page.keyboard.press('Enter');
  await expect(dialog.getByText(name)).toBeVisible();
  await dialog.getByRole('textbox', { name: 'Name' }).fill(name);
  await page.keyboard.press('Enter');
  await expect(dialog.getByText(/There is a rack .* already/)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('region', { name })).toBeVisible();
  await fitsAcross(page);

  const press = async (button: Locator) => {
    await button.focus();
    await page.keyboard.press('Enter');
  };
  await press(page.getByRole('button', { name: 'Move machines' }));
  const machine = page.getByRole('button', { name: /Row B, wall, shelf 1, place 1$/ });
  const tag = ((await machine.getAttribute('aria-label')) ?? '').split(',')[0] ?? '';
  await press(machine);
  await press(page.getByRole('button', { name: `free: ${name}, shelf 1, place 9` }));
  await expect(page.getByRole('button', { name: `${tag}, ${name}, shelf 1, place 9` })).toBeVisible();
  // back where it stood, and the rack goes when that was meant
  await press(page.getByRole('button', { name: `${tag}, ${name}, shelf 1, place 9` }));
  await press(page.getByRole('button', { name: 'free: Row B, wall, shelf 1, place 1' }));
  await expect(page.getByRole('button', { name: `${tag}, Row B, wall, shelf 1, place 1` })).toBeVisible();
  await press(page.getByRole('button', { name: 'Draw racks' }));
  await press(dialog.getByRole('button', { name: `Take ${name} down` }));
  await press(dialog.getByRole('button', { name: /stands nowhere then/ }));
  await expect(dialog.getByText(name)).toHaveCount(0);
});
