import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { conditionsOf } from '#core/drying/index';
import { eventSchema, type LogEvent, readWorkshopText } from '#core/facts/index';
import { plan, type PlannedStep, planView } from '#core/plan/index';
import { toIso, toMinute } from '#core/units/index';
import { outcomeEvents, startedAt } from './screens/bench/outcome/outcomes.tsx';
import { layOutText, packUpText } from './screens/bench/tonight/stay.ts';

const read = readWorkshopText(readFileSync(new URL('../demo/breakwater.json', import.meta.url), 'utf8'));
if (!read.ok) throw new Error(read.problem.error);
const { facts } = read.value;
const NOW = toMinute(read.value.writtenAt);
const view = planView(plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW) }));
const asking = (kind: 'stripped' | 'patch' | 'tile'): PlannedStep => {
  const step = view.steps.find((own) => own.asks?.kind === kind);
  if (!step) throw new Error(`No step of the demo asks for ${kind}.`);
  return step;
};
const pieceOf = (step: PlannedStep) => {
  const piece = facts.pieces.find((own) => own.id === step.pieceId);
  if (!piece) throw new Error('The step belongs to no piece.');
  return piece;
};
let made = 0;
const newId = () => `id-${++made}`;

describe('what came of it, at the bench', () => {
  const stripping = asking('stripped');
  it('is logged with the dwell the log saw', () => {
    const began = startedAt(stripping, facts.events);
    expect(began).not.toBeNull();
    const [event] = outcomeEvents(stripping, pieceOf(stripping), 'most', facts.events, newId, NOW);
    expect(eventSchema.safeParse(event).success).toBe(true);
    expect(event).toMatchObject({ kind: 'stripped', outcome: 'most', dwellMinutes: Math.round(NOW - (began as number)) });
  });
  it('counts no dwell where the log does not say when it began, and never more than a week', () => {
    const silent = outcomeEvents(stripping, pieceOf(stripping), 'clean', [], newId, NOW);
    expect(silent[0]).toMatchObject({ dwellMinutes: 0 });
    const late = outcomeEvents(stripping, pieceOf(stripping), 'clean', facts.events, newId, NOW + 30 * 1440);
    expect(late[0]).toMatchObject({ dwellMinutes: 7 * 1440 });
    for (const event of [...silent, ...late]) expect(eventSchema.safeParse(event).success).toBe(true);
  });
  it('forgets a beginning that was undone', () => {
    const key = facts.events.filter((event) => event.kind === 'done' && startedAt(stripping, [event]) !== null).at(-1);
    const undo: LogEvent = { id: 'u', at: toIso(NOW), kind: 'undo', undoes: key?.id ?? '' };
    expect(startedAt(stripping, [...facts.events, undo])).toBeNull();
  });
  it('takes only outcomes that were asked for', () => {
    expect(outcomeEvents(stripping, pieceOf(stripping), 'held', facts.events, newId, NOW)).toEqual([]);
    expect(outcomeEvents(stripping, pieceOf(stripping), 'harmed', facts.events, newId, NOW)).toEqual([]);
    expect(outcomeEvents(asking('tile'), pieceOf(asking('tile')), 'clean', facts.events, newId, NOW)).toEqual([]);
    const { asks: _asks, ...plain } = stripping;
    expect(outcomeEvents(plain, pieceOf(stripping), 'clean', facts.events, newId, NOW)).toEqual([]);
  });
  it('reads the sheen of the top film of every part looked at', () => {
    const step: PlannedStep = { ...asking('tile'), asks: { kind: 'sheen' } };
    const piece = pieceOf(step);
    const events = outcomeEvents(step, piece, 'satin', facts.events, newId, NOW);
    expect(events).toHaveLength(step.on.length);
    for (const event of events) {
      expect(eventSchema.safeParse(event).success).toBe(true);
      const top = piece.parts.find((part) => 'partId' in event && part.id === event.partId)?.layers.at(-1);
      expect(event).toMatchObject({ kind: 'sheen-read', when: 'dry', looks: 'satin', layerId: top?.id });
    }
    expect(outcomeEvents(step, piece, 'clean', facts.events, newId, NOW)).toEqual([]);
  });
  it('notes what a cup has shown, of the paint and not of the piece', () => {
    const step: PlannedStep = { ...stripping, asks: { kind: 'cup-test', productId: 'chalk', thinner: 'acrylic-lacquer' } };
    const [event] = outcomeEvents(step, pieceOf(step), 'curdled', facts.events, newId, NOW);
    expect(eventSchema.safeParse(event).error).toBeUndefined();
    expect(event).toMatchObject({ kind: 'cup-test', productId: 'chalk', outcome: 'curdled' });
    expect(outcomeEvents(step, pieceOf(step), 'satin', facts.events, newId, NOW)).toEqual([]);
  });
  it('judges every joint of a tile at one press', () => {
    const step = asking('tile');
    const piece = pieceOf(step);
    const events = outcomeEvents(step, piece, 'held', facts.events, newId, NOW);
    const layers = step.on.flatMap(({ partId }) => piece.parts.find((part) => part.id === partId)?.layers ?? []);
    expect(events).toHaveLength(layers.length);
    expect(new Set(events.map((event) => event.id)).size).toBe(events.length);
    for (const event of events) expect(eventSchema.safeParse(event).success).toBe(true);
  });
  it('asks a patch for harm too', () => {
    const { asks: _asks, ...step } = stripping;
    const patch: PlannedStep = { ...step, asks: { kind: 'patch', method: 'gel', application: 1 } };
    expect(outcomeEvents(patch, pieceOf(stripping), 'harmed', [], newId, NOW)[0]).toMatchObject({ kind: 'patch', outcome: 'harmed' });
  });
});

describe('what lies ready', () => {
  const step = (more: Partial<PlannedStep>): PlannedStep => ({
    ...view.steps[0],
    coat: undefined,
    grit: undefined,
    method: undefined,
    ...more,
  });
  it('follows from the steps of the stay, each thing once', () => {
    const text = layOutText([
      step({ stage: 'promoter', supplies: [{ kind: 'promoter', spec: 'adhesion promoter', unit: 'mL', amount: 2 }] }),
      step({ stage: 'clean' }),
      step({ stage: 'clean' }),
      step({ stage: 'prep', grit: 400, supplies: [{ kind: 'paper', spec: 'P400', unit: 'sheet', amount: 1 }] }),
    ]);
    expect(text.split(', ').sort()).toEqual(['P400', 'adhesion promoter', 'side light', 'wipes']);
    expect(layOutText([step({ stage: 'metal-prep' })])).toContain('goggles');
    expect(layOutText([step({ stage: 'strip-on', method: 'gel' })])).toContain('scraper');
  });
  it('is packed up by what was sprayed with', () => {
    expect(packUpText([step({ stage: 'look' })])).toBe('hang the tags');
  });
});
