import type { Facts } from '#core/facts/index';
import { type Plan, type PlannedStep, seededRandom } from '#core/plan/index';

/** A plan that something was done to, as no planner would: whoever reads it should see what. */
export type Spoilt = { readonly what: string; readonly plan: Plan; readonly facts: Facts };

type Placed = PlannedStep & { readonly placed: NonNullable<PlannedStep['placed']> };
type Spoil = (plan: Plan, facts: Facts, random: () => number) => Spoilt | null;

/** The same plan, spoilt in so many ways; the same seed, the same ways. */
export function spoiltPlans(plan: Plan, facts: Facts, seed: number, count: number): Spoilt[] {
  const random = seededRandom(seed);
  return Array.from({ length: count }, (_, index) => SPOILS[index % SPOILS.length](plan, facts, random)).filter((own) => own !== null);
}

const pick = <T>(list: readonly T[], random: () => number): T | undefined => list[Math.floor(random() * list.length)];
const placedOf = ({ steps }: Plan) => steps.filter((step): step is Placed => step.placed !== null && !step.stopped);
const withStep = (plan: Plan, id: string, change: (step: PlannedStep) => PlannedStep): Plan => ({
  ...plan,
  steps: plan.steps.map((step) => (step.id === id ? change(step) : step)),
});
const startingAt = (plan: Plan, { id }: Placed, start: number): Plan =>
  withStep(plan, id, (step) =>
    step.placed ? { ...step, placed: { ...step.placed, start, end: start + step.placed.end - step.placed.start } } : step,
  );

/** Half a minute past an edge, on it, and half a minute inside. */
const AROUND = [-0.5, 0, 0.5];
const SHIFTS = [-4320, -1440, -240, -45, -10, 10, 45, 240, 1440, 4320, 20_000];

function shifted(steps: readonly Placed[], plan: Plan, facts: Facts, random: () => number): Spoilt | null {
  const step = pick(steps, random);
  const by = pick(SHIFTS, random) ?? 0;
  return step ? { what: `${step.title} ${by} min away`, plan: startingAt(plan, step, step.placed.start + by), facts } : null;
}

const SPOILS: readonly Spoil[] = [
  (plan, facts, random) => shifted(placedOf(plan), plan, facts, random),
  (plan, facts, random) =>
    shifted(
      placedOf(plan).filter(({ coat }) => coat),
      plan,
      facts,
      random,
    ),
  function atAnEdge(plan, facts, random) {
    const step = pick(
      placedOf(plan).filter(({ window }) => window),
      random,
    );
    if (!step?.window) return null;
    const { from, to } = step.window;
    const edge = to !== null && random() < 0.7 ? to : from;
    const off = pick(AROUND, random) ?? 0;
    return {
      what: `${step.title} ${off} min off where its window ${edge === to ? 'shuts' : 'opens'}`,
      plan: startingAt(plan, step, edge + off),
      facts,
    };
  },
  function behindAnother(plan, facts, random) {
    const [step, other] = [pick(placedOf(plan), random), pick(placedOf(plan), random)];
    if (!step || !other || step === other) return null;
    const off = pick(AROUND, random) ?? 0;
    return { what: `${step.title} ${off} min off the end of ${other.title}`, plan: startingAt(plan, step, other.placed.end + off), facts };
  },
  function beforeItsPart(plan, facts, random) {
    const step = pick(placedOf(plan), random);
    const on =
      step &&
      placedOf(plan).filter(
        (own) =>
          own !== step && own.pieceId === step.pieceId && own.on.some(({ partId }) => step.on.some((mine) => mine.partId === partId)),
      );
    const other = on && pick(on, random);
    return step && other
      ? { what: `${step.title} before ${other.title}`, plan: startingAt(plan, step, other.placed.start - step.minutes), facts }
      : null;
  },
  function leftOut(plan, facts, random) {
    const step = pick(
      placedOf(plan).filter(({ coat }) => !coat),
      random,
    );
    return step ? { what: `without ${step.title}`, plan: { ...plan, steps: plan.steps.filter((own) => own !== step) }, facts } : null;
  },
  function unscuffed(plan, facts, random) {
    const step = pick(
      placedOf(plan).filter(({ coat }) => coat),
      random,
    );
    if (!step) return null;
    const scuff = !step.placed.scuff;
    return {
      what: `${step.title} ${scuff ? 'scuffed' : 'not scuffed'}`,
      plan: withStep(plan, step.id, (own) => (own.placed ? { ...own, placed: { ...own.placed, scuff } } : own)),
      facts,
    };
  },
  function pinned(plan, facts, random) {
    const step = pick(placedOf(plan), random);
    const by = pick(SHIFTS, random) ?? 0;
    if (!step) return null;
    const start = step.placed.start + by;
    const moved = startingAt(plan, step, start);
    return { what: `${step.title} pinned ${by} min away`, plan: withStep(moved, step.id, (own) => ({ ...own, pinnedTo: start })), facts };
  },
  function otherPaint(plan, facts, random) {
    const [step, other] = [
      pick(
        placedOf(plan).filter(({ coat }) => coat),
        random,
      ),
      pick(
        placedOf(plan).filter(({ coat }) => coat),
        random,
      ),
    ];
    if (!step?.coat || !other?.coat || step.coat.family === other.coat.family) return null;
    const { family, role } = other.coat;
    return {
      what: `${step.title} in ${family}`,
      plan: withStep(plan, step.id, (own) => ({ ...own, coat: own.coat && { ...own.coat, family, role } })),
      facts,
    };
  },
  function savedSetUp(plan, facts, random) {
    const step = pick(
      placedOf(plan).filter(({ setup }) => setup > 0),
      random,
    );
    return step
      ? {
          what: `${step.title} without its set-up`,
          plan: withStep(plan, step.id, (own) => (own.placed ? { ...own, placed: { ...own.placed, saved: own.setup } } : own)),
          facts,
        }
      : null;
  },
  function strictLabel(plan, facts, random) {
    const step = pick(
      placedOf(plan).filter(({ coat }) => coat?.productId),
      random,
    );
    const sheetId = facts.products.find(({ id }) => id === step?.coat?.productId)?.sheetId;
    if (!step || !sheetId) return null;
    const strict = pick([{ maxRh: 25 }, { minC: 35 }, { potLifeMin: 3 }] as const, random);
    return {
      what: `${Object.keys(strict ?? {})} strict on the label of ${step.title}`,
      plan,
      facts: {
        ...facts,
        sheets: facts.sheets.map((sheet) => (sheet.id === sheetId ? { ...sheet, label: { ...sheet.label, ...strict } } : sheet)),
      },
    };
  },
  function otherMaterial(plan, facts, random) {
    const material = pick(['steel', 'aluminium', 'abs', 'wood', 'unknown', 'rubber', 'clear', 'zinc'] as const, random) ?? 'steel';
    const part = pick(
      facts.pieces.flatMap((piece) => piece.parts),
      random,
    );
    if (!part || part.material === material) return null;
    const changed = facts.pieces.map((piece) => ({
      ...piece,
      parts: piece.parts.map((own) => (own.id === part.id ? { ...own, material } : own)),
    }));
    return { what: `${part.name} of ${material}`, plan, facts: { ...facts, pieces: changed } };
  },
];
