import type { DefectId } from '../vocabulary';
import type { WrittenArea, WrittenCoat } from './model';

/** What is written of a coat when nothing is said but its glaze, how it was put on and where. */
export const PLAIN_COAT = {
  ...({ batchId: null, versionId: null, seconds: null, grams: null, pieces: null } as const),
  ...({ dryBefore: null, firingId: null } as const),
  ...({ clay: null, wiped: false, cover: null, area: null, not: [] } satisfies Partial<WrittenCoat>),
};

/** What is written of a piece when nothing is said but its form, size and clay. */
export const PLAIN_PIECE = {
  ...({ split: false, formId: null, profile: null, texture: {}, ownNumber: '', note: '' } as const),
  ...{ areas: [] as readonly WrittenArea[], wanted: [] as readonly DefectId[] },
};

/** What is written of an area when nothing is said but its name and place. */
export const PLAIN_AREA = {
  bodyId: null,
  texture: [],
  share: null,
  outline: null,
} satisfies Partial<WrittenArea>;
