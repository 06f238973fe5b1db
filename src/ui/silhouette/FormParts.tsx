import { zonesOf, type Area, type Coat, type Zone } from '@/core/coats';
import { HANDLE_THICKNESS, type FormPart, type FormShape } from '@/core/vocabulary';
import { handlePath, lidPath, openingPath, spoutPath } from './geometry';

interface Props {
  readonly shape: FormShape;
  readonly width: number;
  readonly coats: readonly Coat[];
  readonly areas: readonly Area[];
  readonly zones: readonly Zone[];
  readonly bodyColour: string;
  readonly colourOf: ReadonlyMap<string, string>;
  /** Which kinds of parts: those behind the body, or those before it. */
  readonly kinds: readonly string[];
  /** The area drawn with an outline. */
  readonly lit: string | null;
}

/**
 * Handle, spout, lid and openings of a form. What is an area of its name has the area's colour, else that of the
 * outside where it stands.
 */
export function FormParts(props: Props) {
  const { shape, width, kinds, lit } = props;
  return shape.parts
    .filter(({ kind }) => kinds.includes(kind))
    .map((part, i) => {
      const stroke = part.kind === lit ? 'var(--accent)' : 'currentColor';
      const line = { strokeWidth: part.kind === lit ? 3 : 1.5, vectorEffect: 'non-scaling-stroke' } as const;
      const fill = colourOfPart(part, props);
      switch (part.kind) {
        case 'handle': {
          const d = handlePath(shape, width, part);
          const thick = Math.max(5, width * HANDLE_THICKNESS);
          return (
            <g key={i} fill="none">
              <path d={d} stroke={stroke} strokeWidth={thick} />
              <path d={d} stroke={fill} strokeWidth={thick - (part.kind === lit ? 3 : 1.6)} />
            </g>
          );
        }
        case 'spout':
          return <path key={i} d={spoutPath(shape, width, part)} {...{ fill, stroke, ...line }} />;
        case 'lid':
          return <path key={i} d={lidPath(shape, width, part)} {...{ fill, stroke, ...line }} />;
        case 'opening':
          return (
            <path
              key={i}
              d={openingPath(width, part)}
              fill={part.y === 0 || part.y === 1 ? 'var(--paper)' : '#2c2a28'}
              {...{ stroke, ...line }}
            />
          );
      }
    });
}

function colourOfPart(part: FormPart, { coats, areas, zones, bodyColour, colourOf }: Props): string {
  const top = (zone: Zone | undefined) => colourOf.get(zone?.stack.at(-1)?.glaze ?? '') ?? bodyColour;
  if (areas.some(({ name }) => name === part.kind))
    return top(zonesOf(coats, areas).find(({ area }) => area === part.kind));
  if (part.kind === 'lid' || part.kind === 'opening') return bodyColour;
  const middle = (part.from + part.to) / 2;
  return top(zones.find(({ side, from, to }) => side === 'outside' && from <= middle && to >= middle));
}
