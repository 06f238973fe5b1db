import { useId, type ReactNode } from 'react';
import css from './radioCards.module.css';

interface Props<T extends string> {
  /** What is chosen, for those who hear the page. */
  readonly label: string;
  readonly options: readonly T[];
  readonly value: T;
  readonly onChange: (value: T) => void;
  /** What stands on a card. */
  readonly card: (option: T) => ReactNode;
  /** The style of a card; the chosen one has `data-chosen`. */
  readonly className: string | undefined;
  /** The style of the whole. */
  readonly groupClassName: string | undefined;
}

/** One of a few, each a card: real radio buttons below them, so that arrow keys choose and a form knows them. */
export function RadioCards<T extends string>(props: Props<T>) {
  const { label, options, value, onChange, card, className, groupClassName } = props;
  const name = useId();
  return (
    <div role="radiogroup" aria-label={label} className={groupClassName}>
      {options.map((option) => (
        <label
          key={option}
          className={`${css.card} ${className ?? ''}`}
          data-chosen={option === value || undefined}
        >
          <input
            type="radio"
            name={name}
            value={option}
            checked={option === value}
            onChange={() => onChange(option)}
            className={css.input}
          />
          {card(option)}
        </label>
      ))}
    </div>
  );
}
