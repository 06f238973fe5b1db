import { METRIC, sayQuantity, type Quantity, type Units } from './quantity';

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
export function sayMessage(message: Message, units: Units = METRIC): string {
  if (typeof message === 'string') return message;
  return message.map((part) => (typeof part === 'string' ? part : sayQuantity(part, units))).join('');
}
