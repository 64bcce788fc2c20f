import type { Act, FasteningKind, Fit, Part, Piece, Task } from '#core/facts/index';
import { GLUE_SETS_MINUTES, glueNote, lostByFitting } from '#core/survey/index';
import { ACTS_OF_JOINT } from '../acts.ts';

/** Parts that go on before the end, as tasks between the layers of what they sit on. */

const FIT_MINUTES = 5;
const COVER_MINUTES = 2;

export function fitTasks(piece: Piece): Task[] {
  return piece.parts.flatMap((part) => {
    const host = piece.parts.find((own) => own.id === part.fit?.onPartId);
    if (!part.fit || part.fit.stage === 'end' || !host || part.gone || host.gone) return [];
    return [fitTask(piece, part, host, part.fit)];
  });
}

export function fitTaskId(part: Part): string {
  return `fit-${part.id}`;
}

function fitTask(piece: Piece, part: Part, host: Part, fit: Fit): Task {
  const joint = (piece.fastenings ?? []).find(({ a, b }) => (a === part.id && b === host.id) || (a === host.id && b === part.id));
  const glued = joint ? joint.kind === 'glue' : part.staysClear;
  const covered = fit.stage !== 'after-clear';
  return {
    id: fitTaskId(part),
    kind: part.staysClear ? 'glazing' : glued ? 'glue' : 'own',
    name: `Fit ${part.name} on ${host.name}`.slice(0, 80),
    partIds: [part.id, host.id],
    minutes: FIT_MINUTES * part.copies + (covered ? COVER_MINUTES * part.copies : 0),
    ...(glued ? { aloneMinutes: GLUE_SETS_MINUTES } : {}),
    ...momentsOf(host, fit),
    acts: [...actsOfFit(part, joint?.kind, glued), ...(covered ? (['cover'] as const) : [])],
    note: [
      glued ? glueNote(part.material, host.material) : '',
      covered ? 'covered before the coats that follow' : '',
      ...lostByFitting(piece, part, fit).map((text) => text.replace(/\.$/, '')),
    ]
      .filter(Boolean)
      .join('; ')
      .slice(0, 200),
  };
}

/** How a part goes on its host: by its joint; without one as it came off. */
function actsOfFit(part: Part, kind: FasteningKind | undefined, glued: boolean): readonly Act[] {
  if (kind) return ACTS_OF_JOINT[kind];
  return glued || part.staysClear ? ['glue-on'] : ['slide-on'];
}

/** Before paint: between surface and cleaning. Before a layer: once the one below it bears it. After clear: at the end of its coats. */
function momentsOf(host: Part, fit: Fit): Pick<Task, 'after' | 'before'> {
  if (fit.stage === 'before-paint') return { after: { partId: host.id, stage: 'prep' }, before: { partId: host.id, stage: 'clean' } };
  const at = host.layers.findIndex((layer) => layer.id === fit.layerId);
  const below = host.layers[at - 1];
  if (fit.stage === 'after-clear' || at < 0)
    return host.layers.length > 0 ? { after: { partId: host.id, layerId: host.layers.at(-1)?.id ?? '' } } : {};
  return {
    ...(below ? { after: { partId: host.id, layerId: below.id } } : {}),
    ...(host.layers[at] ? { before: { partId: host.id, layerId: host.layers[at].id } } : {}),
  };
}
