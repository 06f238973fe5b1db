import { plainName, type MaterialBook } from './book';
import type { Material } from './materials';

/** Other names people write on recipe cards; generic names and formulas only. */
const ALSO_CALLED: ReadonlyMap<string, string> = new Map(
  Object.entries({
    flint: 'Silica',
    quartz: 'Silica',
    sio2: 'Silica',
    'china clay': 'Kaolin',
    'calcium carbonate': 'Whiting',
    chalk: 'Whiting',
    limestone: 'Whiting',
    caco3: 'Whiting',
    'potash spar': 'Potash feldspar',
    'potassium feldspar': 'Potash feldspar',
    orthoclase: 'Potash feldspar',
    'soda spar': 'Soda feldspar',
    'sodium feldspar': 'Soda feldspar',
    albite: 'Soda feldspar',
    anorthite: 'Lime feldspar',
    'neph sy': 'Nepheline syenite, typical',
    nepheline: 'Nepheline syenite, typical',
    'iron oxide': 'Red iron oxide',
    'iron oxide red': 'Red iron oxide',
    'ferric oxide': 'Red iron oxide',
    fe2o3: 'Red iron oxide',
    'iron oxide black': 'Black iron oxide',
    'copper oxide': 'Black copper oxide',
    cuo: 'Black copper oxide',
    'manganese oxide': 'Manganese dioxide',
    mno2: 'Manganese dioxide',
    'chromium oxide': 'Chrome oxide',
    cr2o3: 'Chrome oxide',
    tin: 'Tin oxide',
    sno2: 'Tin oxide',
    titania: 'Titanium dioxide',
    tio2: 'Titanium dioxide',
    'zirconium silicate': 'Zircon',
    'zirconium opacifier': 'Zircon',
    zinc: 'Zinc oxide',
    zno: 'Zinc oxide',
    'calcium phosphate': 'Bone ash',
    'sodium carbonate': 'Soda ash',
    'potassium carbonate': 'Pearl ash',
    'magnesium carb': 'Magnesium carbonate',
    'strontium carb': 'Strontium carbonate',
    'barium carb': 'Barium carbonate',
    'lithium carb': 'Lithium carbonate',
    'cobalt carb': 'Cobalt carbonate',
    'copper carb': 'Copper carbonate',
    'calcined clay': 'Calcined kaolin',
    'calcined china clay': 'Calcined kaolin',
  }),
);

/**
 * Materials that a few letters can mean, the likeliest first: names that start so, then names one of whose
 * words starts so, then other names of a material.
 *
 * @example searchMaterials(BUILT_IN, 'wh')[0]?.name // 'Whiting'
 */
export function searchMaterials(book: MaterialBook, typed: string, most = 8): Material[] {
  const wanted = plainName(typed);
  if (!wanted) return [];
  const rank = ({ name }: Material) => {
    const text = plainName(name);
    if (text.startsWith(wanted)) return text === wanted ? 0 : 1;
    if (text.includes(` ${wanted}`)) return 2;
    const alias = [...ALSO_CALLED.keys()].find((also) => also.startsWith(wanted));
    return alias && ALSO_CALLED.get(alias) === name ? 3 : 9;
  };
  return book.materials
    .map((material) => ({ material, rank: rank(material) }))
    .filter((one) => one.rank < 9)
    .sort((a, b) => a.rank - b.rank || a.material.name.length - b.material.name.length)
    .slice(0, most)
    .map((one) => one.material);
}

/**
 * The one material that a written name means: its own name, what the studio said it is, another name of it, or the
 * typical one when only that is known. Undefined when it is none or could be several.
 *
 * @example understandMaterial(BUILT_IN, 'Flint')?.name // 'Silica'
 */
export function understandMaterial(book: MaterialBook, written: string): Material | undefined {
  const name = plainName(written);
  const same = book.materials.find((material) => plainName(material.name) === name);
  return (
    same ??
    book.meantBy(written) ??
    book.find(`${written.trim()}, typical`) ??
    book.find(ALSO_CALLED.get(name) ?? '')
  );
}
