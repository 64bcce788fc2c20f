import type { DoneEvent } from '#core/facts/index';
import { coat, done, NOW, part, piece } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { whenRefused } from './whenDone.ts';

const bell = piece(part());
const primer = (number: number, ago: number) => coat('primer', number, ago, 'lacquer-primer', 'fine-primer', 12) as DoneEvent;
const colour = (number: number, ago: number) => coat('colour', number, ago, 'acrylic-lacquer', 'colour', 10) as DoneEvent;
const log = [primer(1, 300), primer(2, 280), colour(1, 100)];
const asked = (event: DoneEvent, ago: number) => whenRefused(event, NOW - ago, bell, log, NOW);

describe('a time typed for work already done', () => {
  it('is any earlier moment, last night or last month', () => {
    expect(asked(colour(2, 0), 60)).toBeNull();
    expect(asked(done('wash', 0) as DoneEvent, 30 * 1440)).toBeNull();
    expect(asked(primer(1, 0), 300)).toBeNull();
  });
  it('is not to come, nor ages ago, nor nothing', () => {
    expect(asked(colour(2, 0), -30)).toContain('still to come');
    expect(asked(done('wash', 0) as DoneEvent, 11 * 366 * 1440)).toContain('ten years');
    expect(asked(colour(2, 0), Number.NaN)).toContain('day and the hour');
  });
  it('lays no film before the one below it, nor after the one above it', () => {
    expect(asked(colour(1, 100), 290)).toContain('below it');
    expect(asked(primer(2, 280), 90)).toContain('above it');
    expect(asked(primer(1, 300), 270)).toContain('above it');
    expect(asked(primer(2, 280), 310)).toContain('below it');
  });
  it('knows nothing of films elsewhere', () => {
    const elsewhere = { ...colour(1, 0), on: [{ partId: 'lid', zoneIds: ['all'] }] };
    expect(asked(elsewhere, 400)).toBeNull();
  });
});
