import { type Correction, correctionFor, type Cup, type Recipe, recipesFor, type RecipeWish } from '#core/colour/index';
import { expose } from 'comlink';

/** Recipes are searched here, away from the page. */
const api = {
  recipes: (wish: RecipeWish, most: number): Recipe[] => recipesFor(wish, most),
  correction: (cup: Cup): Correction => correctionFor(cup),
};
export type MixApi = typeof api;
expose(api);
