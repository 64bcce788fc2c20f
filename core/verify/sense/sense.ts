import { clocksOf, type Conditions } from '#core/drying/index';
import type { Facts, Known, Part, Piece, SenseRule } from '#core/facts/index';
import { type PlannedStep, stepsLookedAt } from '#core/plan/index';
import { dividedFacts } from '#core/zones/index';
import { type Told, toldBy } from '../lying.ts';
import type { Chooser, Finding, Sensed } from './finding.ts';
import { noDate, oneGo, recordFirst, ruinsFitted, wholeWaits } from './inTime.ts';
import { coatOrder, decalGround, extrasInWindow, filmBears, neverScuffed, scuffBeside } from './onFilms.ts';
import { polishedThrough } from './polished.ts';
import {
  airRule,
  bareSteel,
  doneAgain,
  gone,
  harmsMaterial,
  lastingCover,
  leftBright,
  paperFits,
  sealedWood,
  unknownMaterial,
  watched,
} from './onMaterial.ts';
import { PartState } from './partState.ts';
import { fittedPart, taskOf } from './keys.ts';
import type { Found, Rule, Scene } from './scene.ts';

const RULES: readonly Rule[] = [
  recordFirst,
  filmBears,
  scuffBeside,
  ruinsFitted,
  wholeWaits,
  coatOrder,
  unknownMaterial,
  harmsMaterial,
  watched,
  lastingCover,
  paperFits,
  oneGo,
  extrasInWindow,
  noDate,
  neverScuffed,
  doneAgain,
  decalGround,
  polishedThrough,
  gone,
  sealedWood,
  bareSteel,
  leftBright,
];

/**
 * Reads a finished plan as a practitioner would: lives through the steps of each piece in their order, those without a date last,
 * and names what would be laughed at or would ruin the part. Knows neither the makers of steps nor the scheduler: it goes by facts,
 * clock, the acts of each step and its own table.
 */
export function sense(sensed: Sensed, known: Facts, conditions: Conditions): Finding[] {
  const facts = dividedFacts(known);
  const clocks = clocksOf(conditions);
  const told = toldBy({ facts, clocks, conditions });
  const rules = [...RULES, airRule(conditions)];
  return facts.pieces
    .filter(({ finished }) => !finished)
    .flatMap((piece) => new Reader({ sensed, facts, clocks, told }, piece, rules).read());
}

type Around = Pick<Scene, 'sensed' | 'facts' | 'clocks'> & { readonly told: Told };

class Reader {
  readonly #around: Around;
  readonly #piece: Piece;
  readonly #rules: readonly Rule[];
  readonly #states: ReadonlyMap<string, PartState>;
  #recorded: boolean;

  constructor(around: Around, piece: Piece, rules: readonly Rule[]) {
    this.#around = around;
    this.#piece = piece;
    this.#rules = rules;
    this.#states = new Map(piece.parts.map((part) => [part.id, new PartState(around, around.told, piece, part)]));
    this.#recorded = isRecorded(piece, around.told);
  }

  read(): Finding[] {
    const order = inOrder(this.#around.sensed.steps.filter(({ pieceId }) => pieceId === this.#piece.id));
    const found = order.flatMap((step, at) => {
      const here = this.#partsOf(step).flatMap((part) => this.#at(part, step, order, at));
      if (step.acts.includes('record')) this.#recorded = true;
      for (const part of this.#partsOf(step)) this.#states.get(part.id)?.take(step);
      return here;
    });
    return onceEach(found);
  }

  #partsOf(step: PlannedStep): Part[] {
    return this.#piece.parts.filter(({ id }) => step.on.some(({ partId }) => partId === id));
  }

  #at(part: Part, step: PlannedStep, order: readonly PlannedStep[], at: number): Finding[] {
    const state = this.#states.get(part.id);
    if (!state) return [];
    const scene: Scene = { ...this.#around, piece: this.#piece, part, step, order, at, state, recorded: this.#recorded };
    return this.#rules.flatMap((rule) => rule(scene).map((found) => this.#finding(scene, found)));
  }

  #finding(scene: Scene, { chosenBy, ...found }: Found): Finding {
    const finding: Finding = {
      ...found,
      pieceId: this.#piece.id,
      partId: scene.part.id,
      step: scene.step.id,
      chosenBy: chosenBy ?? chooserOf(scene, found.rule),
    };
    const word = (this.#piece.knows ?? []).find((own) => quiets(own, finding));
    return word ? { ...finding, known: word } : finding;
  }
}

/** A word of the person on this rule, about this part, layer and task as far as it names them. */
export function quiets(known: Known, { rule, partId, layerId, taskId }: Pick<Finding, 'rule' | 'partId' | 'layerId' | 'taskId'>): boolean {
  const same = (said: string | undefined, own: string | undefined) => said === undefined || said === own;
  return known.rule === rule && same(known.partId, partId) && same(known.layerId, layerId) && same(known.taskId, taskId);
}

/** Photographed by the log, by a picture of how it was, or by work that has begun. */
function isRecorded(piece: Piece, { history }: Told): boolean {
  const pictured = piece.pictures?.some(({ when }) => when === 'before') ?? false;
  return pictured || [...history.done.keys()].some((key) => key.startsWith(`${piece.id}.`));
}

/** In order of time; what has no date comes last, each behind what it looks back to. */
function inOrder(steps: readonly PlannedStep[]): PlannedStep[] {
  return [
    ...steps.filter(({ placed }) => placed).sort((a, b) => (a.placed?.start ?? 0) - (b.placed?.start ?? 0)),
    ...behindTheirOwn(steps.filter(({ placed }) => !placed)),
  ];
}

function behindTheirOwn(steps: readonly PlannedStep[]): PlannedStep[] {
  const byKey = new Map(steps.flatMap((step) => step.keys.map((key) => [key, step] as const)));
  const told = new Set<PlannedStep>();
  const order: PlannedStep[] = [];
  const tell = (step: PlannedStep): void => {
    if (told.has(step)) return;
    told.add(step);
    for (const key of step.constraints.flatMap(stepsLookedAt)) {
      const before = byKey.get(key);
      if (before) tell(before);
    }
    order.push(step);
  };
  for (const step of steps) tell(step);
  return order;
}

const ABOUT_ORDER: readonly SenseRule[] = ['record-first', 'film-bears', 'ruins-fitted', 'whole-waits', 'no-date', 'gone'];

/** A task whose place somebody has said, and a part that goes on when somebody said, are theirs; everything else is the tool’s. */
function chooserOf(scene: Scene, rule: SenseRule): Chooser {
  const task = taskOf(scene);
  // What is done in a task is its owner’s choice; when, only where somebody has said so.
  if (task) return task.after || task.before || !ABOUT_ORDER.includes(rule) ? 'person' : 'tool';
  if (scene.step.pinnedTo !== undefined) return 'person';
  return fittedPart(scene)?.fit ? 'person' : 'tool';
}

/** One thing on several parts of one step is one finding; a person’s own choice is said once, at the first step that suffers by it. */
function onceEach(found: readonly Finding[]): Finding[] {
  const seen = new Set<string>();
  return found.filter(({ rule, step, because, chosenBy, partId, taskId, layerId }) => {
    const said = `${rule} ${step} ${because}`;
    const chosen = chosenBy === 'person' ? `${rule} ${partId} ${taskId ?? layerId ?? step}` : said;
    if (seen.has(said) || seen.has(chosen)) return false;
    seen.add(said).add(chosen);
    return true;
  });
}
