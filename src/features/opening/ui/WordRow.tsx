'use client';
import css from './opening.module.css';

/** A few words of which one is true, each as large as a thumb. */
export function WordRow<T extends string>({
  label,
  options,
  value,
  onPick,
  keyOf,
}: {
  label: string;
  options: readonly T[];
  value: T | null;
  onPick: (value: T) => void;
  /** The key that does the same on a desk. */
  keyOf?: (value: T, index: number) => string;
}) {
  return (
    <div className={css.choice} data-few={options.length <= 3 || undefined} role="group" aria-label={label}>
      {options.map((option, i) => (
        <button
          key={option}
          type="button"
          aria-pressed={value === option}
          aria-keyshortcuts={keyOf?.(option, i)}
          title={keyOf?.(option, i)}
          onClick={() => onPick(option)}
        >
          {option}
        </button>
      ))}
    </div>
  );
}
