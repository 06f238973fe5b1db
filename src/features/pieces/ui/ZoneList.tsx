import { sideWord, type Measures } from '@/core/vocabulary';
import { Said } from '@/ui/units';
import { groundOf, headwordOf, placeWords, sidesOf, stackWords, zonesOf, type Area } from '@/core/coats';
import type { DrawnCoat } from '@/ui/silhouette';
import css from './pieces.module.css';

/** The zones the bands make, named in words: what each will prove. */
export function ZoneList({
  piece,
  coats,
  areas,
  body,
  nameOf,
}: {
  piece: Measures;
  coats: readonly DrawnCoat[];
  areas: readonly Area[];
  body: string;
  nameOf: (id: string) => string;
}) {
  const sides = sidesOf(coats.filter(({ area }) => area === undefined));
  const zones = zonesOf(coats, areas);
  const parts = [
    ...sides.map((side) => ({
      name: side,
      own: zones.filter((zone) => zone.area === undefined && zone.side === side),
      words: sideWord(piece.form, side),
    })),
    ...areas.map(({ name }) => ({ name, own: zones.filter(({ area }) => area === name), words: null })),
  ];
  return (
    <div className={css.zones} aria-live="polite">
      {parts.map(({ name, own, words }) => (
        <div key={name}>
          {sides.length > 1 && words && <h4 className={css.side}>{words}</h4>}
          <ul>
            {own.toReversed().map((zone) => {
              const { ground, stack } = groundOf(body, zone.stack);
              return (
                <li key={zone.from} className={css.zone}>
                  <span className="quiet small">
                    <Said of={placeWords(zone, piece)} />
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
