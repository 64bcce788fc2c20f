import { type BoothLoads, boothLoads, coatAmount, coatMinutes, NEXT_COAT_SETUP_MINUTES, paintIn, benchMinutes } from '#core/amounts/index';
import { flatRefused, type ResolvedLayer, WEIGHT_OF } from '#core/coats/index';
import { familyDrying } from '#core/drying/index';
import type { FasteningKind, Hold, Layer, Part, Weight } from '#core/facts/index';
import { coatHazards } from '#core/safety/index';
import { workSize } from '#core/survey/index';
import { facesToPaint } from '#core/zones/index';
import { counted, listed, workMinutes } from '#core/units/index';
import type { PartFilms, PlacedLayer, PlanContext, Ref } from '../../films/index.ts';
import type { StepChain } from '../chain.ts';
import type { Constraint } from '../constraint.ts';
import { dwell, nextCoat, whilePromoterWorks, withinPotLife } from '../constraints.ts';
import { addCupTest, addMix, addPromoter, addScrapTest } from './readying.ts';
import { FLIP_MINUTES } from './positions.ts';
import type { CoatOfStep } from '../step.ts';

/** The coats of one layer still to come, each with its paint, its minutes and what it waits for. */

const TACK_MINUTES = 3;
const MORE_COPIES_MINUTES = 0.5;
const MIST_MINUTES = 3;
export const SCUFF_AT_100CM2 = 3;
/** Pad, water and a cloth to hand, minutes. */
export const SCUFF_SETUP = 3;
/** How long general tape may stay on before it leaves glue (trade §9). */
const TAPE_STAYS_MINUTES = 24 * 60;
/** Between two coats of one mix nobody is quicker than this, minutes. */
const BETWEEN_COATS = 10;

export type LayerToLay = {
  readonly placed: PlacedLayer;
  readonly doneCoats: number;
  /** The mask that was put on for it. */
  readonly masked: Ref | null;
  /** The second of two positions: the part is turned over for it, and its paint has been tried by now. */
  readonly turned: boolean;
  /** Promoter first. */
  readonly onBare: boolean;
  readonly mistFirst: boolean;
  /** What the first coat waits for below it. */
  readonly below: readonly Constraint[];
  /** Paints used here for the first time, tried now: its own, and those that follow it in short windows. */
  readonly tries: readonly PlacedLayer[];
  /** Decals and details that lie open under its first coat. */
  readonly over: readonly string[];
  /** Why it goes on once more than the stack has it; absent: it does not. */
  readonly again?: string;
};

export function addCoats(chain: StepChain, context: PlanContext, films: PartFilms, layer: LayerToLay): void {
  const { placed, doneCoats, masked } = layer;
  const { resolved } = placed;
  if (doneCoats === 0 && !layer.turned) {
    addCupTest(chain, context, placed);
    for (const own of layer.tries) addScrapTest(chain, context, own);
  }
  const mixes = mixesOf(chain, placed, doneCoats);
  let mixed: Ref | null = null;
  let promoted: Ref | null = null;
  for (const [index, key] of keyNumbers(chain, placed, doneCoats).entries()) {
    const number = doneCoats + 1 + index;
    const first = number === 1;
    const begins = mixes.find((mix) => mix.from === number);
    // Mixed as late as can be, right before its first coat.
    if (begins) mixed = addMix(chain, context, { placed, needMl: begins.ml, number });
    if (first && layer.onBare) promoted = addPromoter(chain, context, placed);
    const tape = first && masked ? [dwell(masked, [0, TAPE_STAYS_MINUTES], 'tape must not stay on for days')] : [];
    const ref = chain.add({ ...coatDraft(chain, layer, number, context), number: key }, [
      ...(first ? [...layer.below, ...tape] : [nextCoat(films.top(placed), mayScuffWithin(placed))]),
      ...(first ? [] : inOneGo(placed, films.top(placed).last)),
      ...(mixed ? [withinPotLife(mixed, resolved.label ?? {}, context)] : []),
      ...(first && promoted ? [whilePromoterWorks(promoted)] : []),
    ]);
    films.lay(placed, ref, first, resolved.weights[number - 1]);
  }
}

/** The numbers in the keys of the coats still to come: what the log has under a number already is another coat, in whatever order it was entered. */
function keyNumbers(chain: StepChain, { index, resolved }: PlacedLayer, doneCoats: number): number[] {
  const all = Array.from({ length: resolved.layer.coats }, (_, place) => place + 1);
  const free = all.filter((number) => !chain.isDone({ stage: 'coat', layerIndex: index, number }));
  const missing = resolved.layer.coats - doneCoats;
  const numbers = free.length < missing ? all : free;
  return numbers.slice(numbers.length - missing);
}

