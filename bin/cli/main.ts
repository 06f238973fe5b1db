import { readFileSync } from 'node:fs';
import type { ZodError } from 'zod';
import { analyse } from './analyse';
import { batch } from './batch';
import { blend } from './blend';
import { colour } from './colour';
import { cone } from './cone';
import { contrast } from './contrast';
import { diagnose } from './diagnose';
import { fit } from './fit';
import { heatwork } from './heatwork';
import { measure } from './measure';
import { zones } from './zones';

/** A command: checks its input, then answers with plain data. */
export type Command = (input: unknown) => { readonly errors: ZodError } | { readonly answer: unknown };

const COMMANDS: Readonly<Record<string, Command>> = {
  analyse,
  fit,
  batch,
  blend,
  zones,
  cone,
  heatwork,
  measure,
  contrast,
  diagnose,
  colour,
};

function main([name]: readonly string[]): number {
  const command = name === undefined ? undefined : COMMANDS[name];
  if (!command) {
    const known = Object.keys(COMMANDS).join(', ');
    return complain([`usage: jiten COMMAND < in.json > out.json, where COMMAND is one of: ${known}`]);
  }
  let input: unknown;
  try {
    input = JSON.parse(readFileSync(0, 'utf8'));
  } catch (error) {
    return complain([`input: not JSON (${(error as Error).message})`]);
  }
  const result = command(input);
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

process.exitCode = main(process.argv.slice(2));
