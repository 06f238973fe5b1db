import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { signIn } from './steps';

/** What a path is about: ids, labels and defects all alike, its search left out. */
function kindOf(path: string): string {
  return path
    .split(/[?#]/)[0]!
    .replace(/[0-9A-HJKMNP-TV-Z]{26}/g, 'ID')
    .replace(/SW-\d+/g, 'LABEL')
    .replace(/^\/clinic\/(?!cases|watch)[^/]+/, '/clinic/DEFECT');
}

/** Every kind of page that links lead to from Today, each looked at once. */
async function walked(page: Page, look: (path: string) => Promise<void>): Promise<string[]> {
  const seen = new Set<string>();
  const queue = ['/'];
  for (let path = queue.shift(); path; path = queue.shift()) {
    if (seen.has(kindOf(path)) || path.startsWith('/api/')) continue;
    seen.add(kindOf(path));
    const answer = await page.goto(path);
    expect([path, answer?.status()]).toEqual([path, 200]);
    await page.waitForLoadState('networkidle');
    await look(path);
    queue.push(
      ...(await page
        .locator('a[href^="/"]:not([download])')
        .evaluateAll((links) => links.map((link) => link.getAttribute('href')!))),
    );
  }
  return [...seen];
}

test('every page fits a phone, can be read and hit, and reports no fault', async ({ page }) => {
  test.setTimeout(400_000);
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (line) => line.type() === 'error' && errors.push(line.text()));
  await signIn(page);
  const found: string[] = [];
  const kinds = await walked(page, async (path) => {
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    if (wide > 0) found.push(`${path}: ${wide} px wider than the phone`);
    const { violations } = await new AxeBuilder({ page })
      .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
      .analyze();
    for (const { id, nodes } of violations) found.push(`${path}: ${id}, ${nodes[0]?.html.slice(0, 160)}`);
    found.push(...errors.splice(0).map((error) => `${path}: ${error}`));
  });
  expect(kinds.length, kinds.join(' ')).toBeGreaterThan(30);
  expect(found).toEqual([]);
});
