import { LINE_STATES } from '#core/bench/index';
import { airAt } from '#core/drying/index';
import { busyTime } from '#core/schedule/index';
import { counted } from '#core/units/index';
import { DndContext } from '@dnd-kit/core';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useLooked } from '../../app/plan/useBetterPlan.ts';
import { useNow } from '../../app/plan/useNow.ts';
import { FilmPatterns, filmFill, STATE_WORDS } from '../../views/drawn/filmTextures.tsx';
import { planner } from '../../workers/planner.ts';
import { Backdrop, Stays } from './Backdrop.tsx';
import { FilmRows } from './FilmRows.tsx';
import { foldedAxis } from './foldedAxis.ts';
import { HEAD, LABEL, ROW, WIDTH } from './geometry.ts';
import { shadedHours } from './shades.ts';
import { type Bar, barsOf, StepBars } from './StepBars.tsx';
import { DragCard, StepCard } from './StepCard.tsx';
import { useStepDrag } from './useStepDrag.ts';

const SPANS = { hour: 5 * 60, week: 7 * 1440, season: 35 * 1440 } as const;
type Span = keyof typeof SPANS;
const GOAL_WORDS = {
  soonest: 'the soonest end',
  'fewest-sessions': 'the fewest stays',
  calmest: 'the most room before windows shut',
} as const;

