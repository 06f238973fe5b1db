import { sideWord, type Measures } from '@/core/vocabulary';
import { Said } from '@/ui/units';
import {
  groundOf,
  headwordOf,
  placeWords,
  sidesOf,
  stackWords,
  zonesOf,
  type WrittenArea,
} from '@/core/coats';
import type { DrawnCoat } from '@/ui/silhouette';
import css from './pieces.module.css';

/** The zones the bands make, named in words: what each will prove. */
export function ZoneList({
  piece,
  coats,
  areas,
  body,
  nameOf,
  bodyOf,
}: {
  piece: Measures;
  coats: readonly DrawnCoat[];
  areas: readonly WrittenArea[];
  body: string;
  nameOf: (id: string) => string;
  /** The name of a clay. */
  bodyOf: (id: string) => string;
}) {
  const sides = sidesOf(coats.filter(({ area }) => area === undefined));
  const zones = zonesOf(coats, areas);
  const parts = [
    ...sides.map((side) => ({
      name: side,
      own: zones.filter((zone) => zone.area === undefined && zone.side === side),
      words: sideWord(piece.form, side),
      clay: null,
    })),
    ...areas.map(({ name, bodyId }) => ({
      ...{ name, own: zones.filter(({ area }) => area === name), words: null },
      clay: bodyId && bodyOf(bodyId),
    })),
  ];
  return (
    <div className={css.zones} aria-live="polite">
      {parts.map(({ name, own, words, clay }) => (
        <div key={name}>
          {sides.length > 1 && words && <h4 className={css.side}>{words}</h4>}
          <ul>
            {own.toReversed().map((zone) => {
              const { ground, stack } = groundOf(body, zone.stack);
              return (
                <li key={zone.from} className={css.zone}>
                  <span className="quiet small">
                    <Said of={placeWords(zone, piece)} />
                    {clay && `, ${clay}`}
                  </span>
                  <span>
                    <b className={css.headword}>{headwordOf(stack, nameOf)}</b>
                    <span className="small quiet">
                      {stack.length > 0 && `${stackWords(stack, nameOf)}`}
                      {ground.slips.length > 0 &&
                        `${stack.length ? '; on ' : 'slip: '}${ground.slips.map(nameOf).join(' and ')}`}
                    </span>
                  </span>
                </li>
              );
            })}
          </ul>
        </div>
      ))}
    </div>
  );
}
