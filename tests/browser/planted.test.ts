import { expect, test, type Page } from '@playwright/test';
import { causeOf, type CauseId } from '../../src/core/clinic';
import type { DefectId } from '@/core/vocabulary';
import { signIn } from './steps';

/** What the story plants: the defect, the glaze, clay or entry that has it (none: the newest piece), the cause. */
const PLANTED: readonly (readonly [DefectId, string | null, CauseId])[] = [
  ['pitting', 'Plum Siding', 'glaze-gas'],
  ['pitting', null, 'glaze-gas'],
  ['crawling', 'Chalk Cut', 'raw-shrinkage'],
  ['crazing', 'Viaduct Porcelain', 'expansion-mismatch'],
  ['crazing', 'Fogman', 'expansion-mismatch'],
  ['blistering', 'Fogman over Slate Bank', 'incompatible-layer'],
  ['blistering', 'Slate Bank over Ash Tip', 'incompatible-layer'],
  ['pinholing', 'Cutting Red', 'body-gas'],
  ['crawling', null, 'raw-shrinkage'],
  ['clouding', null, 'glaze-too-thick'],
  ['running', 'Ash Tip', 'fluid-glaze'],
  ['colour-shift', null, 'under-reduction'],
  ['slip-lifting', null, 'slip-on-dry-clay'],
];

/** The page that asks why of what has the defect. */
async function addressOf(page: Page, defect: DefectId, name: string | null): Promise<string> {
  if (name) {
    const answers: { text: string; href: string }[] = await (
      await page.request.get(`/api/v1/look-up?for=${encodeURIComponent(name)}`)
    ).json();
    const [, kind, id] = answers.find(({ text }) => text === name)!.href.split('/');
    const about = { glazes: 'glaze', clays: 'body', entry: 'headword' }[kind!];
    return `/clinic/${defect}?about=${about}.${id}`;
  }
  await page.goto(`/clinic/${defect}`);
  const proofs = page.getByRole('list', { name: 'Pieces that show it' });
  return (await proofs.getByRole('link').first().getAttribute('href'))!;
}

test('on the records of the demo the planted cause ranks first in nine of ten, and never below third', async ({
  page,
}) => {
  await signIn(page);
  const missed: string[] = [];
  for (const [defect, name, cause] of PLANTED) {
    const address = await addressOf(page, defect, name);
    await page.goto(address);
    const causes = page.getByRole('region', { name: 'Causes' }).locator('> ol > li');
    const names = await causes.locator('summary b').allTextContents();
    const place = names.findIndex((text) => text.startsWith(causeOf(cause).name));
    expect(place, `${address}: ${names.slice(0, 4).join('; ')}`).toBeGreaterThanOrEqual(0);
    expect(place, `${address}: ${names.slice(0, 4).join('; ')}`).toBeLessThan(3);
    if (place > 0) missed.push(address);
  }
  expect(missed.length / PLANTED.length, missed.join(' ')).toBeLessThanOrEqual(0.1);
});
