import { shortFigures } from '@/core/units';
import { isOxide, type Analysis } from '@/core/chemistry';
import { readAmount } from '@/core/recipe';

/** An analysis as it is typed: "SiO2 66.5, Al2O3 18". */
export function analysisText(analysis: Analysis): string {
  return Object.entries(analysis)
    .map(([oxide, percent]) => `${oxide} ${shortFigures(percent, 3)}`)
    .join('\n');
}

/** What was typed as an analysis, and what of it is wrong. */
export interface ReadAnalysis {
  readonly analysis: Readonly<Record<string, number>>;
  readonly total: number;
  readonly errors: readonly string[];
}

/**
 * Reads an analysis, an oxide and its weight % a line or between semicolons; capitals are corrected.
 *
 * @example readAnalysis('sio2 66,5\nAl2O3 18').analysis // { SiO2: 66.5, Al2O3: 18 }
 */
export function readAnalysis(text: string): ReadAnalysis {
  const analysis: Record<string, number> = {};
  const errors: string[] = [];
  for (const part of text.split(/\r?\n|;/).map((one) => one.trim())) {
    if (part === '') continue;
    const [, written = '', number = ''] = /^([A-Za-z][A-Za-z0-9]*)[\s:=\t]*(.*)$/.exec(part) ?? [];
    const oxide = properCase(written);
    const { amount, error } = readAmount(number);
    if (!written) errors.push(`${part}: write an oxide and its percent, such as SiO2 66.5.`);
    else if (!isOxide(oxide)) errors.push(`${written} is not a known oxide.`);
    else if (error) errors.push(`${oxide}: ${error}`);
    else if (amount === null) errors.push(`${oxide}: how much?`);
    else if (oxide in analysis) errors.push(`${oxide} is here twice.`);
    else analysis[oxide] = amount;
  }
  return { analysis, total: Object.values(analysis).reduce((sum, share) => sum + share, 0), errors };
}

/** "al2o3" as it is written: Al2O3. Every element of an oxide but oxygen comes first. */
function properCase(written: string): string {
  const [, metal = '', rest = ''] = /^([a-z]{1,2}?)(\d*(?:o|c)?\d*)$/i.exec(written) ?? [];
  const name = metal.charAt(0).toUpperCase() + metal.slice(1).toLowerCase() + rest.toUpperCase();
  return isOxide(written) ? written : name;
}
