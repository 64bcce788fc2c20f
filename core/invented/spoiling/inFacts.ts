import type { Facts, Label, LogEvent, Part } from '#core/facts/index';
import { toIso, toMinute } from '#core/units/index';
import { AROUND, pick, placedOf, type Spoil } from './spoil.ts';

/** The plan as it was, and facts that have changed under it. */

const LABELS: readonly Label[] = [
  { maxRh: 25 },
  { minC: 35 },
  { potLifeMin: 3 },
  { potLifeMin: 30, inductionMin: 25 },
  { gloss: 55 },
  { gloss: 20 },
  { coatFromMin: 5, coatUntilMin: 15 },
  { tapeSafeMin: 2000, handleMin: 1500 },
  { flatMin: 20_000, fitMin: 30_000 },
];
const OF_A_PART: readonly Partial<Part>[] = [
  ...(['steel', 'aluminium', 'abs', 'wood', 'unknown', 'rubber', 'clear', 'zinc', 'vinyl'] as const).map((material) => ({ material })),
  ...(['bare', 'sound', 'flaking'] as const).map((finish) => ({ finish })),
  { staysClear: true },
  { staysPlated: true },
];

const partsChanged = (facts: Facts, id: string, more: Partial<Part>): Facts => ({
  ...facts,
  pieces: facts.pieces.map((piece) => ({ ...piece, parts: piece.parts.map((own) => (own.id === id ? { ...own, ...more } : own)) })),
});
const noted = (facts: Facts, event: LogEvent): Facts => ({ ...facts, events: [...facts.events, event] });

export const IN_FACTS: readonly Spoil[] = [
  function strictLabel(plan, facts, random) {
    const step = pick(
      placedOf(plan).filter(({ coat }) => coat?.productId),
      random,
    );
    const sheetId = facts.products.find(({ id }) => id === step?.coat?.productId)?.sheetId;
    const strict = pick(LABELS, random);
    if (!step || !sheetId || !strict) return null;
    const sheets = facts.sheets.map((sheet) => (sheet.id === sheetId ? { ...sheet, label: { ...sheet.label, ...strict } } : sheet));
    return { what: `${JSON.stringify(strict)} on the label of ${step.title}`, plan, facts: { ...facts, sheets } };
  },
  function otherPart(plan, facts, random) {
    const more = pick(OF_A_PART, random) ?? {};
    const parts = facts.pieces.flatMap((piece) => piece.parts);
    const part = pick(parts, random);
    return part ? { what: `${part.name} with ${JSON.stringify(more)}`, plan, facts: partsChanged(facts, part.id, more) } : null;
  },
  function putOff(plan, facts, random) {
    const step = pick(placedOf(plan), random);
    const off = pick([-60, 0, 1, 60], random) ?? 0;
    if (!step) return null;
    const until = toIso(step.placed.start + off);
    const wait: LogEvent = { id: 'spoilt', at: toIso(plan.now), kind: 'wait', pieceId: step.pieceId, stepKeys: [...step.keys], until };
    return { what: `${step.title} put off to ${off} min after it`, plan, facts: noted(facts, wait) };
  },
  function felt(plan, facts, random) {
    const laid = facts.events.filter((event) => event.kind === 'done' && event.coat);
    const coat = pick(laid, random);
    const stage = pick(['coat', 'tape', 'handle', 'fit', 'flat'] as const, random) ?? 'coat';
    const seen = pick(['dry', 'tacky'] as const, random) ?? 'dry';
    const part = coat?.kind === 'done' ? coat.on.find((own) => own.zoneIds.length > 0) : undefined;
    if (coat?.kind !== 'done' || !part) return null;
    const at = toIso(Math.min(plan.now, toMinute(coat.at) + (pick([0, 20, 600, 5000], random) ?? 0)));
    const where = { pieceId: coat.pieceId, partId: part.partId, zoneId: part.zoneIds[0] };
    const finger: LogEvent = { id: 'spoilt', at, kind: 'dryness', ...where, stage, seen };
    return { what: `${part.partId} felt ${seen} to ${stage} at ${at}`, plan, facts: noted(facts, finger) };
  },
  function smallWorkshop(plan, facts, random) {
    const [first, ...others] = facts.workshop;
    const small = pick(
      [
        { tubs: 1, tub: { longMm: 120, wideMm: 60, deepMm: 120 } },
        { oven: { longMm: 120, wideMm: 80, highMm: 60, mostC: 60 } },
        { dryingPlaces: [{ count: 1, longMm: 300 }] },
        { dryingPlaces: [{ count: 4, longMm: 90 }] },
        { freeHours: [{ weekday: 6, from: '10:00', to: '10:40' }] },
      ],
      random,
    );
    return {
      what: `a workshop with ${JSON.stringify(small)}`,
      plan,
      facts: { ...facts, workshop: [{ ...first, ...small } as typeof first, ...others] },
    };
  },
  function laterClock(plan, facts, random) {
    const step = pick(placedOf(plan), random);
    const off = pick(AROUND, random) ?? 0;
    return step ? { what: `read at ${off} min off ${step.title}`, plan: { ...plan, now: step.placed.start + off }, facts } : null;
  },
];
