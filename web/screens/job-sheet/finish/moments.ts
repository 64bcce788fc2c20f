import type { Fit, Part, Piece, Task, When, WorkStage } from '#core/facts/index';
import type { StackView } from '#core/plan/index';

/** Moments of the work to tie a task or an early fit to, as lines of a list. */

export type Choice<T> = { readonly key: string; readonly label: string; readonly value: T };

/** Kinds of work that stand for how far a part is. */
const STAGES: readonly (readonly [WorkStage, after: string, before: string])[] = [
  ['teardown', 'is taken apart', 'is taken apart'],
  ['wash', 'is washed', 'is washed'],
  ['strip-off', 'is stripped', 'is stripped'],
  ['prep', 'is sanded', 'is sanded'],
  ['clean', 'is cleaned for paint', 'is cleaned for paint'],
];

/** What a task may come after, or before: other tasks, layers, kinds of work; those of its own parts first. */
export function momentChoices(
  piece: Piece,
  stacks: Readonly<Record<string, StackView>>,
  end: 'after' | 'before',
  own?: Task,
): Choice<When>[] {
  const tasks = (piece.tasks ?? [])
    .filter((task) => task.id !== own?.id)
    .map((task) => ({ key: `task ${task.id}`, label: `“${task.name}”`, value: { taskId: task.id } }));
  const ofParts = piece.parts
    .filter((part) => part.gone !== true)
    .flatMap((part) => [
      ...STAGES.map(([stage, after, before]) => ({
        key: `${part.id} ${stage}`,
        label: `${part.name} ${end === 'after' ? after : before}`,
        value: { partId: part.id, stage },
      })),
      ...layersOf(part, stacks).map(({ layerId, name }) => ({
        key: `${part.id} layer ${layerId}`,
        label: `${name} on ${part.name}`,
        value: { partId: part.id, layerId },
      })),
    ]);
  return [...tasks, ...ofParts];
}

function layersOf(part: Part, stacks: Readonly<Record<string, StackView>>): readonly { readonly layerId: string; readonly name: string }[] {
  return stacks[part.id]?.layers ?? [];
}

export function keyOfWhen(when: When | undefined): string {
  if (!when) return '';
  if ('taskId' in when) return `task ${when.taskId}`;
  return 'layerId' in when ? `${when.partId} layer ${when.layerId}` : `${when.partId} ${when.stage}`;
}

/** When a part may go on: at the end, or earlier on one of the others. */
export function fitChoices(piece: Piece, part: Part, stacks: Readonly<Record<string, StackView>>): Choice<Fit | undefined>[] {
  const hosts = piece.parts.filter((own) => own.id !== part.id && own.gone !== true && layersOf(own, stacks).length > 0);
  return [
    { key: 'end', label: 'at the end', value: undefined },
    ...hosts.flatMap((host): Choice<Fit | undefined>[] => [
      { key: `before-paint ${host.id}`, label: `on ${host.name}, before its paint`, value: { stage: 'before-paint', onPartId: host.id } },
      ...layersOf(host, stacks)
        .slice(1)
        .map(({ layerId, name }) => ({
          key: `before-layer ${host.id} ${layerId}`,
          label: `on ${host.name}, before ${name}`,
          value: { stage: 'before-layer' as const, onPartId: host.id, layerId },
        })),
      { key: `after-clear ${host.id}`, label: `on ${host.name}, after its last coat`, value: { stage: 'after-clear', onPartId: host.id } },
    ]),
  ];
}

export function keyOfFit(fit: Fit | undefined): string {
  if (!fit || fit.stage === 'end') return 'end';
  return [fit.stage, fit.onPartId, fit.layerId].filter(Boolean).join(' ');
}
