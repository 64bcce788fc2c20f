import {
  type Correction,
  correctionFor,
  type Cup,
  type MarksRead,
  type Pixels,
  readMarks,
  type Recipe,
  recipesFor,
  type RecipeWish,
  type Spot,
} from '#core/colour/index';
import { expose } from 'comlink';

/** Recipes are searched and pictures sampled here, away from the page. */
export type MarksQuestion = { readonly pixels: Pixels; readonly paint: Spot; readonly card: Spot | null };

const api = {
  recipes: (wish: RecipeWish, most: number): Recipe[] => recipesFor(wish, most),
  correction: (cup: Cup): Correction => correctionFor(cup),
  marks: ({ pixels, paint, card }: MarksQuestion): MarksRead => readMarks(pixels, paint, card),
};
export type MixApi = typeof api;
expose(api);
