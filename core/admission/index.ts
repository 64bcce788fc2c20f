export { readWorkshopFile } from './readWorkshopFile.ts';
