import type { Material, StripMethod } from '#core/facts/index';

export type MethodVerdict = 'ok' | 'test' | 'care' | 'never';
export type Cell = { readonly verdict: MethodVerdict; readonly why?: string };

type Column = 'zinc' | 'steel' | 'tinplate' | 'aluminium' | 'brass' | 'styrene' | 'pp' | 'soft' | 'plated' | 'wood';

/** Which column of the table a material is judged by: magnesium follows aluminium, galvanised follows steel (BRIEF §3). */
export const COLUMN_OF: Record<Exclude<Material, 'unknown'>, Column> = {
  zinc: 'zinc',
  steel: 'steel',
  galvanised: 'steel',
  'cast-iron': 'steel',
  tinplate: 'tinplate',
  aluminium: 'aluminium',
  magnesium: 'aluminium',
  brass: 'brass',
  abs: 'styrene',
  polystyrene: 'styrene',
  resin: 'styrene',
  pp: 'pp',
  clear: 'soft',
  vinyl: 'soft',
  rubber: 'soft',
  'plated-plastic': 'plated',
  wood: 'wood',
};

const ok: Cell = { verdict: 'ok' };
const okBut = (why: string): Cell => ({ verdict: 'ok', why });
const test: Cell = { verdict: 'test', why: 'try it on a hidden spot first' };
const care = (why: string): Cell => ({ verdict: 'care', why });
const never = (why: string): Cell => ({ verdict: 'never', why });

/** Strip method against material, default verdicts (BRIEF §3). Printed finish, glazing, old paint and lead are judged in verdict.ts. */
export const STRIP_MATRIX: Record<StripMethod, Record<Column, Cell>> = {
  gel: {
    zinc: ok,
    steel: ok,
    tinplate: care('it lifts printing'),
    aluminium: ok,
    brass: ok,
    styrene: never('it melts this plastic'),
    pp: care('watch it; some grades swell'),
    soft: never('it clouds and melts'),
    plated: never('it lifts the plating and melts what is below'),
    wood: ok,
  },
  chlorinated: {
    zinc: care('fierce, and banned in places'),
    steel: care('fierce, and banned in places'),
    tinplate: care('lifts printing, banned in places'),
    aluminium: care('fierce, and banned in places'),
    brass: care('fierce, and banned in places'),
    styrene: never('it dissolves this plastic'),
    pp: never('it attacks plastic'),
    soft: never('it dissolves this'),
    plated: never('it dissolves what is below the plating'),
    wood: care('it bleaches the wood'),
  },
  caustic: {
    zinc: care('5 min at most, cool and watched: the metal is attacked and gasses'),
    steel: okBut('5 to 30 min'),
    tinplate: care('it thins the tin'),
    aluminium: never('it reacts violently and makes hydrogen'),
    brass: okBut('it tarnishes'),
    styrene: care('cool and dilute only'),
    pp: ok,
    soft: never('it attacks this'),
    plated: care('it takes the plating'),
    wood: never('it destroys the fibres'),
  },
  alkaline: {
    zinc: care('4 h at most, and it dulls'),
    steel: ok,
    tinplate: care('it dulls the tin'),
    aluminium: care('30 min at most, and only if marked aluminium-safe'),
    brass: care('it tarnishes'),
    styrene: test,
    pp: ok,
    soft: care('it may dull'),
    plated: care('it takes the plating'),
    wood: never('it raises and darkens the grain'),
  },
  alcohol: {
    zinc: ok,
    steel: ok,
    tinplate: test,
    aluminium: ok,
    brass: ok,
    styrene: test,
    pp: ok,
    soft: care('it clouds clear plastic and hardens soft'),
    plated: test,
    wood: care('it raises the grain'),
  },
  scuff: {
    zinc: okBut('if the paint is sound'),
    steel: okBut('if the paint is sound'),
    tinplate: okBut('if the paint is sound'),
    aluminium: okBut('if the paint is sound'),
    brass: okBut('if the paint is sound'),
    styrene: ok,
    pp: okBut('with adhesion promoter'),
    soft: okBut('with a fine pad'),
    plated: care('key the plating or strip it'),
    wood: ok,
  },
  'wet-sand': {
    zinc: ok,
    steel: ok,
    tinplate: care('the plating is thin'),
    aluminium: ok,
    brass: ok,
    styrene: okBut('fine grits'),
    pp: okBut('with adhesion promoter'),
    soft: care('scratches stay'),
    plated: care('it goes through the plating'),
    wood: care('it raises the grain'),
  },
  brush: {
    zinc: okBut('brass only'),
    steel: ok,
    tinplate: care('it scratches the tin'),
    aluminium: care('brass only'),
    brass: ok,
    styrene: never('it ploughs plastic'),
    pp: never('it ploughs plastic'),
    soft: never('it ploughs this'),
    plated: never('it strips the plating in streaks'),
    wood: never('it tears the grain'),
  },
  blast: {
    zinc: care('it loses detail'),
    steel: okBut('thin sheet from 150–200 mm off, or it warps; never silica sand'),
    tinplate: never('it goes through the tin and warps it'),
    aluminium: care('soft: low pressure'),
    brass: care('soft: low pressure'),
    styrene: never('it eats plastic'),
    pp: never('it eats plastic'),
    soft: never('it eats this'),
    plated: never('it eats plastic'),
    wood: never('it eats the soft grain'),
  },
  heat: {
    zinc: never('zinc softens and old paint fumes'),
    steel: never('old paint fumes'),
    tinplate: never('the tin melts'),
    aluminium: never('old paint fumes'),
    brass: never('old paint fumes'),
    styrene: never('it melts'),
    pp: never('it melts'),
    soft: never('it melts'),
    plated: never('it melts'),
    wood: never('never on old paint'),
  },
};

