import { sayQuantity, type Quantity, type Units } from './quantity';

/** A sentence of which the quantities are still numbers: the reader's units are put in where it is shown. */
export type Message = string | readonly (string | Quantity)[];

/**
 * A template for messages: words as written, quantities kept as such, numbers as they are, messages taken in.
 *
 * @example text`Climb more slowly past ${celsius(900)}.`
 */
export function text(
  words: TemplateStringsArray,
  ...parts: readonly (string | number | Quantity | Message)[]
): Message {
  const all = words.flatMap((word, i) => {
    const part = parts[i];
    const said =
      part === undefined ? [] : Array.isArray(part) ? part : [typeof part === 'number' ? String(part) : part];
    return [word, ...(said as readonly (string | Quantity)[])];
  });
  return all.filter((part) => part !== '');
}

/** Messages one after another. */
export function joined(messages: readonly Message[], between = ''): Message {
  return messages.flatMap((message, i) => [
    ...(i > 0 && between ? [between] : []),
    ...(typeof message === 'string' ? [message] : message),
  ]);
}

/** A message in the reader's units. */
export function sayMessage(message: Message, units: Units): string {
  if (typeof message === 'string') return message;
  return message.map((part) => (typeof part === 'string' ? part : sayQuantity(part, units))).join('');
}

/** Where a quantity stands in a text: between marks that nobody types. */
const HELD = /⟦(\w+) (\S+) (\d+)(\+?)⟧/g;

/**
 * A message as one text for where only text goes, such as what a schema finds wrong. Its quantities are kept in it as
 * numbers, until {@link sayText} puts the reader's units in.
 */
export function heldText(message: Message): string {
  if (typeof message === 'string') return message;
  return message
    .map((part) =>
      typeof part === 'string'
        ? part
        : `⟦${part.dimension} ${part.value} ${part.digits}${part.isSigned ? '+' : ''}⟧`,
    )
    .join('');
}

/** A text in the reader's units. @example sayText(heldText(text`At most ${celsius(100)}.`), METRIC) // 'At most 100 °C.' */
export function sayText(held: string, units: Units): string {
  return held.replace(HELD, (_, dimension: string, value: string, digits: string, sign: string) =>
    sayQuantity(
      {
        dimension: dimension as Quantity['dimension'],
        value: Number(value),
        digits: Number(digits),
        isSigned: sign !== '',
      },
      units,
    ),
  );
}