/** Minutes within which the next coat of a set follows that shows every break. */
const IN_ONE_GO = 120;

/** Transparent and metallic coats go on in one stay: another evening’s show as a band (trade §2). A coat that was laid before waits for its window alone. */
function inOneGo({ resolved }: PlacedLayer, last: Ref): Constraint[] {
  const showsBreaks = resolved.transparent || resolved.family === 'candy' || resolved.role === 'metallic';
  return showsBreaks && 'step' in last ? [dwell(last, [0, IN_ONE_GO], 'transparent and metallic coats go on in one stay')] : [];
}

/** Transparent, texture and dye films are never scuffed within their set; a metallic only past its window, for a fresh base coat (trade §6). */
export function mayScuffWithin({ resolved }: PlacedLayer): boolean {
  return flatRefused(resolved) === null || resolved.role === 'metallic';
}

type MixRound = { readonly from: number; readonly ml: number };

/** Which coats share a mix: as many as its pot life holds, flashes counted in; a layer too large for one is split. */
function mixesOf(chain: StepChain, placed: PlacedLayer, doneCoats: number): MixRound[] {
  const { resolved } = placed;
  const { potLifeMin } = resolved.label ?? {};
  const drying = familyDrying(resolved.family);
  const faces = facesOf(chain, placed);
  const flash = (resolved.label?.coatFromMin ?? drying.coatFrom * 60) + BETWEEN_COATS;
  const cycle = flash + coatMinutes(faces, resolved.hand, chain.of.part.copies);
  const together = potLifeMin === undefined ? resolved.layer.coats : Math.max(1, Math.floor((potLifeMin + flash) / cycle));
  const rounds: MixRound[] = [];
  for (let from = doneCoats + 1; from <= resolved.layer.coats; from += together) {
    const until = Math.min(resolved.layer.coats, from + together - 1);
    const weights = resolved.weights.slice(from - 1, until);
    rounds.push({ from, ml: weights.reduce((sum, weight) => sum + amountOf(chain, placed, weight).mlPerCoat, 0) });
  }
  return rounds;
}

function facesOf(chain: StepChain, { zones }: PlacedLayer) {
  const { part } = chain.of;
  return facesToPaint(
    part,
    zones.map((zone) => part.zones[zone].id),
  );
}

function amountOf(chain: StepChain, placed: PlacedLayer, weight: Weight) {
  return coatAmount(facesOf(chain, placed), placed.resolved, placed.resolved.hand, WEIGHT_OF[weight]);
}

function coatDraft(chain: StepChain, layer: LayerToLay, number: number, { workshop }: PlanContext) {
  const { placed } = layer;
  const { resolved, index, zones } = placed;
  const { part } = chain.of;
  const first = number === 1;
  const weight = resolved.weights[number - 1] ?? 'normal';
  const amount = amountOf(chain, placed, weight);
  const inside = paintIn(amount.mlPerCoat, resolved.label, resolved.hand);
  const mist = first && (resolved.layer.mistFirst || resolved.label?.pattern === 'mist-then-wet' || layer.mistFirst);
  const size = workSize(
    part,
    zones.map((zone) => part.zones[zone].id),
  );
  const booth = resolved.hand === 'brush' ? boothLoads(part, undefined) : boothLoads(part, workshop.booth);
  const coat: CoatOfStep = {
    layerId: resolved.layer.id,
    ...(resolved.product ? { productId: resolved.product.id } : {}),
    name: resolved.name,
    family: resolved.family,
    role: resolved.role,
    lab: resolved.lab,
    hand: resolved.hand,
    filmUm: Math.round(resolved.filmUm * WEIGHT_OF[weight] * 10) / 10,
    weight,
    number,
    of: resolved.layer.coats,
    ml: amount.mlPerCoat,
    paintMl: inside.paintMl,
    reducerMl: inside.reducerMl,
    hardenerMl: inside.hardenerMl,
    filmMl: amount.filmMl,
    sweepsMl: amount.sweepsMl,
    mix: resolved.mix,
    holds: amount.holds,
    boothShare: booth.share,
  };
  const { setUp } = benchMinutes(workshop);
  return {
    stage: 'coat' as const,
    layerIndex: index,
    number,
    zones,
    ml: amount.mlPerCoat,
    title: layer.again ? `A fresh coat, ${resolved.name}` : `Coat ${number} of ${resolved.layer.coats}, ${resolved.name}`,
    coat,
    minutes:
      coatMinutes(facesOf(chain, placed), resolved.hand, part.copies, amount.mlPerCoat) +
      (first ? TACK_MINUTES + MORE_COPIES_MINUTES * (part.copies - 1) : 0) +
      (mist ? MIST_MINUTES : 0) +
      booth.minutes +
      (first && layer.turned ? FLIP_MINUTES * part.copies : 0),
    setup: first ? setUp : Math.min(setUp, NEXT_COAT_SETUP_MINUTES),
    scuffMinutes: SCUFF_SETUP + workMinutes(SCUFF_AT_100CM2, size, 'scuff'),
    detail: [
      ...(first && layer.turned ? ['turn it over'] : []),
      coatDetail(chain, placed, mist ?? false, weight),
      ...(first && layer.over.length > 0 ? [`whatever is scuffed, round ${listed(layer.over)} and never over it`] : []),
      ...boothText(booth),
    ].join('; '),
    hazards: coatHazards(resolved.family, resolved.hand, resolved.isocyanate),
    because: layer.again ?? amountText(placed, amount.holds),
    source: resolved.filmSource,
    treatment: `coat ${resolved.mix} ${resolved.hand} ${number} ${weight}`,
    tight: !first,
  };
}

