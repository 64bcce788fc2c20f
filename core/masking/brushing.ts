import { coatMinutes } from '#core/amounts/index';
import { bestOrder } from './order.ts';
import type { BrushedWay, OrderQuestion, OrderZone } from './orderTypes.ts';

/** Brushing a colour instead of spraying it: no mask and no overspray, but strokes (trade §9). */

/** More colours than this are not each tried by brush: the answer would keep the person waiting. */
const MOST_TRIED = 6;
const LARGE_CM2 = 10;
const LIGHT_L = 60;
const BRUSHED_COATS = 2;

/** Each sprayed colour brushed alone, with what its strokes cost; those that can be laid so. */
export function brushedWays(question: OrderQuestion): BrushedWay[] {
  if (question.zones.length > MOST_TRIED) return [];
  return question.zones
    .filter((zone) => zone.brushed !== true && zone.transparent !== true)
    .flatMap((zone) => {
      const answer = bestOrder({ ...question, zones: question.zones.map((own) => (own === zone ? { ...own, brushed: true } : own)) });
      return 'stop' in answer ? [] : [{ zoneId: zone.id, cost: answer.cost + strokesMinutes(zone), shows: showsBrushed(zone) }];
    });
}

/** Two brushed coats of a square of its area. */
function strokesMinutes({ areaCm2 }: OrderZone): number {
  const sideMm = Math.sqrt(areaCm2 * 100);
  return BRUSHED_COATS * coatMinutes([{ longMm: sideMm, shortMm: sideMm }], 'brush', 1);
}

function showsBrushed({ areaCm2, lab }: OrderZone): string {
  if (areaCm2 <= LARGE_CM2) return 'so small that no stroke shows';
  return lab.l >= LIGHT_L ? 'strokes and a thicker film show on a light stretch this large' : 'strokes show from near by';
}
