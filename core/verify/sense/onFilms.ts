import { glossOf } from '#core/coats/index';
import { familyDrying, type FilmTimes, type Stage } from '#core/drying/index';
import { type Act, plain } from '#core/facts/index';
import { DAY, durationText } from '#core/units/index';
import { TOLERANCE } from '../verified.ts';
import { keyOf, taskOf } from './keys.ts';
import { type Found, laterOn, type Rule, type Scene, startOf, topsOf, zonesOf } from './scene.ts';
import { BEARS, DOING } from './table.ts';

/** What is done on a film: whether it bears that yet, and whether it bears it at all (trade §2, §6, §9). */

const TIMES: Partial<Record<Stage, keyof FilmTimes>> = {
  touch: 'touch',
  handle: 'handle',
  tape: 'tape',
  flat: 'flat',
  fit: 'fit',
  cure: 'cured',
};

/** Coats, tape coming off, warmth and looks have rules of their own; a mask of what stays bare touches no film. */
function isJudged({ step }: Scene): boolean {
  if (step.coat || step.stage === 'unmask' || step.stage === 'warm' || step.stage === 'look' || step.stage === 'teardown') return false;
  return !(step.stage === 'mask' && keyOf(step).subject === 'bare');
}

/** An act waits until the film bears it. */
export const filmBears: Rule = (scene) => {
  const start = startOf(scene.step);
  if (start === null || !isJudged(scene)) return [];
  return topsOf(scene).flatMap(({ film, films }) => {
    const times = scene.state.films.times(films);
    const early = scene.step.acts.flatMap((act) => {
      const stage = stageFor(act, scene);
      const at = stage && (times[TIMES[stage] ?? 'handle'] ?? (stage === 'cure' ? null : times.handle));
      return stage && (at === null || (at !== undefined && start < at - TOLERANCE)) ? [{ act, at: at ?? null }] : [];
    });
    if (early.length === 0) return [];
    const latest = early.reduce((one, other) =>
      (other.at ?? Number.POSITIVE_INFINITY) > (one.at ?? Number.POSITIVE_INFINITY) ? other : one,
    );
    return [tooSoon(scene, film.resolved.name, latest.act, latest.at === null ? null : latest.at - start, film.resolved.layer.id)];
  });
};

/** Paper runs over the edge of what it should spare: a ground is not scuffed beside graphics that do not bear it yet (trade §2). */
export const scuffBeside: Rule = (scene) => {
  const { step } = scene;
  const start = startOf(step);
  if (start === null || !step.coat || !step.placed?.scuff) return [];
  const tops = topsOf(scene).map(({ film, films }) => ({ film, flat: scene.state.films.times(films).flat }));
  const bears = ({ flat }: (typeof tops)[number]) => flat !== null && start >= flat - TOLERANCE;
  const scuffed = tops.find(bears);
  const fresh = tops.find((top) => !bears(top));
  if (!scuffed || !fresh) return [];
  const { resolved } = fresh.film;
  return [
    {
      rule: 'film-bears',
      layerId: resolved.layer.id,
      because: `“${step.title}” scuffs ${scuffed.film.resolved.name} beside ${resolved.name}, which bears no paper yet.`,
      mend: { text: `Scuff it before ${resolved.name} is masked, or wait until that bears paper.` },
    },
  ];
};

/** Vinyl keeps solvent in: it waits for cure. */
function stageFor(act: Act, { part, step }: Scene): Stage | undefined {
  const vinyl = step.stage === 'decal' && part.decals?.find(({ id }) => id === keyOf(step).subject)?.kind === 'vinyl';
  return act === 'press-on' && vinyl ? 'cure' : BEARS[act];
}

function tooSoon(scene: Scene, name: string, act: Act, missing: number | null, layerId: string): Found {
  const task = taskOf(scene);
  const when = missing === null ? 'it never bears that while it lies open' : `it bears that ${durationText(missing)} later`;
  return {
    rule: 'film-bears',
    layerId,
    ...(task ? { taskId: task.id } : {}),
    because: `“${scene.step.title}” comes when ${name} is too young to be ${DOING[act]}: ${when}.`,
    mend: {
      text: task ? `Put it after ${name} bears it.` : 'Let it wait for that.',
      ...(task ? { change: { kind: 'task-after', taskId: task.id, partId: scene.part.id, layerId } as const } : {}),
    },
  };
}

const NEVER_PAPER = ['candy', 'texture', 'dye'];

/** Metallic, transparent films, texture and dye are never scuffed between their own coats, nor flatted away (trade §6). */
export const neverScuffed: Rule = (scene) => {
  const { step } = scene;
  const paper = step.acts.find((act) => act === 'scuff' || act === 'dry-sand' || act === 'wet-sand');
  if (!paper && !step.placed?.scuff) return [];
  return topsOf(scene).flatMap(({ film: { resolved } }): Found[] => {
    const metallic = resolved.role === 'metallic';
    if (!metallic && !NEVER_PAPER.includes(resolved.family)) return [];
    // Past its window a metallic is scuffed, then laid afresh.
    const next = step.coat ? step : laterOn(scene).find((later) => later.coat);
    if (metallic && next?.coat?.role === 'metallic') return [];
    return [
      {
        rule: 'never-scuffed',
        layerId: resolved.layer.id,
        because: `“${step.title}” takes paper to ${resolved.name}: ${metallic ? 'flakes are cut and show as a cloud under the clear' : `${plain(resolved.family)} is its own surface`}.`,
        mend: {
          text: metallic ? 'A fresh coat of it first, then the clear in its window.' : 'Leave it as it is; clear it in its window.',
          ...(step.stage === 'flat' ? { change: { kind: 'no-flatting', partId: scene.part.id, layerId: resolved.layer.id } as const } : {}),
        },
        ...(step.stage === 'flat' ? { chosenBy: 'person' as const } : {}),
      },
    ];
  });
};

