import { airAt } from '#core/drying/index';
import { localMoment } from '#core/units/index';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { PlannedStep } from '#core/plan/index';
import { usePlan } from '../../app/PlanContext.tsx';
import { useNow } from '../../app/useNow.ts';
import { useWords } from '../../app/useWords.ts';
import { FilmPatterns, filmFill, STATE_WORDS } from '../../views/filmTextures.tsx';
import { LINE_STATES } from '#core/bench/index';
import { hexOf } from '#core/colour/index';
import { foldedAxis } from './foldedAxis.ts';

const SPANS = { hour: 5 * 60, week: 7 * 1440, season: 35 * 1440 } as const;
type Span = keyof typeof SPANS;
const LABEL = 212;
const WIDTH = 1216;
const HEAD = 62;
const ROW = 38;

/** All parts as rows, time across, sessions as blocks, films as bands whose texture tells the state. */
export function DryingBoard() {
  const { plan, pieceById, conditions, workshop, stepById } = usePlan();
  const words = useWords();
  const now = useNow(30_000);
  const [span, setSpan] = useState<Span>('week');
  const [plainAxis, setPlainAxis] = useState(false);
  const [shown, setShown] = useState<{ step: PlannedStep; x: number; y: number } | null>(null);
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

  const rows = plan.hanging.filter(
    (part) =>
      part.bands.length > 0 ||
      plan.steps.some((step) => step.placed && step.keys.length === step.on.length && step.on.some((on) => on.partId === part.partId)),
  );
  const from = plan.now - Math.min(span === 'hour' ? 60 : 300, 300);
  const axis = useMemo(
    () => foldedAxis(from, from + SPANS[span], WIDTH - LABEL, plan.sessions, plainAxis),
    [from, span, plan.sessions, plainAxis],
  );
  const x = (at: number) => LABEL + axis.place(at);
  const height = HEAD + rows.length * ROW + 16;
  const shades = useMemo(
    () =>
      shadedHours(axis.from, axis.to, workshop.timeZone, (at) =>
        conditions[workshop.sprayPlaceId] ? airAt(conditions[workshop.sprayPlaceId], at) : null,
      ),
    [axis, workshop, conditions],
  );
  const inHand = plan.pieces.filter((piece) => piece.planned !== null).length;
  return (
    <>
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div className="flex items-baseline gap-4">
          <h1>Drying board</h1>
          <span className="second">
            {inHand} pieces with dates, {plan.sessions.filter((session) => session.from < plan.now + 7 * 1440).length} sessions this week
          </span>
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
        <div ref={box} className="sheet relative mt-4 overflow-x-auto !p-2" onMouseLeave={() => setShown(null)}>
          <svg viewBox={`0 0 ${WIDTH} ${height}`} className="w-full min-w-[1000px]" role="group" aria-label="Drying board">
            <FilmPatterns />
            {shades.map((shade) => (
              <rect
                key={`${shade.kind}${shade.from}`}
                x={x(shade.from)}
                y={HEAD - 10}
                width={Math.max(0, x(shade.to) - x(shade.from))}
                height={height - HEAD}
                fill={shade.kind === 'night' ? 'var(--quiet)' : 'url(#film-wet)'}
                opacity={shade.kind === 'night' ? 1 : 0.22}
              />
            ))}
            {dayStarts(axis.from, axis.to, workshop.timeZone).map((at, index, all) => {
              const room = (all[index + 1] !== undefined ? x(all[index + 1]) : WIDTH) - x(at);
              return (
                <g key={at}>
                  <line x1={x(at)} x2={x(at)} y1="8" y2={height - 12} stroke="var(--hairline)" />
                  {room > 60 && (
                    <text x={x(at) + 6} y="22" fontSize="14" fontWeight="650" fill="var(--ink)">
                      {words.day(at).replace(/ \w+$/, room > 90 ? '$&' : '')}
                    </text>
                  )}
                </g>
              );
            })}
            {rows.map((part, index) => {
              const y = HEAD + index * ROW;
              const piece = pieceById.get(part.pieceId);
              return (
                <g key={part.partId}>
                  <line x1="8" x2={WIDTH - 8} y1={y + ROW} y2={y + ROW} stroke="var(--hairline)" />
                  <text x="30" y={y + 24} fontSize="13" fontFamily="var(--font-mono)" fill="var(--second)" textAnchor="end">
                    {part.pegs[0] ?? '–'}
                  </text>
                  <text x="40" y={y + 18} fontSize="14" fontWeight="650" fill="var(--ink)">
                    {clip(piece?.name ?? '', 21)}
                  </text>
                  <text x="40" y={y + 33} fontSize="13" fill="var(--second)">
                    {clip(part.name, 24)}
                  </text>
                  {part.bands
                    .filter((band) => band.to > axis.from && band.from < axis.to)
                    .map((band) => (
                      <g key={`${band.from}${band.state}`}>
                        <rect
                          x={x(band.from)}
                          y={y + 8}
                          width={Math.max(1, x(band.to) - x(band.from))}
                          height="18"
                          {...filmFill(band.state)}
                        />
                        <rect
                          x={x(band.from)}
                          y={y + 27}
                          width={Math.max(1, x(band.to) - x(band.from))}
                          height="5"
                          fill={hexOf(band.lab)}
                          stroke="#00000040"
                          strokeWidth="0.5"
                        />
                      </g>
                    ))}
                </g>
              );
            })}
            {plan.sessions
              .filter((session) => session.to > axis.from && session.from < axis.to)
              .map((session) => (
                <g key={session.from}>
                  <rect
                    x={x(session.from)}
                    y={HEAD - 14}
                    width={Math.max(4, x(session.to) - x(session.from))}
                    height={height - HEAD + 4}
                    fill="none"
                    stroke="var(--ink)"
                    strokeWidth="1.5"
                  />
                  <rect
                    x={x(session.from)}
                    y={HEAD - 28}
                    width={Math.max(46, x(session.to) - x(session.from))}
                    height="15"
                    fill="var(--ink)"
                  />
                  <text x={x(session.from) + 5} y={HEAD - 16.5} fontSize="12" fontFamily="var(--font-mono)" fill="var(--onink)">
                    {words.clock(session.from)}
                  </text>
                </g>
              ))}
            {rows.flatMap((part, index) =>
              plan.steps
                .filter(
                  (step) =>
                    step.placed &&
                    step.placed.end > axis.from &&
                    step.placed.start < axis.to &&
                    step.on.some((on) => on.partId === part.partId),
                )
                .map((step) => {
                  const start = x(step.placed?.start ?? 0);
                  const width = Math.max(5, x(step.placed?.end ?? 0) - start);
                  const y = HEAD + index * ROW;
                  const show = () => setShown({ step, x: start, y: y + ROW });
                  return (
                    <rect
                      key={step.id}
                      x={start}
                      y={y + 3}
                      width={width}
                      height={ROW - 8}
                      fill="var(--ink)"
                      fillOpacity={step.coat ? 0.85 : 0.28}
                      stroke="var(--sheet)"
                      strokeWidth="1"
                      tabIndex={0}
                      role="button"
                      aria-label={`${step.title}, ${words.moment(step.placed?.start ?? 0)}, why then?`}
                      onMouseEnter={show}
                      onFocus={show}
                      onClick={show}
                      onKeyDown={(event) => event.key === 'Enter' && show()}
                      className="cursor-help"
                    />
                  );
                }),
            )}
            <line x1={x(now)} x2={x(now)} y1="6" y2={height - 6} stroke="var(--ink)" strokeWidth="2" strokeDasharray="2 4" />
          </svg>
          {shown && (
            <WhyThen
              shown={shown}
              piece={pieceById.get(shown.step.pieceId)?.name ?? ''}
              before={shown.step.placed?.hold.with ? stepById.get(shown.step.placed.hold.with)?.title : undefined}
              boxWidth={box.current?.clientWidth ?? WIDTH}
              height={height}
            />
          )}
        </div>
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
        <span>grey: night</span>
        <span>
          {axis.fold > 1.05 ? `bench hours are drawn ${Math.round(axis.fold)} times wider than drying hours` : 'every hour is drawn alike'}
        </span>
        <span>planned for the soonest end</span>
      </div>
    </>
  );
}

