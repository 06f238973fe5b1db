import { useHotkeys, type HotkeyCallback, type Options } from 'react-hotkeys-hook';

/** Whether a dialog lies over the page: its keys are its own. */
export const isUnderDialog = () => document.querySelector('[role="dialog"]') !== null;

/** A key of the page, or one of several (`a,b`), which does nothing in a field and while a dialog lies over the page. */
export function usePageKey(
  keys: string | readonly string[],
  act: HotkeyCallback,
  options: Pick<Options, 'enabled' | 'useKey' | 'preventDefault'> = {},
): void {
  useHotkeys(keys, act, { ...options, ignoreEventWhen: isUnderDialog });
}
