import type { GlazeDraft } from '@/records/materials';

/** A glaze of which nobody has said anything yet but perhaps its name. */
export function blankGlaze(id: string, name = ''): GlazeDraft {
  return {
    id,
    name,
    also: '',
    kind: 'glaze',
    colour: '#c8c0b0',
    surface: null,
    movement: null,
    opaque: null,
    decorative: false,
    usualMethod: null,
    usualTimes: null,
    advice: '',
    caution: '',
  };
}
