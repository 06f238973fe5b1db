import { MODELS } from './all';
import type { Size } from './row';

/** npm run validate: every model on what it is tried on, as a table; ends with an error where an aim is missed. */
const [size = 'long', ...only] = process.argv.slice(2);
let missed = 0;
console.log('| model | setting | aim | reached |\n|---|---|---|---|');
for (const [model, rowsOf] of Object.entries(MODELS)) {
  if (only.length > 0 && !only.some((part) => model.includes(part))) continue;
  for (const { setting, aim, reached, isMet } of rowsOf(size as Size)) {
    if (!isMet) missed++;
    console.log(`| ${model} | ${setting} | ${aim} | ${reached}${isMet ? '' : ' **missed**'} |`);
  }
}
console.log(missed === 0 ? 'no aim missed' : `${missed} aims missed`);
process.exitCode = missed === 0 ? 0 : 1;
