import { ACTS } from '#core/facts/index';
import { pick, placedOf, type Spoil, twoOnAPart, withStep } from './spoil.ts';

/** Steps that are missing, or are something else than they were. */

const coatsOf = (plan: Parameters<Spoil>[0]) => placedOf(plan).filter(({ coat }) => coat);

export const OF_STEPS: readonly Spoil[] = [
  function leftOut(plan, facts, random) {
    const step = pick(
      placedOf(plan).filter(({ coat }) => !coat),
      random,
    );
    return step ? { what: `without ${step.title}`, plan: { ...plan, steps: plan.steps.filter((own) => own !== step) }, facts } : null;
  },
  function withoutADate(plan, facts, random) {
    const two = twoOnAPart(plan, random);
    if (!two) return null;
    const [step, other] = two;
    const held = random() < 0.5;
    const undated = withStep(plan, step.id, (own) => ({
      ...own,
      placed: null,
      ...(held ? { heldBy: other.keys[0], unplacedWhy: `It waits for ${other.title}.` } : {}),
    }));
    return { what: `${step.title} without a date${held ? `, held by ${other.title}` : ''}`, plan: undated, facts };
  },
  function unscuffed(plan, facts, random) {
    const step = pick(coatsOf(plan), random);
    if (!step) return null;
    const scuff = !step.placed.scuff;
    return {
      what: `${step.title} ${scuff ? 'scuffed' : 'not scuffed'}`,
      plan: withStep(plan, step.id, (own) => (own.placed ? { ...own, placed: { ...own.placed, scuff } } : own)),
      facts,
    };
  },
  function otherPaint(plan, facts, random) {
    const [step, other] = [pick(coatsOf(plan), random), pick(coatsOf(plan), random)];
    if (!step?.coat || !other?.coat || step.coat.family === other.coat.family) return null;
    const { family, role } = other.coat;
    return {
      what: `${step.title} in ${family}`,
      plan: withStep(plan, step.id, (own) => ({ ...own, coat: own.coat && { ...own.coat, family, role } })),
      facts,
    };
  },
  function otherAct(plan, facts, random) {
    const step = pick(placedOf(plan), random);
    const act = pick(ACTS, random);
    if (!step || !act) return null;
    return { what: `${act} in ${step.title}`, plan: withStep(plan, step.id, (own) => ({ ...own, acts: [act] })), facts };
  },
  function theActsOfAnother(plan, facts, random) {
    const two = twoOnAPart(plan, random);
    if (!two) return null;
    const [step, { stage, acts, title, grit }] = two;
    const like = withStep(plan, step.id, (own) => ({ ...own, stage, acts, ...(grit === undefined ? {} : { grit }) }));
    return { what: `${step.title} done as ${title}`, plan: like, facts };
  },
  function onAllParts(plan, facts, random) {
    const step = pick(placedOf(plan), random);
    const parts = facts.pieces.find(({ id }) => id === step?.pieceId)?.parts ?? [];
    if (!step || parts.length === 0) return null;
    const on = parts.map(({ id, zones }) => ({ partId: id, zoneIds: zones.map((zone) => zone.id) }));
    return { what: `${step.title} on every part and zone`, plan: withStep(plan, step.id, (own) => ({ ...own, on })), facts };
  },
  function byHand(plan, facts, random) {
    const step = pick(coatsOf(plan), random);
    if (!step?.coat) return null;
    const hand = step.coat.hand === 'brush' ? 'airbrush' : 'brush';
    return {
      what: `${step.title} by ${hand}`,
      plan: withStep(plan, step.id, (own) => ({ ...own, coat: own.coat && { ...own.coat, hand } })),
      facts,
    };
  },
  function savedSetUp(plan, facts, random) {
    const step = pick(
      placedOf(plan).filter(({ setup }) => setup > 0),
      random,
    );
    if (!step) return null;
    const saved = withStep(plan, step.id, (own) => (own.placed ? { ...own, placed: { ...own.placed, saved: own.setup } } : own));
    return { what: `${step.title} without its set-up`, plan: saved, facts };
  },
  function boxed(plan, facts, random) {
    const step = pick(placedOf(plan), random);
    if (!step) return null;
    const afterwards = step.afterwards === undefined ? 'Into the dry box with it.' : undefined;
    const into = withStep(plan, step.id, ({ afterwards: _old, ...own }) => (afterwards ? { ...own, afterwards } : own));
    return { what: `${step.title} ${afterwards ? 'and into' : 'and not into'} the dry box`, plan: into, facts };
  },
];
