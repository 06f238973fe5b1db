import { readFileSync } from 'node:fs';
import type { ZodError } from 'zod';

type Answer = { readonly errors: ZodError } | { readonly answer: unknown };

/** A command: checks its input and what stands behind its name, then answers with plain data. */
export type Command = (input: unknown, names: readonly string[]) => Answer | Promise<Answer>;

/** Each is loaded when it is asked for. */
const COMMANDS: Readonly<Record<string, () => Promise<Command>>> = {
  analyse: async () => (await import('./analyse')).analyse,
  batch: async () => (await import('./batch')).batch,
  blend: async () => (await import('./blend')).blend,
  bodylimit: async () => (await import('./bodylimit')).bodylimit,
  colour: async () => (await import('./colour')).colour,
  cooling: async () => (await import('./cooling')).cooling,
  cone: async () => (await import('./cone')).cone,
  contrast: async () => (await import('./contrast')).contrast,
  diagnose: async () => (await import('./diagnose')).diagnose,
  fit: async () => (await import('./fit')).fit,
  heatwork: async () => (await import('./heatwork')).heatwork,
  measure: async () => (await import('./measure')).measure,
  palette: async () => (await import('./palette')).palette,
  watch: async () => (await import('./watch')).watch,
  zones: async () => (await import('./zones')).zones,
};

/** Commands that are given a picture and nothing else. */
const WITHOUT_INPUT: ReadonlySet<string> = new Set(['palette']);

async function main([name, ...names]: readonly string[]): Promise<number> {
  const load = name === undefined ? undefined : COMMANDS[name];
  if (!load || name === undefined) {
    const known = Object.keys(COMMANDS).join(', ');
    return complain([`usage: jiten COMMAND < in.json > out.json, where COMMAND is one of: ${known}`]);
  }
  let input: unknown;
  try {
    input = WITHOUT_INPUT.has(name) ? null : JSON.parse(readFileSync(0, 'utf8'));
  } catch (error) {
    return complain([`input: not JSON (${(error as Error).message})`]);
  }
  const result = await (await load())(input, names);
  if ('errors' in result) {
    return complain(result.errors.issues.map((issue) => `${pathOf(issue.path)}: ${issue.message}`));
  }
  process.stdout.write(`${JSON.stringify(result.answer, null, 2)}\n`);
  return 0;
}

function complain(lines: readonly string[]): number {
  process.stderr.write(lines.map((line) => `${line}\n`).join(''));
  return 2;
}

/** A path as people write it: lines[2].amount. */
function pathOf(path: readonly PropertyKey[]): string {
  const text = path.map((step) => (typeof step === 'number' ? `[${step}]` : `.${String(step)}`)).join('');
  return text.replace(/^\./, '') || 'input';
}

process.exitCode = await main(process.argv.slice(2));
