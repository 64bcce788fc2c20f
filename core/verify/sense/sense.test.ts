import { describe, expect, it } from 'vitest';
import { conditionsOf } from '#core/drying/index';
import type { Facts } from '#core/facts/index';
import { HARD, inventedJob, NOW, ownStep, ownTask, PAINTED, PLANTED, part, piece, shelf, told, type Told } from '#core/invented/index';
import { plan } from '#core/plan/index';
import { toIso } from '#core/units/index';
import { mendedPiece, quiets, sense, withKnown, withoutKnown } from './index.ts';

/** Absurd plans are named, each by its rule; their mended twins have nothing to be found. */

const findings = (told: Told) => sense(told, told.facts, conditionsOf(told.facts, told.now));

describe('the sceptic', () => {
  it('is tried on sixty absurd plans and more, each of a name', () => {
    expect(PLANTED.length).toBeGreaterThanOrEqual(60);
    expect(new Set(PLANTED.map(({ name }) => name)).size).toBe(PLANTED.length);
  });

  it.each(PLANTED)('names it where $name', ({ rule, absurd }) => {
    expect(findings(absurd).map((finding) => finding.rule)).toContain(rule);
  });

  it.each(PLANTED)('finds nothing in the mended twin of “$name”', ({ mended }) => {
    expect(findings(mended).map(({ rule, because }) => `${rule}: ${because}`)).toEqual([]);
  });
});

describe('a whole that is together', () => {
  const closing = { id: 'shut', kind: 'own' as const, name: 'Close it', partIds: ['body'], minutes: 5, acts: ['close' as const] };
  const later = (fits: 'rubber' | 'badge' | 'decal' | 'wire') =>
    findings(
      told([...PAINTED, ownStep(HARD, closing, ['close']), ownStep(HARD + 24, ownTask('later', { fits }), ['press-on'])], {
        more: { tasks: [closing, ownTask('later', { fits })] },
      }),
    ).map(({ rule }) => rule);

  it.each(['rubber', 'badge', 'decal'] as const)('takes its %s afterwards', (fits) => expect(later(fits)).toEqual([]));
  it('takes no wire any more', () => expect(later('wire')).toEqual(['whole-waits']));
});

const JOBS = Number(process.env.SENSE_JOBS ?? (process.env.PROOF ? 5000 : 300));

const read = (facts: Facts, now = NOW) => {
  const conditions = conditionsOf(facts, now);
  return sense(plan({ facts, now, conditions, datesOf: [] }), facts, conditions);
};

describe('whole jobs as people combine them', () => {
  it(`have nothing in them that the tool chose and a practitioner would call out: ${JOBS} of them`, { timeout: 1_800_000 }, () => {
    const found: string[] = [];
    for (let seed = 1; seed <= JOBS; seed++)
      for (const { chosenBy, rule, step, because } of read(inventedJob(seed, NOW)))
        if (chosenBy === 'tool') found.push(`${seed} ${rule} ${step}: ${because}`);
    expect(found).toEqual([]);
  });

  it.each([
    [2854, 'steps that wait for each other, one of them for a part of unknown material'],
    [1244, 'the first coat of a colour entered again, over its clear: a film of hours ago is no film of last week'],
    [2518, 'a coat of primer entered between colours'],
    [2680, 'a primer entered over the colour above it'],
    [2869, 'a sealer entered over the primer above it'],
  ])('and not in job %i: %s', (seed) => {
    expect(read(inventedJob(seed, NOW)).filter(({ chosenBy }) => chosenBy === 'tool')).toEqual([]);
  });

  it('do hold choices of people that are called out', () => {
    const rules = new Set(
      Array.from({ length: 60 }, (_, seed) => read(inventedJob(seed + 1, NOW)))
        .flat()
        .map(({ rule }) => rule),
    );
    expect([...rules].sort()).toEqual(expect.arrayContaining(['decal-ground', 'ruins-fitted']));
  });
});

