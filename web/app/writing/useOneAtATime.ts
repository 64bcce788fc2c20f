import { useCallback, useRef, useState } from 'react';

/** Runs one press at a time: a second one while the first is still on its way does nothing. */
export function useOneAtATime(): { readonly busy: boolean; readonly once: (work: () => Promise<void>) => void } {
  const [busy, setBusy] = useState(false);
  const running = useRef(false);
  const once = useCallback((work: () => Promise<void>) => {
    if (running.current) return;
    running.current = true;
    setBusy(true);
    void work().finally(() => {
      running.current = false;
      setBusy(false);
    });
  }, []);
  return { busy, once };
}
