import { CLEAR_TO_STAY_UM, clearToBuild, REMOVAL_UM } from '#core/coats/index';
import { familyDrying, filmSlowing } from '#core/drying/index';
import type { Curve, Family, Polish } from '#core/facts/index';
import { counted, listed, workGrowth } from '#core/units/index';
import { maskMinutes } from './minutes.ts';

/** Three ways to level the step at a tape edge, compared: film left, days, minutes and paint (trade §4, §7). */

/** A film beside or over the edge: one coat of it, and what is planned of it. */
export type EdgeFilm = {
  readonly name: string;
  readonly family: Family;
  readonly filmUm: number;
  readonly coats: number;
  readonly mlPerCoat: number;
};

export type EdgeStep = {
  /** How high the later colour stands, µm. */
  readonly stepUm: number;
  readonly mm: number;
  readonly curve: Curve;
  readonly colour: EdgeFilm;
  readonly neighbour: EdgeFilm & { readonly areaCm2: number };
  /** The clear over both; null: none is planned. */
  readonly clear: EdgeFilm | null;
  /** How it is polished; absent: as usual. */
  readonly polish?: Polish;
};

export type Levelling = {
  readonly way: 'more-clear' | 'flat-edge' | 'respray';
  readonly text: string;
  readonly stepLeftUm: number;
  /** Of the film that is sanded, or of the clear that stays, µm. */
  readonly filmLeftUm: number;
  readonly minutes: number;
  readonly days: number;
  readonly ml: number;
};

const USUAL_POLISH: Polish = { papers: [1500, 2000, 3000], edges: true };
const COAT_MINUTES = 3;
const FLAT_AT_100CM2 = 3;
/** What ten strokes of P1500 take off an edge, which loses film three times as fast as a flat, µm. */
const STROKE_UM = 3 * REMOVAL_UM[1500];
const STROKE_MINUTES_A_METRE = 6;

export function levellings(edge: EdgeStep): Levelling[] {
  return [moreClear(edge), flatEdge(edge), resprayNeighbour(edge)].filter((way) => way !== null);
}

/** Coats of a film that dries in its usual time. */
const NORMAL_COATS = 2;

/** Days until a film of so many coats is that far: laid in one go it dries as one thick film (trade §8). @param hours of a normal film */
function daysFor(hours: number, family: Family, coats: number): number {
  return (hours * filmSlowing(familyDrying(family).mechanism, coats / NORMAL_COATS, 'later')) / 24;
}

/** Clear of at least the step, what polishing takes and what must stay; then flatted with its edges. */
function moreClear({ stepUm, clear, neighbour, polish = USUAL_POLISH }: EdgeStep): Levelling | null {
  if (!clear) return null;
  const { papers, edges } = polish;
  const build = clearToBuild(papers, true, edges, clear.filmUm).um + stepUm;
  const coats = Math.ceil(build / clear.filmUm - 1e-9);
  const extra = Math.max(0, coats - clear.coats);
  return {
    way: 'more-clear',
    text: `${counted(coats, 'coat')} of ${clear.name} in all, ${build.toFixed(1)} µm, then ${listed([...papers.map((grit) => `P${grit}`), 'compound'])}, ${edges ? 'edges too' : 'flats only'}`,
    stepLeftUm: 0,
    filmLeftUm: Math.max(clear.coats, coats) * clear.filmUm - (build - CLEAR_TO_STAY_UM),
    minutes: extra * COAT_MINUTES + Math.max(1, papers.length) * FLAT_AT_100CM2 * workGrowth(neighbour.areaCm2, 'flat'),
    days: daysFor(familyDrying(clear.family).flat ?? 0, clear.family, Math.max(clear.coats, coats)),
    ml: extra * clear.mlPerCoat,
  };
}

/** The ridge alone taken down to half: more would go through the colour at its edge. */
function flatEdge({ stepUm, mm, colour }: EdgeStep): Levelling | null {
  const flat = familyDrying(colour.family).flat;
  if (flat === null) return null;
  const strokes = Math.max(1, Math.ceil(stepUm / 2 / STROKE_UM));
  const taken = strokes * STROKE_UM;
  return {
    way: 'flat-edge',
    text: `the edge alone with P1500, wet, ${counted(strokes, 'pass', 'passes')}`,
    stepLeftUm: Math.max(0, stepUm - taken),
    filmLeftUm: Math.max(0, colour.filmUm * colour.coats - taken),
    minutes: 2 + (mm / 1000) * STROKE_MINUTES_A_METRE * strokes,
    days: daysFor(flat, colour.family, colour.coats),
    ml: 0,
  };
}

/** The lower side sprayed up to the new colour, which is under tape meanwhile. */
function resprayNeighbour({ stepUm, mm, curve, colour, neighbour }: EdgeStep): Levelling | null {
  const tape = familyDrying(colour.family).tape;
  if (tape === null) return null;
  const coats = Math.max(1, Math.round(stepUm / neighbour.filmUm));
  const mask = maskMinutes([{ mm, curve }], []);
  return {
    way: 'respray',
    text: `${counted(coats, 'more coat')} of ${neighbour.name} with ${colour.name} under tape`,
    stepLeftUm: Math.abs(stepUm - coats * neighbour.filmUm),
    filmLeftUm: (neighbour.coats + coats) * neighbour.filmUm,
    minutes: mask.mask + mask.unmask + coats * COAT_MINUTES,
    days: daysFor(tape, colour.family, colour.coats),
    ml: coats * neighbour.mlPerCoat,
  };
}
