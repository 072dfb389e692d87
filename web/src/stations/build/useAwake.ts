import { useEffect } from 'react';

/** Keeps the screen awake as long as something is watched on it, where the browser can. */
export function useAwake(watched: boolean): void {
  useEffect(() => {
    if (!watched || !('wakeLock' in navigator)) {
      return;
    }
    let lock: WakeLockSentinel | undefined;
    let over = false;
    const ask = () => {
      if (document.visibilityState !== 'visible') {
        return;
      }
      navigator.wakeLock.request('screen').then(
        (got) => {
          lock = got;
          if (over) {
            void got.release();
          }
        },
        // A phone low on battery says no: the timer still runs.
        () => undefined,
      );
    };
    ask();
    // It is taken away when the page is out of sight, and asked for again when it is back.
    document.addEventListener('visibilitychange', ask);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', ask);
      void lock?.release();
    };
  }, [watched]);
}
