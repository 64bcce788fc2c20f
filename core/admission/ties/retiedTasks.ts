import type { Piece, Task, When } from '#core/facts/index';
import type { Stacks } from './stacks.ts';

/** Steps of the person's own, tied to what is there; one that was about gone parts alone is out with them. */
export function retiedTasks({ tasks = [] }: Piece, stacks: Stacks): { readonly tasks: Task[]; readonly moved: readonly string[] } {
  const moved: string[] = [];
  const about = tasks.map((task) => ({ ...task, partIds: task.partIds.filter(stacks.hasPart) }));
  const standing = about.filter(({ partIds }) => partIds.length > 0);
  for (const { name, partIds } of about) if (partIds.length === 0) moved.push(`“${name}” is out with the part it was about.`);
  const ids = new Set(standing.map(({ id }) => id));
  const retied = standing.map(({ after, before, ...task }): Task => {
    const [last, next] = [tieNow(after, 'after', ids, stacks), tieNow(before, 'before', ids, stacks)];
    for (const [end, was, is] of [['after', after, last] as const, ['before', before, next] as const])
      if (was && was !== is) moved.push(movedText(task.name, end, is, stacks));
    return { ...task, ...(last ? { after: last } : {}), ...(next ? { before: next } : {}) };
  });
  return { tasks: retied, moved };
}

/** The same tie where it still holds; to the neighbour of a layer that is gone; none where nothing is left to tie it to. */
function tieNow(when: When | undefined, end: 'after' | 'before', taskIds: ReadonlySet<string>, stacks: Stacks): When | undefined {
  if (!when) return undefined;
  if ('taskId' in when) return taskIds.has(when.taskId) ? when : undefined;
  if (!stacks.hasPart(when.partId)) return undefined;
  if (!('layerId' in when) || stacks.hasLayer(when.partId, when.layerId)) return when;
  const layerId = end === 'after' ? stacks.below(when.partId, when.layerId) : stacks.above(when.partId, when.layerId);
  return layerId ? { partId: when.partId, layerId } : undefined;
}

function movedText(name: string, end: 'after' | 'before', is: When | undefined, stacks: Stacks): string {
  return is && 'layerId' in is
    ? `“${name}” comes ${end} ${stacks.layerName(is.partId, is.layerId)} now.`
    : `“${name}” is no longer tied ${end} anything.`;
}
