import escapeHtml from 'escape-html';
import type { Wall } from '../server/wallOf';
import { cellKey, quartersOf, type WallCell } from './cells';
import { cellName, cellWords } from './shareWords';

/**
 * The rows of a wall of many glazes as HTML: every cell a link in its colours. As text they are put into the page
 * as they are; as elements, thousands of them would be gone through one by one there.
 *
 * @param at address of the share
 */
export function smallRows({ glazes }: Wall, cells: ReadonlyMap<string, WallCell>, at: string): string {
  const cellOf = (below: Wall['glazes'][number], over: Wall['glazes'][number]) => {
    const cell = cells.get(cellKey(below.id, over.id));
    const name = cellName(below, over);
    return cell?.headwordId
      ? `<td><a href="${escapeHtml(`${at}/entry/${cell.headwordId}`)}" aria-label="${escapeHtml(`${name}: ${cellWords(cell)}`)}" style="background:${escapeHtml(quartersOf(cell))}"></a></td>`
      : `<td><span role="img" aria-label="${escapeHtml(`${name}: not tried`)}"></span></td>`;
  };
  return glazes
    .map(
      (below) =>
        `<tr><th scope="row">${escapeHtml(below.name)}</th>${glazes.map((over) => cellOf(below, over)).join('')}</tr>`,
    )
    .join('');
}