function WhyThen({
  shown,
  piece,
  before,
  boxWidth,
  height,
}: {
  shown: { step: PlannedStep; x: number; y: number };
  piece: string;
  before?: string;
  boxWidth: number;
  height: number;
}) {
  const words = useWords();
  const { step } = shown;
  const left = Math.min((shown.x / WIDTH) * boxWidth, boxWidth - 340);
  const scale = boxWidth / WIDTH;
  const below = shown.y * scale + 8;
  const style = shown.y > height * 0.6 ? { left, bottom: (height - shown.y + ROW) * scale + 14 } : { left, top: below };
  return (
    <div role="status" className="sheet absolute z-10 w-[320px] !border-ink !p-4" style={style}>
      <p>
        <strong className="text-ink">
          {piece}: {step.title}
        </strong>{' '}
        <span className="figure">{words.moment(step.placed?.start ?? 0)}</span>
      </p>
      <p className="mt-1">
        {step.placed?.hold.text}
        {before ? `, after “${before}”` : ''}.
      </p>
      {step.window?.to != null && <p className="mt-1">Until {words.moment(step.window.to)}.</p>}
      <Link to={`/pieces/${step.pieceId}/dates`} className="linklike mt-2 inline-block text-small">
        All its dates
      </Link>
    </div>
  );
}

function clip(text: string, most: number): string {
  return text.length > most ? `${text.slice(0, most - 1)}…` : text;
}

function dayStarts(from: number, to: number, timeZone: string): number[] {
  const starts: number[] = [];
  let at = from - localMoment(from, timeZone).minuteOfDay + 1440;
  while (at < to) {
    starts.push(at);
    at += 1440;
  }
  return starts;
}

type Shade = { readonly from: number; readonly to: number; readonly kind: 'night' | 'damp' };

/** Night from 22:00 to 7:00, and hours too damp to spray. */
function shadedHours(
  from: number,
  to: number,
  timeZone: string,
  airOf: (at: number) => { dewMarginC: number; rh: number } | null,
): Shade[] {
  const shades: { from: number; to: number; kind: 'night' | 'damp' }[] = [];
  for (let at = Math.floor(from / 60) * 60; at < to; at += 60) {
    const hour = localMoment(at, timeZone).minuteOfDay / 60;
    const air = airOf(at);
    const kind = hour >= 22 || hour < 7 ? 'night' : air && (air.dewMarginC < 3 || air.rh > 75) ? 'damp' : null;
    if (!kind) continue;
    const last = shades.at(-1);
    if (last && last.kind === kind && last.to === at) last.to = at + 60;
    else shades.push({ from: at, to: at + 60, kind });
  }
  return shades;
}
