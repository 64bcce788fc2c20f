import { dropRefused, type PinTried, type PlannedStep, shownIn, withPin } from '#core/plan/index';
import {
  type DragEndEvent,
  type DragMoveEvent,
  type DragStartEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { type RefObject, useCallback, useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useSaving } from '../../app/writing/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { planner } from '../../workers/planner.ts';
import type { Axis } from './foldedAxis.ts';
import { WIDTH } from './geometry.ts';
import { outcomeText } from './outcomeText.ts';
import type { Bar } from './StepBars.tsx';

/** Minutes a step moves at a time. */
const GRID = 5;
/** The finger rests so long before all is planned anew. */
const RESTS_MS = 150;

export type Drag = { readonly bar: Bar; readonly at: number; readonly refused: string | null; readonly tried: PinTried | null };

/** A step taken up and put elsewhere: what refuses it at once, what it would move, and the pin once it is dropped. */
export function useStepDrag(axis: Axis, box: RefObject<HTMLElement | null>) {
  const { plan, facts, pieceById } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const [drag, setDrag] = useState<Drag | null>(null);
  const current = useRef<Drag | null>(null);
  const hold = (next: Drag | null) => {
    current.current = next;
    setDrag(next);
  };

  const scale = () => (box.current?.querySelector('svg')?.clientWidth ?? WIDTH) / WIDTH;
  const nextByKey = (at: number, { code, shiftKey }: KeyboardEvent): number | null => {
    const forward = code === 'ArrowRight';
    if (!forward && code !== 'ArrowLeft') return null;
    if (!shiftKey) return (forward ? Math.floor(at / GRID) + 1 : Math.ceil(at / GRID) - 1) * GRID;
    const starts = plan.free.map(({ from }) => Math.ceil(from / GRID) * GRID + 2 * GRID);
    return (forward ? starts.find((start) => start > at) : starts.findLast((start) => start < at && start > plan.now)) ?? at;
  };
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, {
      keyboardCodes: { start: ['Space'], cancel: ['Escape'], end: ['Space', 'Enter'] },
      coordinateGetter: (event, { currentCoordinates }) => {
        const own = current.current;
        const next = own && nextByKey(own.at, event);
        if (!own || next === null) return undefined;
        event.preventDefault();
        const by = axis.place(Math.min(axis.to, next)) - axis.place(own.at);
        return { ...currentCoordinates, x: currentCoordinates.x + by * scale() };
      },
    }),
  );

  const refusedAt = useCallback((step: PlannedStep, at: number) => dropRefused(step, at, plan, words.moment), [plan, words]);
  const onDragStart = ({ active }: DragStartEvent) => {
    const bar = active.data.current as Bar;
    hold({ bar, at: bar.step.placed?.start ?? 0, refused: null, tried: null });
  };
  const onDragMove = ({ delta }: DragMoveEvent) => {
    const own = current.current;
    if (!own) return;
    const start = own.bar.step.placed?.start ?? 0;
    const moment = axis.momentAt(axis.place(start) + delta.x / scale());
    const at = delta.x === 0 ? start : Math.round(moment / GRID) * GRID;
    if (at !== own.at) hold({ bar: own.bar, at, refused: refusedAt(own.bar.step, at), tried: null });
  };

  const [at, stepId] = [drag?.at, drag?.bar.step.id];
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked once for each place the finger rests at
  useEffect(() => {
    const own = current.current;
    if (!own || own.refused || own.at === own.bar.step.placed?.start) return;
    const timer = setTimeout(() => {
      void tryAt(own.bar.step, own.at).then((tried) => {
        if (current.current?.at === own.at && current.current.bar === own.bar) hold({ ...current.current, tried });
      });
    }, RESTS_MS);
    return () => clearTimeout(timer);
  }, [at, stepId]);

  const tryAt = ({ id, keys }: PlannedStep, wanted: number) => planner.pinned(facts, plan.now, { id, keys }, wanted, shownIn(plan));
  const put = async (step: PlannedStep, wanted: number, known: PinTried | null) => {
    const refused = refusedAt(step, wanted);
    const tried = refused ? null : (known ?? (await tryAt(step, wanted)));
    const why = refused ?? (tried?.refused ? `${words.moment(wanted)} cannot be kept: ${tried.refused}.` : null);
    if (why) {
      toast.error(`Left where it was. ${why}`);
      return;
    }
    const said = tried ? outcomeText(tried, pieceById, words.duration) : '';
    await save('agreed', withPin(facts.agreed[0], step, wanted, plan.now, shownIn(plan)), `Pinned to ${words.moment(wanted)}. ${said}`);
  };
  const onDragEnd = (_event: DragEndEvent) => {
    const own = current.current;
    hold(null);
    if (own && own.at !== own.bar.step.placed?.start) void put(own.bar.step, own.at, own.tried);
  };
  const unpin = (step: PlannedStep) =>
    void save('agreed', withPin(facts.agreed[0], step, null, plan.now, shownIn(plan)), 'The pin is out: it comes when it may.');
  return { drag, sensors, onDragStart, onDragMove, onDragEnd, onDragCancel: () => hold(null), unpin };
}
