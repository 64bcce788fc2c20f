import type { Session } from '#core/plan/index';
import { memo } from 'react';
import { useWords } from '../../app/useWords.ts';
import type { Axis } from './foldedAxis.ts';
import { HEAD, LABEL, WIDTH } from './geometry.ts';
import { dayStarts, type Shade } from './shades.ts';

/** Behind the films: hours that are against work, the days, and the stays at the bench. */
export const Backdrop = memo(function Backdrop({
  axis,
  shades,
  timeZone,
  height,
}: {
  axis: Axis;
  shades: readonly Shade[];
  timeZone: string;
  height: number;
}) {
  const words = useWords();
  const x = (at: number) => LABEL + axis.place(at);
  return (
    <>
      <defs>
        <pattern id="busy-hours" width="7" height="7" patternUnits="userSpaceOnUse">
          <path d="M0 3.5 H7" stroke="var(--second)" strokeWidth="0.7" />
        </pattern>
        <pattern id="cold-hours" width="8" height="8" patternUnits="userSpaceOnUse">
          <path d="M4 1.5 V6.5 M1.5 4 H6.5" stroke="var(--second)" strokeWidth="0.7" />
        </pattern>
      </defs>
      {shades.map((shade) => (
        <rect
          key={`${shade.kind}${shade.from}`}
          x={x(shade.from)}
          y={HEAD - 10}
          width={Math.max(0, x(shade.to) - x(shade.from))}
          height={height - HEAD}
          fill={FILLS[shade.kind]}
          opacity={shade.kind === 'night' ? 1 : shade.kind === 'damp' ? 0.22 : 0.5}
        />
      ))}
      {dayStarts(axis.from, axis.to, timeZone).map((at, index, all) => {
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
    </>
  );
});

const FILLS = { night: 'var(--quiet)', damp: 'url(#film-wet)', busy: 'url(#busy-hours)', cold: 'url(#cold-hours)' } as const;

/** The stays at the bench, framed over all rows. */
export const Stays = memo(function Stays({ axis, sessions, height }: { axis: Axis; sessions: readonly Session[]; height: number }) {
  const words = useWords();
  const x = (at: number) => LABEL + axis.place(at);
  return (
    <>
      {sessions
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
            <rect x={x(session.from)} y={HEAD - 28} width={Math.max(46, x(session.to) - x(session.from))} height="15" fill="var(--ink)" />
            <text x={x(session.from) + 5} y={HEAD - 16.5} fontSize="12" fontFamily="var(--font-mono)" fill="var(--onink)">
              {words.clock(session.from)}
            </text>
          </g>
        ))}
    </>
  );
});
