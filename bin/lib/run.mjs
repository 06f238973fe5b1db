import { spawn } from 'node:child_process';
import { CannotGoOn } from './say.mjs';

/**
 * Runs a command to its end with its output shown, or kept when quiet.
 * Resolves to { code, output }; a command that cannot be started has code -1.
 */
export function run(command, args, { quiet = false, env = process.env, cwd = process.cwd() } = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd, env, stdio: quiet ? ['ignore', 'pipe', 'pipe'] : 'inherit' });
    let output = '';
    child.stdout?.on('data', (data) => (output += data));
    child.stderr?.on('data', (data) => (output += data));
    child.on('error', (error) => resolve({ code: -1, output: String(error) }));
    child.on('close', (code) => resolve({ code: code ?? -1, output }));
  });
}

/** Runs a command that must succeed; its last lines are shown when it does not. */
export async function must(what, command, args, options) {
  const { code, output } = await run(command, args, { quiet: true, ...options });
  if (code === 0) return output;
  const full = /ENOSPC|No space left/.test(output)
    ? ' The disk is full: make room and run the same command again.'
    : '';
  throw new CannotGoOn(`${what} failed.${full}\n${output.trim().split('\n').slice(-12).join('\n')}`);
}
