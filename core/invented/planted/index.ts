import { IN_ORDER } from './inOrder.ts';
import { ON_FILMS } from './onFilms.ts';
import { ON_FITTINGS } from './onFittings.ts';
import { ON_MATERIALS } from './onMaterials.ts';
import type { Planted } from './telling.ts';

export { HARD, ownStep, ownTask, PAINTED, type Planted, told, type Told } from './telling.ts';

/** Absurd plans with their mended twins, written before the sceptic's table and not from it. */
export const PLANTED: readonly Planted[] = [...ON_FILMS, ...ON_FITTINGS, ...IN_ORDER, ...ON_MATERIALS];
