import type { LogEvent, Part } from '#core/facts/index';
import { newPart } from '#core/facts/index';
import { describe, expect, it } from 'vitest';
import { gateItems, openTicks, openTicksText, tickItems } from './index.ts';

/** Countersinks and rims are looked at one by one: the one that is missed pops the paint. */

const side = (count: number, more: Partial<Part> = {}): Part =>
  newPart({ id: 'side', name: 'Side', material: 'steel', faces: [], features: [{ id: 'c', kind: 'countersinks', count }], ...more });
const scope = () => ({}) as never;
const items = gateItems(side(8), true, scope);
let id = 0;
const event = (kind: 'ticked' | 'failed-check', item: string, more = {}): LogEvent =>
  ({ id: `e${++id}`, at: '2026-12-01T19:00:00Z', kind, pieceId: 'bin', partIds: ['side'], item, ...more }) as LogEvent;
const open = (events: LogEvent[]) => openTicks(items, 'bin', ['side'], events);

describe('a tick-list', () => {
  it('has one item for each countersink, and one line where there is one, or more than a list holds', () => {
    expect(tickItems(items)).toHaveLength(8);
    expect(tickItems(gateItems(side(1), true, scope))).toEqual([]);
    expect(tickItems(gateItems(side(25), true, scope))).toEqual([]);
    expect(gateItems(side(25), true, scope).join()).toContain('Countersinks matt to the bottom');
  });
  it('names what is not ticked: six of eight, and these two', () => {
    const six = tickItems(items)
      .slice(0, 6)
      .map((item) => event('ticked', item));
    expect(openTicksText(open(six))).toBe('Not ready: countersink 7 on side and countersink 8 on side are not ticked.');
    expect(openTicksText(open([...six, ...tickItems(items).map((item) => event('ticked', item))]))).toBe('');
  });
  it('is unticked by hand, and begun anew once the part was sent back', () => {
    const [first] = tickItems(items);
    const all = tickItems(items).map((item) => event('ticked', item));
    expect(open([...all, event('ticked', first, { off: true })])).toEqual([first]);
    expect(open([...all, event('failed-check', first)])).toHaveLength(8);
    expect(openTicksText([first])).toBe('Not ready: countersink 1 on side is not ticked.');
  });
  it('of another piece, or of another part that was sent back, changes nothing', () => {
    const all = tickItems(items).map((item) => event('ticked', item));
    expect(open(all.map((own) => ({ ...own, pieceId: 'other' }) as LogEvent))).toHaveLength(8);
    expect(open([...all, event('failed-check', items[0], { partIds: ['lid'] })])).toEqual([]);
  });
});
