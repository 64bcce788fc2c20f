export { type Cleaner, CLEANERS, lastWipe } from './cleaning.ts';
export { FINISH_GRITS, GOOD_RATIO, GRAIN_UM, GRITS, gritLadder, type Ladder, type NextCoat } from './ladder.ts';
