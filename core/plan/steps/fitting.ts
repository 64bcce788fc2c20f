import { reserveMl } from '#core/amounts/index';
import { resolveLayer } from '#core/coats/index';
import type { Piece } from '#core/facts/index';
import { isPlanned } from '#core/safety/index';
import { unreachableLater } from '#core/survey/index';
import { listed } from '#core/units/index';
import type { PlanContext } from '../films/index.ts';
import { pieceKey } from './keys.ts';
import { pieceWide } from './pieceWide.ts';
import type { Inspection, Step } from './step.ts';
import type { WorkPace } from './workPace.ts';
import { undecidedZones } from '../verdicts/index.ts';

/** Reassembly, once every part is finished. */

const FIT_MINUTES_A_PART = 3;
const TOYS: readonly Piece['looksLike'][] = ['pressed-toy', 'tinplate-toy'];

export type Fitting = { readonly stopped: string | undefined; readonly inspects: readonly Inspection[]; readonly pace: WorkPace };

export function fitStep(piece: Piece, context: PlanContext, { stopped, inspects, pace }: Fitting): Step | null {
  if (context.history.done.has(pieceKey(piece.id, 'fit'))) return null;
  const behind = unreachableLater(piece);
  const held = stopped ?? undecidedText(piece);
  return pieceWide(piece, 'fit', '-', {
    title: piece.parts.length > 1 ? 'Fit together, photograph' : 'Check and photograph',
    minutes: pace('fit', null) * (FIT_MINUTES_A_PART * piece.parts.length + 3),
    detail: ['moves, closes, sits level; after-photos in the same views', ...behind.map(({ text }) => text)].join('; '),
    hazards: [...(TOYS.includes(piece.looksLike) ? (['toy'] as const) : []), ...(piece.mains ? (['mains'] as const) : [])],
    because: 'Parts go together once the film takes screws and sliding.',
    checks: [
      ...(piece.parts.some((part) => part.lit) ? ['Lit at its working voltage in the dark: no light leaks'] : []),
      ...(piece.parts.length > 1 ? ['It rolls or turns freely', 'Doors and lids close'] : []),
      'It sits level',
      ...((piece.fastenings ?? []).length > 0 ? ['No bare metal inside screw holes'] : []),
      ...touchUpJars(piece, context),
    ],
    ...(inspects.length > 0 ? { inspects } : {}),
    ...(held ? { stopped: held } : {}),
  });
}

/** Parts nobody has decided on are never ready: they hold up the fit and say so. */
export function undecidedText(piece: Piece): string | undefined {
  const open = piece.parts.filter((part) => isPlanned(part) && undecidedZones(part).length > 0);
  if (open.length === 0) return undefined;
  const names = open.map((part) => {
    const zones = undecidedZones(part);
    return zones.length === part.zones.length ? part.name : `${part.name}, ${listed(zones.map((zone) => zone.name.toLowerCase()))}`;
  });
  return `Not decided yet: ${listed(names)}. Choose coats, or say why it stays bare.`;
}

/** The jars of paint kept for later chips, by name. */
function touchUpJars(piece: Piece, { facts, workshop }: PlanContext): string[] {
  const colours = new Map(
    piece.parts.flatMap((part) =>
      part.layers.flatMap((layer) => {
        const { name, role, mix } = resolveLayer(layer, facts);
        const ml = reserveMl(role, workshop);
        return ml > 0 ? [[mix, `${name} (${ml} mL)`] as const] : [];
      }),
    ),
  );
  return colours.size === 0 ? [] : [`Touch-up jars labelled and dated: ${listed([...colours.values()])}`];
}
