import { reserveMl } from '#core/amounts/index';
import { resolveLayer } from '#core/coats/index';
import type { Piece } from '#core/facts/index';
import { isPlanned } from '#core/safety/index';
import { listed } from '#core/units/index';
import type { PlanContext } from '../../films/index.ts';
import { pieceKey } from '../keys.ts';
import { pieceWide } from '../pieceWide.ts';
import type { Constraint } from '../constraint.ts';
import type { Step } from '../step.ts';
import type { WorkPace } from '../workPace.ts';
import { undecidedZones } from '../../verdicts/index.ts';

/** The last look, once every part is on. */

const CHECK_MINUTES = 6;
const TOYS: readonly Piece['looksLike'][] = ['pressed-toy', 'tinplate-toy'];

export type Checking = { readonly stopped: string | undefined; readonly pace: WorkPace; readonly constraints: readonly Constraint[] };

/** Looked over and photographed: nothing more is put on. */
export function isTogether(piece: Piece, { history }: PlanContext): boolean {
  return history.done.has(pieceKey(piece.id, 'fit'));
}

export function checkStep(piece: Piece, context: PlanContext, { stopped, pace, constraints }: Checking): Step {
  return pieceWide(piece, 'fit', '-', {
    title: 'Check and photograph',
    minutes: pace('fit', null) * CHECK_MINUTES,
    detail: 'moves, closes, sits level; after-photos in the same views',
    hazards: [...(TOYS.includes(piece.looksLike) ? (['toy'] as const) : []), ...(piece.mains ? (['mains'] as const) : [])],
    because: 'What is found now is still put right in the same paint.',
    checks: [
      ...(piece.parts.some((part) => part.lit) ? ['Lit at its working voltage in the dark: no light leaks'] : []),
      ...(piece.parts.length > 1 ? ['It rolls or turns freely', 'Doors and lids close'] : []),
      'It sits level',
      ...((piece.fastenings ?? []).length > 0 ? ['No bare metal inside screw holes'] : []),
      ...touchUpJars(piece, context),
    ],
    constraints,
    ...(stopped ? { stopped } : {}),
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
