import { labelUntilMin } from '#core/drying/index';
import { plain } from '#core/facts/index';
import type { Minute } from '#core/units/index';
import { type PlacedLayer, type PlanContext, type PlannedFilm, timesOf } from '../../films/index.ts';
import type { Constraint } from '../constraint.ts';
import { allowedBy } from '../gaps.ts';

/** A window that shut for good before what belongs into it was on: what follows is planned at once, the dates are never lost (trade §6). */

export type Overshot = {
  readonly layerId: string;
  /** The film that waited; the layer’s own where a coat of it came too late. */
  readonly belowLayerId: string;
  /** When it shut. */
  readonly since: Minute;
  readonly because: string;
  /** The label's time was over, not the window of the family. */
  readonly byLabel: boolean;
  /** A metallic is scuffed and takes a fresh base coat; all else is stripped. */
  readonly way: 'fresh-base' | 'strip';
};

/**
 * What a coat waits for on a film that is laid, where no moment for it is left; null where one is, or where the film is not laid yet.
 * @param constraint what the coat waits for on that film
 */
export function overshotOn(film: PlannedFilm, placed: PlacedLayer, constraint: Constraint, { clocks, now }: PlanContext): Overshot | null {
  if (!('at' in film.last)) return null;
  const { at } = film.last;
  const stretches = allowedBy(constraint.rule, clocks, () => at);
  const ends = stretches.map(({ to }) => to ?? Number.POSITIVE_INFINITY);
  const { byLabel, until } = labelsUntil(film, placed);
  const never = byLabel ? at + until : ((freshOnly(constraint) ? timesOf(film, clocks, () => at).shuts : null) ?? Number.POSITIVE_INFINITY);
  const since = ends.length > 0 ? Math.max(...ends) : never;
  if (since >= now) return null;
  const { resolved } = placed;
  const own = film.layerId === resolved.layer.id;
  const seesThrough = resolved.role === 'clear' || resolved.transparent || resolved.family === 'candy';
  return {
    layerId: resolved.layer.id,
    belowLayerId: film.layerId,
    since,
    byLabel,
    because: byLabel
      ? `The label of ${film.name} lets ${resolved.role === 'clear' ? 'a clear' : 'another paint'} on for ${until} min after its last coat, and they are over. By the label nothing goes on it any more.`
      : `${film.name} (${plain(film.family)}) took ${own ? 'its next coat' : resolved.name} only in its window, and that has shut for good.`,
    way: film.role === 'metallic' && seesThrough && !own ? 'fresh-base' : 'strip',
  };
}

/** It goes on in the window or never: of a doubtful day that may have shut before the film was surely dry enough. */
function freshOnly({ rule }: Constraint): boolean {
  return rule.is === 'on-film' && rule.joint.branches.length > 0 && rule.joint.branches.every(({ state }) => state === 'fresh');
}

type Ground = Pick<PlannedFilm, 'family' | 'role' | 'label'>;

/** Minutes of a window in which nothing else has a place. */
const SHORT_WINDOW = 120;

/** Another paint goes on this one in a window too short for anything else. */
export function isShort({ family, label }: Ground, { resolved }: PlacedLayer): boolean {
  const { until } = labelsUntil({ label, layerId: '' }, { resolved });
  return family === 'candy' || (until > 0 && until <= SHORT_WINDOW);
}

/** The paint goes on this one in the same stay. */
export function follows(ground: Ground, placed: PlacedLayer): boolean {
  return ground.role === 'metallic' || isShort(ground, placed);
}

/** Minutes after its last coat for which the label of a film lets this paint on. */
function labelsUntil(
  { label, layerId }: Pick<PlannedFilm, 'label' | 'layerId'>,
  { resolved }: Pick<PlacedLayer, 'resolved'>,
): { readonly byLabel: boolean; readonly until: number } {
  const until = labelUntilMin(label, resolved.role);
  return until === undefined || layerId === resolved.layer.id ? { byLabel: false, until: 0 } : { byLabel: true, until };
}
