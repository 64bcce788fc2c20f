import type { Layer, Warm, WarmBy } from '#core/facts/index';
import type { Hazard } from '#core/safety/index';
import { durationText, type Minute } from '#core/units/index';
import type { PartFilms, PlacedLayer, PlanContext } from '../../films/index.ts';
import { warmRefused } from '../../verdicts/index.ts';
import type { StepChain } from '../chain.ts';
import { flashedOff } from '../constraints.ts';

/** A warm spell after the last coat of a layer: never required, and left out where part, film or people forbid it. */

const SET_UP_MINUTES = 3;
const INTO_MINUTES = 1;

const INTO: Readonly<
  Record<WarmBy, { readonly title: string; readonly detail: string; readonly because: string; readonly hazards: readonly Hazard[] }>
> = {
  oven: {
    title: 'Into the low oven',
    detail:
      'no gas and no glowing element, never for food again, vented; a thermometer beside the part; below 40 °C for the first quarter of an hour, then up slowly, and cooled with the door shut',
    because: 'Heat hurries the film; cheap ovens overshoot, and sooner than the flash-off it boils the solvent through the skin.',
    hazards: ['heat'],
  },
  sun: {
    title: 'Into full sun',
    detail: 'under an open box against dust and insects, turned once; in again before the air turns damp',
    because: 'A surface in the sun is far warmer than the air; a dark one is hot.',
    hazards: [],
  },
  'warm-room': {
    title: 'Into the warm room',
    detail: 'never where people sleep while it smells; out of the way of dust',
    because: 'Ten degrees more and most films dry in half the time.',
    hazards: [],
  },
};

/** Once the film has flashed off; what follows on it goes by the quicker clock. */
export function addWarm(chain: StepChain, context: PlanContext, films: PartFilms, placed: PlacedLayer, onOldPaint: boolean): void {
  const { resolved, index, zones } = placed;
  const warm = warmOf(chain, context, resolved.layer, onOldPaint);
  if (!warm) return;
  const { title, detail, because, hazards } = INTO[warm.by];
  const { part } = chain.of;
  const into = chain.add(
    {
      stage: 'warm',
      layerIndex: index,
      title: `${title}, ${resolved.name}: ${warm.surfaceC} °C for ${durationText(warm.minutes)}`,
      minutes: INTO_MINUTES * part.copies,
      setup: SET_UP_MINUTES,
      detail,
      because,
      hazards: [...hazards],
      treatment: `warm ${warm.by} ${warm.surfaceC} ${warm.minutes} ${resolved.mix}`,
      warm,
    },
    [flashedOff(films.top(placed))],
  );
  if ('step' in into) {
    films.warm(zones, { since: into, minutes: warm.minutes, surfaceC: warm.surfaceC });
    chain.keepAway(warm.minutes);
  } else chain.keepAway(lyingYet(chain, context, into.at));
}

/** Minutes from when it was put in until the spells logged since are over; their films have them already, as measured. */
function lyingYet(chain: StepChain, { history, now }: PlanContext, put: Minute): Minute {
  const { piece, part } = chain.of;
  const ends = history
    .warmed(piece.id, part.id)
    .flatMap(({ since, minutes }) => ('at' in since && since.at >= put ? [since.at + minutes] : []));
  const until = Math.max(put, ...ends);
  return until > now ? until - put : 0;
}

function warmOf(chain: StepChain, { facts }: PlanContext, layer: Layer, onOldPaint: boolean): Warm | null {
  const { warm } = layer;
  if (!warm) return null;
  const { piece, part } = chain.of;
  return warmRefused(warm, { piece, part, layer, facts, onOldPaint }) === null ? warm : null;
}
