import { afterEach, describe, expect, it } from 'vitest';
import { minuteNow, rightNow, setClock } from './clock.ts';

describe('the clock of the server', () => {
  afterEach(() => setClock(new Date().toISOString()));

  it('is the machine’s until it is set, and runs on from the moment it was set to', async () => {
    expect(Math.abs(rightNow().getTime() - Date.now())).toBeLessThan(1000);
    setClock('2028-02-29T23:59:00Z');
    const first = rightNow().getTime();
    expect(Math.abs(first - Date.parse('2028-02-29T23:59:00Z'))).toBeLessThan(1000);
    await new Promise((resolve) => setTimeout(resolve, 5));
    expect(rightNow().getTime()).toBeGreaterThan(first);
    expect(minuteNow()).toBeCloseTo(rightNow().getTime() / 60_000, 1);
  });

  it('refuses what is no moment', () => {
    expect(() => setClock('this evening')).toThrow('ENAMELOS_NOW is a moment');
  });
});
