/** Of a defect `d` on a piece `p`: that its maker did not want it so. */
export const NOT_WANTED = 'not json_contains(p.wanted, json_quote(d.defect))';
