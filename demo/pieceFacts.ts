import type { Mark, Picture, PictureView } from '#core/facts/index';
import { DEMO_PICTURE_SIZE } from './drawPictures.ts';
import { demoTime } from './facts.ts';

/** What every piece of the demo begins with. */
export const base = { guesses: [], swatches: [], finished: false, parcels: [], leadExcluded: true, mains: false };

export const picture = (id: string, view: PictureView, when: Picture['when'], daysAgo: number): Picture => ({
  id,
  view,
  when,
  at: demoTime(-daysAgo * 1440),
  ...DEMO_PICTURE_SIZE,
});
export const mark = (id: string, kind: Mark['kind'], severity: Mark['severity'], where: string, pin?: Mark['pin']): Mark => ({
  id,
  kind,
  severity,
  where,
  ...(pin ? { pin } : {}),
});
