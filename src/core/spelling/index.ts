import { distance } from 'fastest-levenshtein';

/** Letters that may be wrong in a word, by its length (judgement). */
function mostWrong(word: string): number {
  if (word.length < 4) return 0;
  return word.length < 5 ? 1 : 2;
}

/**
 * The words that were most likely meant: each that begins no known word, nor stands in one, becomes the nearest
 * known one, by Levenshtein's distance to the word or to as much of it as was typed. Short words and those that
 * are near to nothing stay as they are.
 *
 * @param words lower case
 * @param known lower case
 * @example meant(['limwash'], ['limewash', 'sleeper']) // ['limewash']
 */
export function meant(words: readonly string[], known: readonly string[]): string[] {
  return words.map((word) => {
    if (known.some((one) => one.includes(word))) return word;
    const most = mostWrong(word);
    let [best, least] = [word, most + 1];
    for (const one of known) {
      const wrong = Math.min(
        distance(word, one),
        distance(word, one.slice(0, word.length)) + (most ? 0.5 : 0),
      );
      if (wrong < least) [best, least] = [one, wrong];
    }
    return best;
  });
}
