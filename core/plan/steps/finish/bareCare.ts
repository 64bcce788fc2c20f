import { isMetal, type Part } from '#core/facts/index';
import { workSize } from '#core/survey/index';
import { DAY, workMinutes } from '#core/units/index';
import type { PlanContext, Ref } from '../../films/index.ts';
import type { StepChain } from '../chain.ts';
import { beforeFlashRust, dwell } from '../constraints.ts';
import { flashRusts } from '../beforePaint/surfaceParts.ts';

/** Bare by choice is a finish with its own steps: brightened or plated, then oiled, waxed or cleared (trade §4). */

export type BareCare = Required<NonNullable<Part['bareCare']>>;

/** What a bare part gets where nobody has said: running steel is oiled, other metal waxed, the rest left as it is. */
export function bareCareOf(part: Part): BareCare {
  const metal = isMetal(part.material);
  const steel = flashRusts(part);
  return {
    brighten: part.bareCare?.brighten ?? (metal ? 'brighten' : 'none'),
    protect: part.bareCare?.protect ?? (steel ? 'oil' : metal ? 'wax' : 'none'),
  };
}

const BRIGHTEN = {
  brighten: { title: 'Brighten the bare metal', detail: 'fine pad or bronze wool with the grain; wipe clean', at100: 3 },
  polish: { title: 'Polish the bare metal', detail: 'clamped; compound by hand or a slow wheel, which throws parts', at100: 6 },
  plate: {
    title: 'Off to the plater',
    detail: 'outside work: ask for the price and the day before it goes',
    at100: 0,
  },
} as const;

const PROTECT = {
  oil: { title: 'Oil what stays bare', detail: 'a thin film, wiped almost dry; away from what is still to be painted', spec: 'light oil' },
  wax: { title: 'Wax what stays bare', detail: 'a thin coat, buffed when hazy', spec: 'wax' },
  clear: {
    title: 'Clear over the bare metal',
    detail: 'a thin clear made for bare metal, on a surface nobody has touched since its wipe',
    spec: 'clear for bare metal',
  },
} as const;

/** Steps of a part, or of the zones of one, that stay bare by choice. */
export function addBareCare(chain: StepChain, context: PlanContext, zoneIds: readonly string[]): void {
  const { part } = chain.of;
  const care = bareCareOf(part);
  const size = workSize(part, zoneIds);
  const places = part.zones.flatMap((zone, index) => (zoneIds.includes(zone.id) ? [index] : []));
  let bright: Ref | null = null;
  if (care.brighten !== 'none') {
    const { title, detail, at100 } = BRIGHTEN[care.brighten];
    bright = chain.add({
      stage: 'bare-care',
      subject: 'brighten',
      title,
      minutes: Math.max(5, workMinutes(at100, size, 'flat')),
      setup: 2,
      zones: places,
      detail,
      hazards: care.brighten === 'polish' ? ['sharp'] : [],
      because: 'It stays bare by choice: that is a finish of its own.',
      supplies: care.brighten === 'plate' ? [] : [{ kind: 'pad', spec: 'fine pad', unit: 'piece', amount: 0.3 * size.copies }],
      treatment: `bare ${care.brighten}`,
    });
  }
  if (care.brighten === 'plate' && bright) bright = backFromPlater(chain, bright, places);
  if (care.protect === 'none') return;
  const { title, detail, spec } = PROTECT[care.protect];
  chain.add(
    {
      stage: 'bare-care',
      subject: 'protect',
      title,
      minutes: 1 + workMinutes(1, size, 'wash'),
      setup: 2,
      zones: places,
      detail,
      because: flashRusts(part)
        ? 'Bright steel that stays bare is protected the same session, or it rusts.'
        : 'Bare metal tarnishes under fingers and damp.',
      hazards: care.protect === 'oil' ? ['rags'] : care.protect === 'clear' ? ['solvent'] : [],
      supplies: [{ kind: 'protection', spec, unit: 'mL', amount: 3 * size.copies }],
      treatment: `bare ${care.protect}`,
    },
    bright && flashRusts(part) ? [beforeFlashRust(bright, context)] : [],
  );
}

/** What a plater usually takes, with both ways; the log sets it right when the part is back sooner. */
const PLATER_MINUTES = 14 * DAY;

function backFromPlater(chain: StepChain, sent: Ref, zones: readonly number[]): Ref {
  return chain.add(
    {
      stage: 'bare-care',
      subject: 'plated',
      title: 'Back from the plater',
      minutes: 5,
      zones,
      detail: 'looked at in good light, cleaned and dried; threads and seats still fit',
      because: 'Plating builds on threads and seats, and a flaw goes back before it is fitted.',
      treatment: 'bare plated',
    },
    [dwell(sent, [PLATER_MINUTES, null], 'a plater usually takes two weeks')],
  );
}
