import { describe, expect, it } from 'vitest';
import { fits, hangingAt, HangingRoom, type Spell } from './hanging.ts';

const spell = (what: string, from: number, until: number, count = 1, longMm = 100): Spell => ({
  what,
  from,
  until,
  copies: { count, longMm },
});

describe('drying places', () => {
  it('take each copy where its length fits, small ones on long places too', () => {
    const places = [
      { count: 2, longMm: 150 },
      { count: 1, longMm: 600 },
    ];
    const copies = (...lengths: number[]) => lengths.map((longMm) => ({ count: 1, longMm }));
    expect(fits(copies(100, 100, 100), places)).toBe(true);
    expect(fits(copies(100, 100, 100, 100), places)).toBe(false);
    expect(fits(copies(500, 100), places)).toBe(true);
    expect(fits(copies(500, 200), places)).toBe(false);
    expect(fits(copies(700), places)).toBe(false);
  });
  it('are free again when the first of what hangs can be laid down', () => {
    const room = new HangingRoom([{ count: 2, longMm: 200 }], [spell('a', 0, 50), spell('b', 0, 80)]);
    expect(room.freeAt([spell('c', 10, 100)])).toBe(50);
    expect(room.freeAt([spell('c', 50, 100)])).toBeNull();
    expect(room.freeAt([spell('c', 60, 100, 2)])).toBe(80);
    expect(room.freeAt([spell('c', 90, 100, 3)])).toBe(Number.POSITIVE_INFINITY);
  });
  it('count a part once however often it is sprayed', () => {
    const room = new HangingRoom([{ count: 1, longMm: 200 }], []);
    const first = [spell('a', 0, 50)];
    room.add(first);
    expect(room.freeAt([spell('a', 20, 70)])).toBeNull();
    expect(hangingAt([...first, spell('a', 20, 70)], 30)).toHaveLength(1);
    expect(room.freeAt([spell('b', 20, 40)])).toBe(50);
    room.remove(first);
    expect(room.freeAt([spell('b', 20, 40)])).toBeNull();
  });
  it('look ahead to what is to hang later', () => {
    const room = new HangingRoom([{ count: 1, longMm: 200 }], [spell('a', 100, 150)]);
    expect(room.freeAt([spell('b', 0, 90)])).toBeNull();
    expect(room.freeAt([spell('b', 0, 120)])).toBe(150);
  });
});