/** How each method works at the bench. Dwell in minutes: shortest, longest; applications usual (BRIEF §3, minutes §12). */
export type MethodPractice = {
  readonly dwell: readonly [number, number];
  readonly applications: number;
  /** Minutes attended a time, fixed, and per 100 cm². */
  readonly fixed: number;
  readonly per100cm2: number;
  readonly waits: boolean;
  readonly removes: boolean;
  /** mL of stripper or sheets' worth of cost per 100 cm², minor units of money a 100 cm². */
  readonly costPer100cm2: number;
  readonly hazard: readonly ('gel' | 'caustic' | 'chlorinated' | 'solvent' | 'dust' | 'acid' | 'waste')[];
};

export const PRACTICE: Record<StripMethod, MethodPractice> = {
  gel: {
    dwell: [5, 1440],
    applications: 2,
    fixed: 5,
    per100cm2: 15,
    waits: true,
    removes: true,
    costPer100cm2: 60,
    hazard: ['gel', 'solvent', 'waste'],
  },
  chlorinated: {
    dwell: [5, 30],
    applications: 2,
    fixed: 5,
    per100cm2: 10,
    waits: true,
    removes: true,
    costPer100cm2: 90,
    hazard: ['chlorinated', 'waste'],
  },
  caustic: {
    dwell: [5, 30],
    applications: 1,
    fixed: 8,
    per100cm2: 1,
    waits: true,
    removes: true,
    costPer100cm2: 10,
    hazard: ['caustic', 'waste'],
  },
  alkaline: {
    dwell: [120, 2880],
    applications: 1,
    fixed: 8,
    per100cm2: 2,
    waits: true,
    removes: true,
    costPer100cm2: 15,
    hazard: ['waste'],
  },
  alcohol: {
    dwell: [60, 1440],
    applications: 1,
    fixed: 8,
    per100cm2: 4,
    waits: true,
    removes: true,
    costPer100cm2: 40,
    hazard: ['solvent', 'waste'],
  },
  scuff: { dwell: [0, 0], applications: 1, fixed: 3, per100cm2: 2, waits: false, removes: false, costPer100cm2: 5, hazard: [] },
  'wet-sand': {
    dwell: [0, 0],
    applications: 1,
    fixed: 5,
    per100cm2: 18,
    waits: false,
    removes: true,
    costPer100cm2: 25,
    hazard: ['waste'],
  },
  brush: { dwell: [0, 0], applications: 1, fixed: 5, per100cm2: 14, waits: false, removes: true, costPer100cm2: 10, hazard: ['dust'] },
  blast: { dwell: [0, 0], applications: 1, fixed: 15, per100cm2: 3, waits: false, removes: true, costPer100cm2: 30, hazard: ['dust'] },
  heat: { dwell: [0, 0], applications: 1, fixed: 5, per100cm2: 8, waits: false, removes: true, costPer100cm2: 0, hazard: ['dust'] },
};
