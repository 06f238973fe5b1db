/** Lines a person can follow while the set-up works. */
const began = Date.now();

/** One step of progress, with the seconds since the start. */
export function say(text) {
  const seconds = String(Math.round((Date.now() - began) / 1000)).padStart(4);
  console.log(`${seconds} s  ${text}`);
}

/** A plain end: what is wrong and the way out. Thrown, so that whatever was started is stopped first. */
export class CannotGoOn extends Error {}
