/**
 * A count with its word.
 *
 * @example counted(1, 'piece') // '1 piece'
 * @example counted(8, 'batch', 'batches') // '8 batches'
 */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}

/** Words as they begin a line: "cone 6" as "Cone 6". */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
