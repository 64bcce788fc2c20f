export { readWorkshopFile } from './readWorkshopFile.ts';
export { admissible, refusedIn } from './refused.ts';
