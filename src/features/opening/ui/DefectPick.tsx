'use client';
import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { useState, type RefObject } from 'react';
import {
  DEFECTS,
  defectOf,
  faultOf,
  ITSELF,
  PLACES,
  type DefectId,
  type Place,
  COMMON_DEFECTS,
} from '@/core/vocabulary';
import type { ReadingDraft } from '@/records/openings';
import { DefectGlyph } from '@/ui/DefectGlyph';
import { WordRow } from './WordRow';
import css from './opening.module.css';

const SEVERITY = ['', 'slight', 'plain', 'spoils it'];

/** Where a defect can sit; that it is the piece's own is asked only where it may be either. */
function placesOf(id: DefectId): readonly Place[] {
  return faultOf(id) === 'either' ? [ITSELF, ...ZONE_PLACES] : ZONE_PLACES;
}

const ZONE_PLACES = PLACES.filter((place) => place !== ITSELF);

const nameOf = (id: DefectId) => defectOf(id)!.name;

interface Props {
  readonly where: string;
  readonly readings: readonly ReadingDraft[];
  readonly armed: DefectId | null;
  /** The field that a key jumps to. */
  readonly field: RefObject<HTMLInputElement | null>;
  readonly onTap: (defect: DefectId) => void;
  readonly onPlace: (defect: DefectId, place: Place) => void;
}

/** Defects by their glyphs, the commonest first; those that are on say how bad, and where. */
export function DefectPick({ where, readings, armed, field, onTap, onPlace }: Props) {
  const [more, setMore] = useState(false);
  const worst = new Map<DefectId, { severity: number; place: Place }>();
  for (const { defects } of readings)
    for (const one of defects)
      if ((worst.get(one.defect)?.severity ?? 0) < one.severity) worst.set(one.defect, one);
  const shown = more ? DEFECTS.map(({ id }) => id) : [...new Set([...COMMON_DEFECTS, ...worst.keys()])];
  return (
    <section className={css.defects}>
      <h2>What is wrong {where}?</h2>
      <div className={css.glyphs}>
        {shown.map((id) => {
          const on = worst.get(id);
          return (
            <button
              key={id}
              type="button"
              aria-pressed={Boolean(on)}
              data-armed={armed === id || undefined}
              onClick={() => onTap(id)}
            >
              <DefectGlyph id={id} size={30} labelled />
              {nameOf(id)}
              {on && <small>{SEVERITY[on.severity]}</small>}
            </button>
          );
        })}
        <button type="button" onClick={() => setMore(!more)} aria-expanded={more}>
          {more ? 'fewer' : 'more'}
        </button>
      </div>
      <Autocomplete
        className={css.deskOnly}
        options={DEFECTS}
        value={null}
        blurOnSelect
        autoHighlight
        clearOnBlur
        getOptionLabel={(defect) => defect.name}
        onChange={(_, defect) => defect && onTap(defect.id)}
        renderInput={(params) => <TextField {...params} label="A defect by name (key .)" inputRef={field} />}
      />
      {[...worst].map(([id, { place }]) => (
        <div key={id} className={css.place}>
          <p className="small">
            {faultOf(id) === 'either'
              ? `${nameOf(id)}: the piece itself, or its glazes?`
              : `Where: ${nameOf(id)}?`}{' '}
            {faultOf(id) === 'piece' && 'Not counted against the glazes. '}
            <span className="heat">{defectOf(id)?.caution}</span>
          </p>
          <WordRow
            label={`Place of ${nameOf(id)}`}
            options={placesOf(id)}
            value={place}
            onPick={(to) => onPlace(id, to)}
          />
        </div>
      ))}
    </section>
  );
}
