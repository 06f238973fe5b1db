import { useEffect, useState } from 'react';

/** A walk that pauses so long rests, ms. */
const REST = 300;

/**
 * The chosen cell in the address, as "at": written when the walk rests, for written at every key it makes the
 * next one wait.
 */
export function useWalked() {
  const [walked] = useState(walk);
  useEffect(() => {
    // What is done next may lead elsewhere: an address written on the way there would end it.
    const onKey = ({ key }: KeyboardEvent) => void (key.startsWith('Arrow') || walked.say());
    document.addEventListener('click', walked.say, true);
    document.addEventListener('keydown', onKey, true);
    return () => {
      document.removeEventListener('click', walked.say, true);
      document.removeEventListener('keydown', onKey, true);
      walked.unsaid();
    };
  }, [walked]);
  return walked;
}

function walk() {
  let at: string | null = null;
  let timer: ReturnType<typeof setTimeout>;
  /** The cell that the address does not say yet; null when it does. What is taken is not written later. */
  const unsaid = () => {
    const taken = at;
    clearTimeout(timer);
    at = null;
    return taken;
  };
  /** Writes it now. */
  const say = () => {
    const taken = unsaid();
    if (taken === null) return;
    const address = new URL(window.location.href);
    address.searchParams.set('at', taken);
    window.history.replaceState(null, '', address);
  };
  const to = (cell: string) => {
    clearTimeout(timer);
    at = cell;
    timer = setTimeout(say, REST);
  };
  return { to, say, unsaid };
}
