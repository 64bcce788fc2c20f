import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { type Facts, FORMAT_VERSION, readWorkshopText } from '../index.ts';

/** Files frozen as each earlier version wrote them; the program reads all of them for ever. */

const frozen = (version: number) => readFileSync(new URL(`./version${version}.json`, import.meta.url), 'utf8');
const read = (text: string) => {
  const answer = readWorkshopText(text);
  if (!answer.ok) throw new Error(`${answer.problem.error} at ${answer.problem.at}`);
  return answer.value;
};

/** Pieces with their own budget in them, as they were kept until version 6. */
const withBudgets = (facts: Facts) => ({
  ...facts,
  pieces: facts.pieces.map((piece) => {
    const own = facts.budgets.find(({ pieceIds }) => pieceIds?.length === 1 && pieceIds[0] === piece.id);
    return own ? { ...piece, budget: own.amount } : piece;
  }),
});

/** Pieces with the words alone on how the factory did it, as they were kept until version 11. */
const withFactoryWords = (facts: Facts) => ({
  ...facts,
  pieces: facts.pieces.map((piece) => (piece.factory ? { ...piece, factory: piece.factory.words } : piece)),
});

const withoutFeatures = ({ features: _features, ...part }: { features?: unknown }) => part;

describe('files of earlier versions', () => {
  it('are read as files of today', () => {
    for (let version = 1; version < FORMAT_VERSION; version++) expect(read(frozen(version)).version).toBe(FORMAT_VERSION);
  });

  it('of version 1: papers owned become rows of stock, and a parcel still holds its part', () => {
    const old = JSON.parse(frozen(1));
    const { facts } = read(frozen(1));
    expect(old.facts.workshop[0].grits).toEqual([240, 400, 600, 800]);
    expect(facts.stock.map((row) => row.spec)).toEqual(['P240', 'P400', 'P600', 'P800']);
    expect(facts.stock[0]).toMatchObject({ kind: 'paper', unit: 'sheet' });
    const crane = facts.pieces.find((piece) => piece.id === 'crane');
    expect(crane?.parcels.find((parcel) => parcel.id === 'hook')).toMatchObject({ holds: { partId: 'winch' } });
  });

  it('of version 1 lose nothing else', () => {
    const old = JSON.parse(frozen(1)).facts;
    const { facts } = read(frozen(1));
    expect(facts.events).toEqual(old.events);
    for (const name of ['places', 'sheets', 'products', 'cans', 'shops', 'offers', 'agreed'] as const)
      expect(facts[name]).toEqual(old[name]);
    expect(facts.pieces.map((piece) => piece.parts.map(withoutFeatures))).toEqual(
      old.pieces.map((piece: { parts: object[] }) => piece.parts.map(withoutFeatures)),
    );
  });

  it('of version 2: a feature has a count, and nothing else is another', () => {
    const old = JSON.parse(frozen(2)).facts;
    const { facts } = read(frozen(2));
    const tower = facts.pieces.find((piece) => piece.id === 'crane')?.parts.find((part) => part.id === 'tower');
    expect(tower?.features).toEqual(['edges', 'hole-rims', 'inside-corners'].map((kind) => ({ id: kind, kind, count: 1 })));
    const { pieces, charts: _charts, calendars: _calendars, budgets: _budgets, lots: _lots, goods: _goods, ...rest } = facts;
    const { pieces: before, ...others } = old;
    expect(rest).toEqual(others);
    expect(pieces.map((piece) => piece.parts.map(withoutFeatures))).toEqual(
      before.map((piece: { parts: object[] }) => piece.parts.map(withoutFeatures)),
    );
  });

  it('of versions 3 to 6: nothing is another but the lists that were not there yet, and the budgets', () => {
    for (const version of [3, 4, 5, 6]) {
      const old = JSON.parse(frozen(version)).facts;
      const {
        budgets: _budgets,
        lots,
        goods,
        charts,
        calendars,
        ...rest
      } = withFactoryWords(withBudgets(read(frozen(version)).facts) as Facts);
      expect([lots, goods]).toEqual([[], []]);
      expect({ charts: old.charts ?? [], calendars: old.calendars ?? [] }).toEqual({ charts, calendars });
      expect({ charts: [], calendars: [], ...rest, ...(old.charts ? { charts, calendars } : {}) }).toEqual({
        charts: [],
        calendars: [],
        ...old,
      });
    }
  });

  it('of versions 7 to 10: nothing is another', () => {
    for (const version of [7, 8, 9, 10]) expect(withFactoryWords(read(frozen(version)).facts)).toEqual(JSON.parse(frozen(version)).facts);
  });

  it('of version 11: the words on how the factory did it stand among the rest that may be said of it', () => {
    const old = JSON.parse(frozen(11)).facts;
    const said = old.pieces.flatMap(({ factory }: { factory?: string }) => (factory ? [factory] : []));
    expect(said.length).toBeGreaterThan(0);
    const { pieces, ...rest } = read(frozen(11)).facts;
    expect(pieces.flatMap(({ factory }) => (factory ? [factory] : []))).toEqual(said.map((words: string) => ({ words })));
    const without = (own: readonly object[]) => own.map((piece) => ({ ...piece, factory: undefined }));
    expect({ ...rest, pieces: without(pieces) }).toEqual({ ...old, pieces: without(old.pieces) });
  });

  it('of version 6: the budget of each piece is a budget by itself', () => {
    const old = JSON.parse(frozen(6)).facts as { pieces: { id: string; budget?: number }[] };
    const held = old.pieces.filter(({ budget }) => budget !== undefined);
    expect(held.length).toBeGreaterThan(4);
    expect(read(frozen(6)).facts.budgets).toEqual(held.map(({ id, budget }) => ({ id, pieceIds: [id], amount: budget })));
  });

  it('without the lists that came later get empty ones', () => {
    const old = JSON.parse(frozen(1));
    const { airSeries: _air, systems: _systems, ...facts } = old.facts;
    expect(read(JSON.stringify({ ...old, facts })).facts).toMatchObject({ airSeries: [], systems: [] });
  });

  it('that are damaged still say where, and a version nobody knows is refused', () => {
    const old = JSON.parse(frozen(1));
    const broken = { ...old, facts: { ...old.facts, pieces: [{ ...old.facts.pieces[0], parcels: 'none' }, null] } };
    const answer = readWorkshopText(JSON.stringify(broken));
    expect(answer.ok ? null : answer.problem.at).toContain('facts.pieces');
    const later = readWorkshopText(JSON.stringify({ ...old, version: FORMAT_VERSION + 1 }));
    expect(later.ok ? null : later.problem.mend).toContain('Update the program');
    const odd = readWorkshopText(JSON.stringify({ ...old, version: 0 }));
    expect(odd.ok).toBe(false);
  });
});
