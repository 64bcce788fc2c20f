import { useEffect, useState } from 'react';
import { nowMinute } from './PlanContext.tsx';

/** The moment, told again every so many milliseconds: only countdowns need the second. */
export function useNow(everyMs = 1000): number {
  const [now, setNow] = useState(nowMinute);
  useEffect(() => {
    const timer = setInterval(() => setNow(nowMinute()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}
