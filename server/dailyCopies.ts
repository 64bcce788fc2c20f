import { rightNow } from './clock.ts';
import { diskTroubleOf } from './store/diskTrouble.ts';
import type { Copies } from './store/copies.ts';

const HOUR_MS = 3_600_000;

/** Makes the copy of the day at the start and whenever a new day has begun. Returns how to stop. */
export function runDailyCopies(copies: Copies): () => void {
  const make = () =>
    void copies.daily(rightNow().toISOString()).catch((error) => {
      const trouble = diskTroubleOf(error);
      console.error(trouble ? `No copy of today could be made. ${trouble.message}` : error);
    });
  make();
  const timer = setInterval(make, HOUR_MS);
  return () => clearInterval(timer);
}