/** Under this a decal silvers. */
const GLOSS_FOR_DECALS = 50;

/** Waterslide decals get gloss below them, and a day before clear (trade §9). */
export const decalGround: Rule = (scene) => {
  const { step } = scene;
  if (step.stage === 'decal' && step.acts.includes('decal'))
    return topsOf(scene).flatMap(({ film: { resolved } }): Found[] =>
      glossOf(resolved.family, resolved.role, resolved.label).gloss >= GLOSS_FOR_DECALS
        ? []
        : [
            {
              rule: 'decal-ground',
              layerId: resolved.layer.id,
              chosenBy: 'person',
              because: `The decal lies on ${resolved.name}, which dries too dull: air stays under it and silvers.`,
              mend: { text: 'A gloss coat below it first, and setting solution.' },
            },
          ],
    );
  return step.coat ? overDecal(scene) : [];
};

function overDecal(scene: Scene): Found[] {
  const start = startOf(scene.step);
  const zones = zonesOf(scene);
  return scene.state.been
    .filter(
      (own) =>
        own.stage === 'decal' &&
        own.acts.includes('decal') &&
        own.on.some(({ partId, zoneIds }) => partId === scene.part.id && zoneIds.some((id) => zones.includes(id))),
    )
    .flatMap(({ placed }): Found[] =>
      placed && start !== null && start < placed.end + DAY - TOLERANCE
        ? [
            {
              rule: 'decal-ground',
              because: `Clear goes on ${durationText(start - placed.end)} after the decal: water under it takes a day to go.`,
              mend: { text: 'Let the decal dry a whole day.' },
            },
          ]
        : [],
    );
}

/** A stack that names what lies on what is not laid upside down (trade §2). */
export const coatOrder: Rule = (scene) => {
  const { step, part } = scene;
  if (!step.coat) return [];
  const place = (id: string) => part.layers.findIndex((layer) => layer.id === id);
  const own = place(step.coat.layerId);
  return topsOf(scene).flatMap(({ film: { resolved } }): Found[] => {
    const below = place(resolved.layer.id);
    if (own < 0 || below < 0 || own >= below || !bothMeant(part, zonesOf(scene), step.coat?.layerId ?? '', resolved.layer.id)) return [];
    return [
      {
        rule: 'coat-order',
        layerId: resolved.layer.id,
        because: `“${step.title}” would go over ${resolved.name}, which lies above it in the stack and is there already.`,
        mend: { text: 'Say what lies below it, or leave this coat out.' },
      },
    ];
  });
};

/** Both belong on this zone by the stack: a colour’s overspray on another’s zone, and what masking puts first, are no inversion (trade §9). */
function bothMeant({ layers }: Scene['part'], zones: readonly string[], ...ids: readonly [string, string]): boolean {
  const [one, other] = ids.map((id) => layers.find((layer) => layer.id === id)?.covers);
  const meant = (own: typeof one) => own === 'all' || zones.some((zone) => own?.includes(zone));
  return meant(one) && meant(other) && (one === 'all') === (other === 'all');
}

/** A short window is one in which nothing else has a place. */
const SHORT_WINDOW = 60;

/** Extras of the tool’s own stand before a window opens, never in it (trade §12). */
export const extrasInWindow: Rule = (scene) => {
  const { step, state, order, at } = scene;
  if (step.stage !== 'look' && step.stage !== 'scrap-test' && step.stage !== 'material-test') return [];
  const sprayed = state.been.findLast((own) => own.coat)?.coat;
  const next = order.slice(at + 1).find((own) => own.coat && own.on.some(({ partId }) => partId === scene.part.id));
  const start = startOf(step);
  if (!sprayed || !next?.placed || start === null) return [];
  return topsOf(scene).flatMap(({ film, films }): Found[] => {
    const { opens, shuts, clearShuts } = state.films.times(films);
    const shut = Math.min(shuts ?? Number.POSITIVE_INFINITY, clearShuts ?? Number.POSITIVE_INFINITY);
    const goesOnOpen = film.resolved.family === 'candy' || film.resolved.role === 'metallic';
    // A film that the next coat does not go on waits for nothing.
    const waits = next.on.some(({ zoneIds }) =>
      zoneIds.some((zone) => state.films.on(zone).at(-1)?.resolved.layer.id === film.resolved.layer.id),
    );
    const short = goesOnOpen || shut - (opens ?? film.last) <= SHORT_WINDOW;
    const runs = start < shut && next.placed !== null && next.placed.start <= shut;
    if (!waits || !short || !runs || familyDrying(film.resolved.family).coatUntil === null) return [];
    return [
      {
        rule: 'extras-in-window',
        because: `“${step.title}” takes its minutes while ${film.resolved.name} waits for its next coat.`,
        mend: { text: 'Do it before the first of these coats.' },
      },
    ];
  });
};
