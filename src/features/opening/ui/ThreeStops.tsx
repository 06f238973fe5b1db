'use client';
import Slider from '@mui/material/Slider';
import css from './opening.module.css';

interface Props<T extends string> {
  readonly label: string;
  readonly stops: readonly T[];
  /** null: not noted yet; 'mixed': zones differ. */
  readonly value: T | null | 'mixed';
  readonly onSay: (value: T) => void;
}

/** A slider with few stops, each named and each as good a target as the thumb. */
export function ThreeStops<T extends string>({ label, stops, value, onSay }: Props<T>) {
  const at = stops.indexOf(value as T);
  return (
    <div className={css.stops} role="group" aria-label={label} data-said={at >= 0 || undefined}>
      <span className={css.stopsLabel}>
        {label}
        {value === 'mixed' && <small> differs by zone</small>}
      </span>
      <Slider
        aria-label={label}
        min={0}
        max={stops.length - 1}
        step={1}
        marks
        track={false}
        value={Math.max(0, at)}
        getAriaValueText={(n) => (at < 0 ? 'not noted' : stops[n]!)}
        onChange={(_, n) => onSay(stops[n]!)}
        // Nothing changes when the first stop is chosen while nothing was said: then the release says it.
        onChangeCommitted={(_, n) => at < 0 && onSay(stops[n]!)}
      />
      <div className={css.stopNames}>
        {stops.map((stop) => (
          <button key={stop} type="button" aria-pressed={stop === value} onClick={() => onSay(stop)}>
            {stop}
          </button>
        ))}
      </div>
    </div>
  );
}