/** All parts as rows, time across, sessions as blocks, films as bands whose texture tells the state; steps can be put elsewhere. */
export function DryingBoard() {
  const { plan, facts, pieceById, conditions, workshop } = usePlan();
  const now = useNow(30_000);
  const [span, setSpan] = useState<Span>('week');
  const [plainAxis, setPlainAxis] = useState(false);
  const [shown, setShown] = useState<Bar | null>(null);
  const box = useRef<HTMLDivElement>(null);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.target instanceof HTMLElement && event.target.matches('input')) return;
      if (event.key === 'f') setPlainAxis((was) => !was);
      if (event.key === 'Escape') setShown(null);
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, []);

  const rows = useMemo(() => {
    const worked = new Set(
      plan.steps.flatMap((step) =>
        step.placed && step.keys.length === step.on.length ? step.on.map(({ partId }) => `${step.pieceId} ${partId}`) : [],
      ),
    );
    return plan.hanging.filter((part) => part.bands.length > 0 || worked.has(`${part.pieceId} ${part.partId}`));
  }, [plan]);
  const from = plan.now - Math.min(span === 'hour' ? 60 : 300, 300);
  const axis = useMemo(
    () => foldedAxis(from, from + SPANS[span], WIDTH - LABEL, plan.sessions, plainAxis),
    [from, span, plan.sessions, plainAxis],
  );
  const bars = useMemo(() => barsOf(rows, plan.steps, axis), [rows, plan.steps, axis]);
  const shades = useMemo(() => {
    const air = conditions[workshop.sprayPlaceId];
    return shadedHours(axis.from, axis.to, workshop.timeZone, (at) => (air ? airAt(air, at) : null), busyTime(facts));
  }, [axis, workshop, conditions, facts]);
  const { drag, sensors, unpin, ...moving } = useStepDrag(axis, box);
  const show = useCallback((bar: Bar) => setShown(bar), []);

  const x = (at: number) => LABEL + axis.place(at);
  const height = HEAD + rows.length * ROW + 16;
  const open = shown && bars.find(({ id }) => id === shown.id);
  const boxWidth = box.current?.clientWidth ?? WIDTH;
  return (
    <>
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div className="flex flex-wrap items-baseline gap-x-4">
          <h1>Drying board</h1>
          <span className="second">
            {counted(plan.pieces.filter((piece) => piece.planned !== null).length, 'piece')} with dates,{' '}
            {counted(plan.sessions.filter((session) => session.from < plan.now + 7 * 1440).length, 'session')} this week
          </span>
          <LookingOn />
        </div>
        <div className="flex flex-wrap gap-2">
          {(Object.keys(SPANS) as Span[]).map((name) => (
            <button key={name} type="button" className="chip" aria-pressed={span === name} onClick={() => setSpan(name)}>
              {name === 'hour' ? 'evening' : name}
            </button>
          ))}
          <button type="button" className="chip" aria-pressed={plainAxis} onClick={() => setPlainAxis(!plainAxis)}>
            plain axis <kbd className="figure">f</kbd>
          </button>
        </div>
      </div>
      {rows.length === 0 ? (
        <section className="sheet mt-4">
          <h2>Nothing hangs and nothing is planned</h2>
          <p className="mt-2">
            Add a piece and its films appear here as bands: dots for wet, white for open, diagonals for shut, grey for dry.
          </p>
        </section>
      ) : (
        <DndContext sensors={sensors} autoScroll={false} accessibility={SPOKEN} {...moving}>
          <div ref={box} className="sheet relative mt-4 overflow-x-auto !p-2" onMouseLeave={() => setShown(null)}>
            <svg viewBox={`0 0 ${WIDTH} ${height}`} className="w-full min-w-[1000px]" role="group" aria-label="Drying board">
              <FilmPatterns />
              <Backdrop axis={axis} shades={shades} timeZone={workshop.timeZone} height={height} />
              <FilmRows rows={rows} axis={axis} pieceById={pieceById} />
              <Stays axis={axis} sessions={plan.sessions} height={height} />
              <StepBars bars={bars} axis={axis} pieceById={pieceById} onShow={show} />
              {drag && (
                <rect
                  x={x(drag.at)}
                  y={HEAD + drag.bar.row * ROW + 3}
                  width={Math.max(5, x(drag.at + drag.bar.step.minutes) - x(drag.at))}
                  height={ROW - 8}
                  fill={drag.refused || drag.tried?.refused ? 'url(#film-shut)' : 'var(--ink)'}
                  stroke="var(--ink)"
                  strokeWidth="2"
                  pointerEvents="none"
                />
              )}
              <line x1={x(now)} x2={x(now)} y1="6" y2={height - 6} stroke="var(--ink)" strokeWidth="2" strokeDasharray="2 4" />
            </svg>
            {drag ? (
              <DragCard drag={drag} x={x(drag.at)} boxWidth={boxWidth} height={height} />
            ) : (
              open && (
                <StepCard
                  bar={open}
                  x={x(open.step.placed?.start ?? 0)}
                  boxWidth={boxWidth}
                  height={height}
                  onUnpin={() => unpin(open.step)}
                />
              )
            )}
          </div>
        </DndContext>
      )}
      <div className="second mt-3 flex flex-wrap items-center gap-5 text-small">
        {LINE_STATES.map((state) => (
          <span key={state} className="inline-flex items-center gap-2">
            <svg width="26" height="14" aria-hidden="true">
              <rect x="1" y="1" width="24" height="12" {...filmFill(state)} />
            </svg>
            {STATE_WORDS[state]}
          </span>
        ))}
        <span>dotted line: now</span>
        <span>grey: night; faint dots: damp; crosses: cold; lines: busy</span>
        <span>
          {axis.fold > 1.05 ? `bench hours are drawn ${Math.round(axis.fold)} times wider than drying hours` : 'every hour is drawn alike'}
        </span>
        <span>planned for {GOAL_WORDS[workshop.goal ?? 'soonest']}</span>
        <a className="linklike" href="/api/calendar.ics" download="bench-plan.ics">
          as a calendar file
        </a>
      </div>
    </>
  );
}

/** The card beside the bar says what happens; the library's own sentences would name ids. */
const SILENT = () => undefined;
const SPOKEN = {
  announcements: { onDragStart: SILENT, onDragOver: SILENT, onDragEnd: SILENT, onDragCancel: SILENT },
  screenReaderInstructions: {
    draggable:
      'Press Space to take the step up, the arrow keys to move it by five minutes, with Shift from stay to stay, Space again to put it there, Escape to leave it.',
  },
};

/** A better plan is being looked for beside the page. */
function LookingOn() {
  const looked = useLooked();
  if (!looked) return null;
  if (looked.over) return <span className="second text-small">the best of {looked.round + 1} orders tried</span>;
  return (
    <span className="second text-small" role="status">
      looking for a better plan, {looked.round} of {looked.of}{' '}
      <button type="button" className="linklike" onClick={() => planner.enough()}>
        that is enough
      </button>
    </span>
  );
}