function boothText({ loads, tooLarge }: BoothLoads): string[] {
  if (tooLarge) return ['larger than the booth: open it in front, or spray outdoors on a dry, calm day'];
  return loads > 1 ? [`${loads} loads, one after the other`] : [];
}

/** "A can empties by time" is true of cans only. */
function amountText({ resolved }: PlacedLayer, holds: 'film' | 'sweeps'): string {
  if (resolved.hand === 'brush') return 'Brushed: nearly all of it stays on the part.';
  if (holds === 'film') return 'The film decides the amount: it needs more than the sweeps give.';
  return resolved.hand === 'aerosol'
    ? 'A can empties by time: the sweeps decide the amount.'
    : 'The sweeps decide the amount: more goes past a small face than stays on it.';
}

const WEIGHT_WORDS: Record<Weight, string> = {
  mist: 'a mist coat',
  thin: 'a thin coat',
  normal: 'one even coat',
  heavy: 'a heavy, wet coat',
};

function coatDetail(chain: StepChain, { resolved, zones }: PlacedLayer, mist: boolean, weight: Weight): string {
  const { part } = chain.of;
  const names = zones.length === part.zones.length ? '' : `${listed(zones.map((zone) => part.zones[zone].name))}; `;
  const way =
    resolved.hand === 'aerosol'
      ? `${WEIGHT_WORDS[weight]}, 20 cm off, overlap half`
      : resolved.hand === 'brush'
        ? 'thin, one way'
        : `${WEIGHT_WORDS[weight]}, even passes, overlap half`;
  return [
    `${names}${mist ? 'mist coats first, let them flash, then ' : ''}${way}`,
    ...roundText(resolved.layer),
    ...headsText(chain, resolved.role),
    ...heldText(part),
  ].join('; ');
}

const HAS_HEADS: readonly FasteningKind[] = ['screw', 'tapped-post', 'rivet'];

/** Screw heads that will be seen are small parts in the batch of the part they hold. */
function headsText({ of: { piece, part } }: StepChain, role: ResolvedLayer['role']): string[] {
  const seen = (piece.fastenings ?? []).filter(({ a, kind, heads }) => a === part.id && heads === 'repaint' && HAS_HEADS.includes(kind));
  const count = seen.reduce((sum, own) => sum + own.count, 0);
  return count === 0 || role === 'clear' ? [] : [`its ${counted(count, 'screw head')} stuck in card beside it`];
}

/** A later round meets a finished edge of its own colour. */
function roundText({ round }: Layer): string[] {
  if (round === undefined) return [];
  return [
    `round ${round}: key the finished edge, overlap it by 10 mm over soft tape; the same mix and as many coats as before, hardened afresh`,
  ];
}

const HOLD_WORDS: Record<Hold['by'], string> = {
  hook: 'hung on a hook',
  rod: 'on a rod',
  clip: 'in a clip',
  turntable: 'on the turntable',
  box: 'on a box',
};

/** How it is held, where that touches, and the face that a spit may land on. */
function heldText({ name, hold }: Part): string[] {
  if (!hold) return [];
  const by = `${name} ${HOLD_WORDS[hold.by]}${hold.spot ? `, held at ${hold.spot}` : ''}`;
  return [by, ...(hold.startOn ? [`start on ${hold.startOn}`] : [])];
}
