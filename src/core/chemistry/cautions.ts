import type { MaterialBook } from './book';
import type { Analysis, Material } from './materials';
import type { Oxide } from './oxides';

/** What holds for weighing out any dry material. */
export const DUST_CAUTION = 'Respirator on, extraction running; wipe wet, never sweep.';

/** Oxides whose compounds are toxic as dust or fume, with the share (weight %) from which it is said. */
const TOXIC: readonly (readonly [readonly Oxide[], number, string])[] = [
  [['MnO', 'MnO2'], 5, 'Manganese: toxic dust, and fume at heat; ventilate the kiln.'],
  [['PbO'], 0.1, 'Lead: toxic; follow local rules, never on food surfaces.'],
  [['BaO'], 5, 'Barium carbonate is poisonous when swallowed; gloves.'],
  [['Cr2O3'], 5, 'Chromium: toxic dust, fumes onto tin glazes.'],
  [['NiO'], 5, 'Nickel: toxic dust, may sensitise; gloves.'],
  [['CoO', 'Co3O4'], 5, 'Cobalt: toxic dust; gloves.'],
  [['CuO', 'Cu2O'], 5, 'Copper: toxic dust, and fume at heat.'],
  [['V2O5'], 5, 'Vanadium: toxic dust; gloves.'],
  [['Sb2O3'], 5, 'Antimony: toxic dust and fume; gloves, never on food surfaces.'],
  [['CeO2', 'Pr6O11', 'Nd2O3', 'Er2O3'], 5, 'Rare earth: dust irritates the lungs; keep it out of the air.'],
  [['Li2O'], 3, 'Lithium: harmful when swallowed.'],
  [['F'], 1, 'Gives off fluorides in the kiln: ventilate.'],
  [['SiC'], 50, 'Silicon carbide: sharp dust; eye protection.'],
];

/** Soluble borates; a frit holds its boron. */
const BORATES = /\b(borax|boric acid|colemanite|ulexite)\b/i;
const CAUSTIC = /\b(soda ash|pearl ash|lithium carbonate|(?<!washed )wood ash)\b/i;
/** Materials whose silica is, wholly or in part, free quartz. */
const FREE_SILICA =
  /\b(silica|clay|granite|cornish stone|ochre|umber|volcanic ash|bentonite|feldspar|nepheline|talc)\b/i;

/**
 * What to mind when a material is weighed out, besides the dust of every dry material.
 *
 * Occupational health notes of the trade, common practice, no source; local rules stand above them.
 *
 * @example cautionsOf({ name: 'Soda ash', analysis: { Na2O: 58 } }) // ['Caustic: …']
 */
export function cautionsOf({ name, analysis }: Pick<Material, 'name' | 'analysis'>): string[] {
  const notes = TOXIC.filter(([oxides, least]) => shareOf(analysis, oxides) >= least).map(
    ([, , note]) => note,
  );
  if (BORATES.test(name)) notes.push('Borate: may harm fertility and the unborn; gloves, no dust.');
  if (CAUSTIC.test(name)) notes.push('Caustic: gloves and eye protection.');
  if (FREE_SILICA.test(name) || (analysis.SiO2 ?? 0) > 95)
    notes.push('Respirable silica: scars the lungs for life.');
  return notes;
}

/** The cautions of several materials by name, each once; unknown ones have none. */
export function cautionsIn(names: Iterable<string>, book: MaterialBook): string[] {
  const notes = [...names].flatMap((name) => {
    const material = book.find(name);
    return material ? cautionsOf(material) : [];
  });
  return [...new Set(notes)];
}

function shareOf(analysis: Analysis, oxides: readonly Oxide[]): number {
  return oxides.reduce((sum, oxide) => sum + (analysis[oxide] ?? 0), 0);
}
