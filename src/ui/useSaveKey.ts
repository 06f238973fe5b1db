import { useHotkeys } from 'react-hotkeys-hook';
import { isUnderDialog } from './usePageKey';

/**
 * Saves the page with Ctrl+Enter (⌘+Enter), wherever the focus is. The key is taken before a field sees it: a drop-down would
 * open on Enter as well.
 */
export function useSaveKey(save: () => void, { enabled = true }: { readonly enabled?: boolean } = {}): void {
  useHotkeys(
    'mod+enter',
    (event) => {
      event.stopPropagation();
      save();
    },
    {
      enabled,
      enableOnFormTags: true,
      preventDefault: true,
      eventListenerOptions: { capture: true },
      ignoreEventWhen: isUnderDialog,
    },
  );
}
