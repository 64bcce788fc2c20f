import type { Piece } from '#core/facts/index';
import type { HangingPart, PlannedStep } from '#core/plan/index';
import { useDraggable } from '@dnd-kit/core';
import { memo } from 'react';
import { useWords } from '../../app/useWords.ts';
import { stepTitle } from '../../views/words/stepTitle.ts';
import type { Axis } from './foldedAxis.ts';
import { HEAD, LABEL, ROW } from './geometry.ts';

/** Where a step stands on the board: one bar for each part it is done to. */
export type Bar = { readonly id: string; readonly step: PlannedStep; readonly part: HangingPart; readonly row: number };

export function barsOf(rows: readonly HangingPart[], steps: readonly PlannedStep[], { from, to }: Pick<Axis, 'from' | 'to'>): Bar[] {
  const rowOf = new Map(rows.map((part, row) => [`${part.pieceId} ${part.partId}`, row]));
  return steps.flatMap((step) => {
    if (!step.placed || step.placed.end <= from || step.placed.start >= to) return [];
    return step.on.flatMap(({ partId }) => {
      const row = rowOf.get(`${step.pieceId} ${partId}`);
      return row === undefined ? [] : [{ id: `${step.id} ${partId}`, step, part: rows[row], row }];
    });
  });
}

/** Every step as a bar that says its piece, part and step, and can be taken up by hand or by key. */
export const StepBars = memo(function StepBars({
  bars,
  axis,
  pieceById,
  onShow,
}: {
  bars: readonly Bar[];
  axis: Axis;
  pieceById: ReadonlyMap<string, Piece>;
  onShow: (bar: Bar) => void;
}) {
  return (
    <>
      {bars.map((bar) => (
        <StepBar key={bar.id} bar={bar} axis={axis} piece={pieceById.get(bar.step.pieceId)} onShow={onShow} />
      ))}
    </>
  );
});

const StepBar = memo(function StepBar({
  bar,
  axis,
  piece,
  onShow,
}: {
  bar: Bar;
  axis: Axis;
  piece: Piece | undefined;
  onShow: (bar: Bar) => void;
}) {
  const words = useWords();
  const { step, part, row } = bar;
  const { setNodeRef, listeners, attributes } = useDraggable({
    id: bar.id,
    data: bar,
    attributes: { role: 'button', roleDescription: 'step that can be moved', tabIndex: 0 },
  });
  const start = LABEL + axis.place(step.placed?.start ?? 0);
  const width = Math.max(5, LABEL + axis.place(step.placed?.end ?? 0) - start);
  const show = () => onShow(bar);
  const pinned = step.pinnedTo !== undefined;
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: its role and keys come with the attributes and listeners
    <rect
      ref={(node) => setNodeRef(node as unknown as HTMLElement)}
      {...attributes}
      {...listeners}
      aria-label={`${stepTitle(step)}, ${piece?.name ?? ''}, ${part.name.toLowerCase()}, ${words.moment(step.placed?.start ?? 0)}${pinned ? ', pinned' : ''}, why then?`}
      x={start}
      y={HEAD + row * ROW + 3}
      width={width}
      height={ROW - 8}
      fill="var(--ink)"
      fillOpacity={step.coat ? 0.85 : 0.28}
      stroke={pinned ? 'var(--ink)' : 'var(--sheet)'}
      strokeWidth={pinned ? 2 : 1}
      onMouseEnter={show}
      onFocus={show}
      onClick={show}
      className="cursor-grab"
      style={{ touchAction: 'none' }}
    />
  );
});
