import { familyDrying } from '#core/drying/index';
import { papers } from '#core/prep/index';
import { workSize } from '#core/survey/index';
import { workMinutes } from '#core/units/index';
import type { PlacedLayer, PlannedFilm } from '../../films/index.ts';
import type { StepChain } from '../chain.ts';
import { onceReached } from '../constraints.ts';

/** Aged on purpose: rub-through at edges and handholds is wanted, and has its step (trade §1). */
export function addRubThrough(chain: StepChain, tops: readonly PlannedFilm[], placed: PlacedLayer): void {
  const { piece, part } = chain.of;
  if (piece.aim !== 'aged') return;
  const size = workSize(part);
  const grained = part.surface === 'grained';
  chain.add(
    {
      stage: 'age',
      layerIndex: placed.index,
      title: 'Rub through where hands and years would have',
      minutes: workMinutes(3, size, 'flat'),
      setup: 2,
      ...(grained || part.material === 'magnesium' ? { acts: [grained ? 'scuff' : 'wet-sand'] as const } : {}),
      detail: `${grained ? 'a grey pad alone, paper would level the grain' : 'P600 then a grey pad'}: edges, handles, lids; stop, step back, look. Light crackle: a fast lacquer over a young slow coat, on scrap first`,
      hazards: ['dust'],
      because: 'Wear is wanted here: what would be a fault elsewhere is the finish.',
      supplies: grained ? [] : papers([600], { ...size, copyCm2: size.copyCm2 / 4 }),
      treatment: grained ? 'rub through by pad' : part.material === 'magnesium' ? 'rub through wet' : 'rub through',
    },
    tops.map((film) =>
      onceReached(
        film,
        familyDrying(film.family).flat === null ? 'fit' : 'flat',
        `the ${film.name} must be hard before it is rubbed through`,
      ),
    ),
  );
}
