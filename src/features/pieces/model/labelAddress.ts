/** Where the labels of pieces lie as a PDF. */
export function labelAddress(pieces: readonly { readonly label: string }[]): string {
  return `/api/v1/pieces/labels?numbers=${pieces.map(({ label }) => label).join(',')}`;
}