describe('a choice of one’s own', () => {
  const own = piece(part({ finish: 'sound' }), {
    tasks: [
      {
        id: 'glass',
        kind: 'glazing',
        name: 'Glue the window in',
        partIds: ['body'],
        minutes: 10,
        before: { partId: 'body', stage: 'wash' },
      },
    ],
  });
  const facts = (of = own): Facts => ({ ...shelf, pieces: [of] });

  it('is said once, at the first step that suffers, with who chose it and the mend that ends it', () => {
    const found = read(facts());
    expect(found).toHaveLength(1);
    expect(found[0]).toMatchObject({ rule: 'ruins-fitted', taskId: 'glass', partId: 'body', chosenBy: 'person' });
    expect(found[0].because).toContain('What “Glue the window in” puts there is on Body when it is');
    const change = found[0].mend?.change;
    expect(change).toEqual({ kind: 'task-anywhere', taskId: 'glass' });
    expect(change && read(facts(mendedPiece(own, change)))).toEqual([]);
  });

  it('that is done already is said once too, and only taken off again', () => {
    const done: Facts = {
      ...facts(),
      events: [{ id: 'e', at: toIso(NOW - 60), kind: 'done', pieceId: own.id, stepKeys: [`${own.id}.-.task.glass.1`], on: [] }],
    };
    const found = read(done).filter(({ rule }) => rule === 'ruins-fitted');
    expect(found).toHaveLength(1);
    expect(found[0]).toMatchObject({ chosenBy: 'person', taskId: 'glass', mend: { text: expect.stringContaining('Take it off again') } });
    expect(found[0].because).toContain('What “Glue the window in” has put there');
  });

  it('is quiet once it is known, stays marked, and is said again when that is taken back', () => {
    const [found] = read(facts());
    const quiet = withKnown(own, found);
    const [marked] = read(facts(quiet));
    expect(marked).toMatchObject({ rule: 'ruins-fitted', known: { rule: 'ruins-fitted', taskId: 'glass', partId: 'body' } });
    expect(marked.known && read(facts(withoutKnown(quiet, marked.known)))[0].known).toBeUndefined();
  });

  it.each([
    ['a part', { kind: 'fit-at-end', partId: 'body' } as const, { parts: [part({ fit: { stage: 'after-clear', onPartId: 'x' } })] }],
    ['a layer', { kind: 'no-flatting', partId: 'body', layerId: 'primer' } as const, {}],
  ])('is mended on %s alone', (_name, change, more) => {
    const before = { ...own, ...more };
    const after = mendedPiece(before, change);
    expect(after.parts[0].fit).toBeUndefined();
    expect(after.parts[0].layers.every(({ flatAfter }) => flatAfter === undefined)).toBe(true);
    expect(after.tasks).toEqual(before.tasks);
  });

  it('is tied behind a layer by one press', () => {
    const after = mendedPiece(own, { kind: 'task-after', taskId: 'glass', partId: 'body', layerId: 'colour' });
    expect(after.tasks?.[0]).toMatchObject({ after: { partId: 'body', layerId: 'colour' } });
    expect(after.tasks?.[0].before).toBeUndefined();
  });
});

describe('a word of the person', () => {
  const of = { rule: 'tape-on-film', partId: 'body', layerId: 'clear', taskId: 'bands' } as unknown as Parameters<typeof quiets>[1];
  const word = (more: object) => ({ rule: 'tape-on-film', ...more }) as unknown as Parameters<typeof quiets>[0];
  it('quiets what it names, as far as it names it', () => {
    for (const named of [
      {},
      { partId: 'body' },
      { layerId: 'clear' },
      { taskId: 'bands' },
      { partId: 'body', layerId: 'clear', taskId: 'bands' },
    ])
      expect([named, quiets(word(named), of)]).toEqual([named, true]);
  });
  it('quiets nothing of another rule, part, layer or step', () => {
    for (const named of [
      { rule: 'another' },
      { partId: 'lid' },
      { layerId: 'primer' },
      { taskId: 'glue' },
      { partId: 'body', layerId: 'primer' },
    ])
      expect([named, quiets(word(named), of)]).toEqual([named, false]);
  });
});
