import type { BodyDraft } from '@/records/materials';

/** A clay of which nobody has said anything yet but perhaps its name. */
export function blankBody(id: string, name = ''): BodyDraft {
  return {
    id,
    name,
    colourOxidation: '#e0d6c4',
    colourReduction: '#cfc0a6',
    iron: null,
    coarse: false,
    coneFrom: null,
    coneTo: null,
    shrinkage: null,
    absorption: null,
    expansion: null,
    note: '',
  };
}
