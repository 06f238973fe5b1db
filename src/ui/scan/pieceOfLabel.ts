/**
 * The number of the piece that a label leads to, whichever address the studio had when it was printed.
 *
 * @param text what the QR says
 * @returns null for anything else
 * @example pieceOfLabel('https://studio.example/pieces/SW-0012') // 'SW-0012'
 */
export function pieceOfLabel(text: string): string | null {
  if (!URL.canParse(text)) return null;
  const number = /^\/pieces\/([A-Za-z]+-\d+)\/?$/.exec(new URL(text).pathname)?.[1];
  return number?.toUpperCase() ?? null;
}
