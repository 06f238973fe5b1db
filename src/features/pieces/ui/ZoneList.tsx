import type { Measures } from '@/core/vocabulary';
import { Said } from '@/ui/units';
import { groundOf, placeWords, sidesOf, stackWords, zonesOf, headwordOf } from '@/core/coats';
import type { DrawnCoat } from '@/ui/Silhouette';
import css from './pieces.module.css';

/** The zones the bands make, named in words: what each will prove. */
export function ZoneList({
  piece,
  coats,
  body,
  nameOf,
}: {
  piece: Measures;
  coats: readonly DrawnCoat[];
  body: string;
  nameOf: (id: string) => string;
}) {
  const sides = sidesOf(coats);
  const zones = zonesOf(coats);
  return (
    <div className={css.zones} aria-live="polite">
      {sides.map((side) => (
        <div key={side}>
          {sides.length > 1 && <h4 className={css.side}>{side}</h4>}
          <ul>
            {zones
              .filter((zone) => zone.side === side)
              .reverse()
              .map((zone) => {
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
