import { chromium } from 'playwright-core';
const [,, login, path, out, w='1280', h='800', ...acts] = process.argv;
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu','--disable-quic','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync'] });
const page = await b.newPage({ viewport: { width: +w, height: +h } });
page.on('console', m => m.type()==='error' && console.log('console', m.text()));
page.on('pageerror', e => console.log('pageerror', e.message));
await page.goto('http://localhost:8420/');
await page.getByRole('button', { name: new RegExp(login) }).click();
await page.getByRole('navigation', { name: 'Places' }).waitFor();
await page.goto('http://localhost:8420' + path);
await page.waitForLoadState('networkidle');
for (const a of acts) {
  const [kind, ...rest] = a.split(':'); const v = rest.join(':');
  if (kind==='key') await page.keyboard.press(v);
  if (kind==='type') await page.keyboard.type(v);
  if (kind==='click') await page.getByRole('button', { name: new RegExp(v) }).first().click();
  if (kind==='text') await page.getByText(v).first().click();
  if (kind==='scroll') await page.mouse.wheel(0, +v);
  if (kind==='wait') await page.waitForTimeout(+v);
  await page.waitForTimeout(250);
}
await page.screenshot({ path: out });
console.log(page.url());
await b.close();
