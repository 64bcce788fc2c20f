import { jointInState, type JointVerdict, serviceFinding, type StackJoint, worseOf } from '#core/coats/index';
import { familyDrying, filmState } from '#core/drying/index';
import type { Part } from '#core/facts/index';
import { DAY, type Minute } from '#core/units/index';
import { type PlacedLayer, type PlanContext, type PlannedFilm, timesOf } from '../films/index.ts';
import type { JointOfPart } from './jointOfPart.ts';

/** What a joint is judged by besides its two paints: the age of the film, this very minute, and what the part has to serve. */

/** A film with its age, where it is laid: an old lacquer crazes, an old primer wants a scuff. */
export function aged(film: PlannedFilm, now: Minute): PlannedFilm & { readonly ageDays?: number } {
  return 'at' in film.last ? { ...film, ageDays: Math.max(0, now - film.last.at) / DAY } : film;
}

/** A laid film now: the verdict that a coat would meet this minute, whatever the plan waits for. */
export function thisMinute(lead: Part, film: PlannedFilm, placed: PlacedLayer, context: PlanContext): Pick<JointOfPart, 'now'> {
  const { clocks, now, evidence } = context;
  if (!('at' in film.last)) return {};
  const state = filmState(
    timesOf(film, clocks, () => now),
    now,
  );
  const drying = familyDrying(film.family);
  const hours = clocks.progress(film.placeId, drying.mechanism, film.last.at, Math.max(now, film.last.at));
  const answer = jointInState(lead.material, aged(film, now), placed.resolved, evidence, {
    state,
    scuffed: film.flatted,
    ...(state === 'fresh' ? { hours } : {}),
  });
  return { now: { state, answer } };
}

/** The last film of a zone is judged against what the part has to serve; own evidence cannot lift that. */
export function inService(lead: Part, placed: PlacedLayer, joint: StackJoint): StackJoint {
  const coveredLater = lead.layers
    .slice(placed.index + 1)
    .some((later) => later.covers === 'all' || placed.zones.every((zone) => later.covers.includes(lead.zones[zone].id)));
  const finding = coveredLater
    ? null
    : serviceFinding(lead.service ?? [], placed.resolved.family, { serviceC: lead.serviceC, heatC: placed.resolved.label?.heatC });
  if (!finding || worseOf<{ verdict: JointVerdict }>(joint, finding) === joint) return joint;
  return {
    ...joint,
    verdict: finding.verdict,
    answer: { ...joint.answer, ...finding, findings: [...joint.answer.findings, finding] },
    branches: finding.verdict === 'stop' ? [] : joint.branches,
  };
}
