import type { DryingClocks } from '#core/drying/index';
import type { Act, Facts, Part, Piece, SenseRule } from '#core/facts/index';
import type { PlannedStep } from '#core/plan/index';
import type { Minute } from '#core/units/index';
import type { LyingFilm } from '../lying.ts';
import type { PartState } from './partState.ts';
import type { Chooser, Mend, Sensed } from './finding.ts';

/** One step at one part, with all that is known there when it comes: what a rule looks at. */
export type Scene = {
  readonly sensed: Sensed;
  readonly facts: Facts;
  readonly clocks: DryingClocks;
  readonly piece: Piece;
  readonly part: Part;
  readonly step: PlannedStep;
  /** Of the piece, in the order they come; those without a date last. */
  readonly order: readonly PlannedStep[];
  readonly at: number;
  readonly state: PartState;
  /** The piece has been photographed and measured. */
  readonly recorded: boolean;
};

/** What a rule finds; who chose it and what the piece's owner knows is added by the reader. */
export type Found = {
  readonly rule: SenseRule;
  readonly because: string;
  readonly mend?: Mend;
  readonly layerId?: string;
  readonly taskId?: string;
  /** Where the rule itself knows who chose it. */
  readonly chosenBy?: Chooser;
};

export type Rule = (scene: Scene) => readonly Found[];

/** Start of a step; null without a date. */
export function startOf({ placed }: PlannedStep): Minute | null {
  return placed?.start ?? null;
}

/** Zones of the part that the step is about. */
export function zonesOf({ step, part }: Scene): string[] {
  return step.on.find(({ partId }) => partId === part.id)?.zoneIds.filter((id) => part.zones.some((zone) => zone.id === id)) ?? [];
}

/** The topmost film of each zone the step is about, each film once. */
export function topsOf(scene: Scene): { readonly film: LyingFilm; readonly films: readonly LyingFilm[] }[] {
  const seen = new Set<string>();
  return zonesOf(scene).flatMap((zone) => {
    const films = scene.state.films.on(zone);
    const film = films.at(-1);
    if (!film || seen.has(film.resolved.layer.id)) return [];
    seen.add(film.resolved.layer.id);
    return [{ film, films }];
  });
}

export function does(step: PlannedStep, acts: readonly Act[]): Act | undefined {
  return step.acts.find((act) => acts.includes(act));
}

/** Steps that come after this one and touch the same part. */
export function laterOn({ order, at, part }: Scene): readonly PlannedStep[] {
  return order.slice(at + 1).filter((step) => step.on.some(({ partId }) => partId === part.id));
}
