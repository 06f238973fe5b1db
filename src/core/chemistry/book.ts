import { MATERIALS, type Analysis, type Material } from './materials';
import { IN_THE_MELT, MOLAR_MASS, PLACE_OF, type Oxide } from './oxides';

/** What one gram of a material, as weighed, brings into the melt: moles by the places of its oxides. */
export interface MolesPerGram {
  readonly places: readonly number[];
  readonly moles: readonly number[];
}

/** Where materials are looked up by name, upper and lower case alike. */
export interface MaterialBook {
  /** All of them, by name. */
  readonly materials: readonly Material[];
  readonly find: (name: string) => Material | undefined;
  /** The material that the studio means by another name, see {@link plainName}; undefined when it never said. */
  readonly meantBy: (name: string) => Material | undefined;
  /** Undefined for an unknown material. */
  readonly molesPerGram: (name: string) => MolesPerGram | undefined;
}

interface Page {
  readonly material: Material;
  readonly perGram: MolesPerGram;
}

/** A name as it is compared: lower case, one blank between words, no commas. */
export function plainName(name: string): string {
  return name
    .toLowerCase()
    .replace(/[,.()]/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
}

/** What a person may leave out to make a material's name shorter: blanks at the ends and capitals. */
const keyOf = (name: string) => name.trim().toLowerCase();

/**
 * A book of the built-in materials with the studio's own; an own one of the same name stands before the
 * built-in one.
 *
 * @param own density and loss on ignition may be left out
 * @param aliases names of materials by what the studio calls them too
 */
export function materialBook(
  own: readonly (Pick<Material, 'name' | 'analysis'> & Partial<Material>)[] = [],
  aliases: Readonly<Record<string, string>> = {},
): MaterialBook {
  const meant = new Map(Object.entries(aliases).map(([name, material]) => [plainName(name), material]));
  const pages = new Map<string, Page>();
  for (const material of MATERIALS) pages.set(keyOf(material.name), pageOf(material));
  for (const material of own)
    pages.set(keyOf(material.name), pageOf({ loi: 0, density: null, source: 'own', ...material }));
  const byWritten = new Map<string, Page | undefined>();
  const pageFor = (name: string) => {
    if (!byWritten.has(name)) {
      if (byWritten.size > 5000) byWritten.clear();
      byWritten.set(name, pages.get(keyOf(name)));
    }
    return byWritten.get(name);
  };
  return {
    materials: [...pages.values()]
      .map((page) => page.material)
      .sort((a, b) => a.name.localeCompare(b.name, 'en')),
    find: (name) => pageFor(name)?.material,
    meantBy: (name) => pageFor(meant.get(plainName(name)) ?? '')?.material,
    molesPerGram: (name) => pageFor(name)?.perGram,
  };
}

function pageOf(material: Material): Page {
  return { material, perGram: molesPerGram(material.analysis) };
}

function molesPerGram(analysis: Analysis): MolesPerGram {
  const parts = Object.entries(analysis).map(([written, percent]) => {
    const oxide = written as Oxide;
    const [melted, each] = IN_THE_MELT[oxide] ?? [oxide, 1];
    return [PLACE_OF[melted], (percent / 100 / MOLAR_MASS[oxide]) * each] as const;
  });
  return { places: parts.map(([place]) => place), moles: parts.map(([, moles]) => moles) };
}

/** The built-in materials alone. */
export const BUILT_IN = materialBook();
