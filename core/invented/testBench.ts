import { newWorkshop, starterShelf } from '#core/buying/index';
import { conditionsOf } from '#core/drying/index';
import {
  type Cut,
  type CutNumbers,
  EMPTY_FACTS,
  type Facts,
  type Family,
  type Layer,
  type LogEvent,
  newPart,
  newPiece,
  type Part,
  type Piece,
  type Role,
  type WorkStage,
} from '#core/facts/index';
import { toIso } from '#core/units/index';
import { partKey, plan, type PlannedStep } from '#core/plan/index';

/** One invented piece on a bench with a full shelf and every evening free: for tests that tell a story to the plan. */

export const NOW = Date.UTC(2026, 11, 1, 19) / 60_000;
export const { workshop, places } = newWorkshop('Europe/Lisbon');
export const hours = [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: '19:00', to: '21:30' }));
export const base: Facts = {
  ...EMPTY_FACTS,
  ...starterShelf(),
  places: [{ ...places[0], meanC: 20, swingC: 0, meanRh: 50 }],
  workshop: [{ ...workshop, started: true, freeHours: hours, hands: ['aerosol', 'airbrush', 'brush'] }],
};
export const cans = base.products.map((product) => ({
  id: `can-${product.id}`,
  productId: product.id,
  packMl: 400,
  leftMl: 400,
  leftAt: toIso(NOW - 99),
  opened: false,
  paid: 800,
}));
export const shelf: Facts = { ...base, cans };

export const layer = (id: string, family: Family, role: Role, coats: number, more: Partial<Layer> = {}): Layer => ({
  id,
  productId: `starter-${family}-${role}-product`,
  coats,
  covers: 'all',
  ...more,
});
export const primer = (more: Partial<Layer> = {}) => layer('primer', 'lacquer-primer', 'fine-primer', 2, more);
export const lacquer = (coats = 2, more: Partial<Layer> = {}) => layer('colour', 'acrylic-lacquer', 'colour', coats, more);
export const enamel = (coats = 3) => layer('enamel', 'acrylic-enamel', 'colour', coats);
export const clear = layer('clear', 'acrylic-lacquer', 'clear', 2);

export const part = (more: Partial<Part> = {}): Part =>
  newPart({
    id: 'body',
    name: 'Body',
    material: 'zinc',
    pegs: [1],
    faces: [{ id: 'f', zoneId: 'all', longMm: 100, shortMm: 40, count: 5, seen: true }],
    layers: [primer(), lacquer()],
    ...more,
  });
export const piece = (own: Part, more: Partial<Piece> = {}): Piece =>
  newPiece({
    id: 'bell',
    name: 'Bell',
    looksLike: 'cast-body',
    longestMm: 100,
    createdAt: toIso(NOW),
    leadExcluded: true,
    parts: [own],
    ...more,
  });
export const planOf = (own: Part, events: LogEvent[] = [], more: Partial<Piece> = {}, facts: Facts = shelf, now = NOW) => {
  const all = { ...facts, pieces: [piece(own, more)], events };
  return plan({ facts: all, now, conditions: conditionsOf(all, now) });
};
export const steps = (result: ReturnType<typeof planOf>, stage?: WorkStage) =>
  result.steps.filter((step) => stage === undefined || step.stage === stage);
export const at = (step: PlannedStep | undefined) => step?.placed?.start ?? Number.NaN;
export const done = (stage: WorkStage, minutesAgo: number, subject = '-', number = 1): LogEvent => ({
  id: `${stage}${subject}${number}`,
  at: toIso(NOW - minutesAgo),
  kind: 'done',
  pieceId: 'bell',
  stepKeys: [partKey('bell', 'body', stage, subject, number)],
  on: [{ partId: 'body', zoneIds: ['all'] }],
});
export const coat = (subject: string, number: number, minutesAgo: number, family: Family, role: Role, filmUm: number): LogEvent => ({
  ...(done('coat', minutesAgo, subject, number) as Extract<LogEvent, { kind: 'done' }>),
  coat: {
    layerId: subject,
    productId: `starter-${family}-${role}-product`,
    name: subject,
    family,
    role,
    lab: { l: 60, a: 0, b: 0 },
    hand: 'aerosol',
    filmUm,
    placeId: 'place-spray',
    ml: 5,
  },
});
export const primed = [
  coat('primer', 1, 3000, 'lacquer-primer', 'fine-primer', 12),
  coat('primer', 2, 2980, 'lacquer-primer', 'fine-primer', 12),
];

export type Planned = ReturnType<typeof planOf>;

/** Every title of a plan in one line. */
export const titles = (result: Planned) => result.steps.map((step) => step.title).join(' / ');
export const stages = (result: Planned) => new Set(result.steps.map((step) => step.stage));
export const solePiece = (result: Planned) => result.pieces[0];
export const mark = (
  kind: 'scratch' | 'chip' | 'crack' | 'rust-light' | 'rust-deep' | 'pitting' | 'dent' | 'layer-lines' | 'support-marks',
  more = {},
) => ({
  id: 'm',
  kind,
  severity: 'marked' as const,
  where: 'front',
  ...more,
});
export const wanted = (id: string, family: Family, role: Role, more: Partial<Layer> = {}): Layer => ({
  id,
  wanted: { family, role, name: id, lab: { l: 60, a: 10, b: 10 } },
  coats: 2,
  covers: 'all',
  ...more,
});

/** A division of a zone, its new zones named after it. */
export const cut = (id: string, of: string, how: Cut['how'], numbers: CutNumbers = {}): Cut => ({
  id,
  of,
  how,
  numbers,
  at: toIso(NOW - 5 * 1440),
  into: (how === 'stripe' ? ['above', 'stripe', 'below'] : ['one', 'other']).map((name) => ({
    id: `${id}-${name}`,
    name: `${id} ${name}`,
  })),
});
