import { hexOf } from '#core/colour/index';
import { detailTogether, type Evening, type EveningRow, type PlannedStep, type Session } from '#core/plan/index';
import { LAY_OUT_MINUTES, PACK_UP_MINUTES } from '#core/schedule/index';
import { plural, sentences } from '#core/units/index';
import { Fragment } from 'react';
import { Link } from 'react-router';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { PaintStrip } from '../../../views/drawn/paint.tsx';
import { reachText } from '../../../views/words/rationText.ts';
import { FindingsAt } from '../../../views/FindingsAt.tsx';
import { Why } from '../../../views/Why.tsx';
import { SideBySide } from './SideBySide.tsx';
import { batchTitle, coatTimes, layOutText, packUpText, partsOf, whoText } from './stay.ts';

type Stay = { readonly session: Pick<Session, 'from' | 'to'>; readonly on: boolean };

/** The evening as one flow: each batch one row with its parts, from laying out to packing up. */
export function EveningFlow({ evening, stay, steps }: { evening: Evening; stay: Stay; steps: readonly PlannedStep[] }) {
  const words = useWords();
  return (
    <ol>
      <Row
        at={stay.on ? 'first' : words.clock(stay.session.from - LAY_OUT_MINUTES)}
        title="Lay out"
        detail={layOutText(steps)}
        minutes={LAY_OUT_MINUTES}
      />
      {evening.rows.map((row) =>
        row.kind === 'change' ? (
          <Row
            key={`change ${row.before.id}`}
            at={words.clock(row.from)}
            title={`Clear the nozzle, change to ${row.before.coat?.name}`}
            minutes={row.minutes}
          />
        ) : (
          <Fragment key={row.steps[0].id}>
            <BatchRow row={row} />
            <FoundInRow steps={row.steps} />
          </Fragment>
        ),
      )}
      <Row at={words.clock(stay.session.to)} title="Pack up" detail={packUpText(steps)} minutes={PACK_UP_MINUTES} />
    </ol>
  );
}

/** What was found at the steps of a row, before anybody presses done on them. */
function FoundInRow({ steps }: { steps: readonly PlannedStep[] }) {
  const { findings } = usePlan();
  if (!findings.some(({ step }) => steps.some(({ id }) => id === step))) return null;
  return (
    <li className="noprint">
      {steps.map(({ id }) => (
        <FindingsAt key={id} stepId={id} />
      ))}
    </li>
  );
}

function BatchRow({ row }: { row: EveningRow }) {
  const { plan, pieceById } = usePlan();
  const words = useWords();
  const { steps } = row;
  const [first] = steps;
  const paintMl = steps.reduce((sum, { coat }) => sum + (coat?.ml ?? 0), 0);
  const ration = first.coat && plan.rations.find(({ mix }) => mix === first.coat?.mix);
  const mates = partsOf(steps, pieceById);
  const shuts = steps.flatMap(({ window, placed }) =>
    window?.to != null && window.to - (placed?.start ?? 0) < 24 * 60 ? [window.to] : [],
  );
  const wait = row.to - row.from - row.minutes;
  return (
    <Row
      at={words.clock(row.from)}
      lab={first.coat?.lab}
      title={`${row.whileItFlashes ? 'While paint waits: ' : ''}${batchTitle(steps)}`}
      minutes={row.minutes}
      pegs={steps}
      detail={
        <>
          {mates.map(({ pieceId, names, pegs }, index) => (
            <span key={pieceId}>
              {index > 0 && '; '}
              <span className="md:hidden">{pegs.length > 0 && `${plural(pegs.length, 'peg')} ${pegs.join(', ')} · `}</span>
              <Link className="hover:underline" to={`/pieces/${pieceId}/dates`}>
                {whoText({ ...first, pegs: [] }, pieceById.get(pieceId)?.name ?? '', names)}
              </Link>
            </span>
          ))}
          {coatTimes(steps, words.clock)}
          {paintMl > 0.05 && ` · ${words.volume(paintMl)} as sprayed`}
          {wait > 2 && ` · ${Math.round(wait)} min of it is flash-off`}
          {first.cup && ` · ${detailTogether(steps)}`}
          {steps.flatMap(({ pour }) => (pour ? ` · ${pour.text}` : []))}
          {ration && ` · ${reachText(ration, words)}${ration.spots.length > 0 ? ': thinly where nobody sees it' : ''}`}
          {row.mixGoodUntil !== null && ` · use the mix up by ${words.moment(row.mixGoodUntil)}`}
          {first.coat && <SideBySide steps={steps} />}
          {first.afterwards && <strong className="font-[650]"> · {first.afterwards}</strong>}
          {shuts.length > 0 && (
            <>
              {' · '}
              <Why title="Why then?" text={sentences(first.placed?.hold.text, first.because)}>
                before {words.moment(Math.min(...shuts))}
              </Why>
            </>
          )}
        </>
      }
    />
  );
}

function Row({
  at,
  title,
  detail,
  minutes,
  lab,
  pegs = [],
}: {
  at: string;
  title: string;
  detail?: React.ReactNode;
  minutes: number;
  lab?: Parameters<typeof PaintStrip>[0]['lab'];
  pegs?: readonly PlannedStep[];
}) {
  return (
    <li className="grid min-h-[52px] grid-cols-[52px_12px_minmax(0,1fr)_56px] items-center gap-x-3 border-b border-hairline py-[6px] sm:gap-x-4 md:grid-cols-[58px_14px_minmax(0,1fr)_auto_64px]">
      <time className="figure !text-body">
        {at}
        <span className="hidden print:block">☐ ___:___</span>
      </time>
      <PaintStrip lab={lab ?? null} />
      <span>
        <span className="block text-[16px] leading-snug font-[650] text-ink">{title}</span>
        {detail && <span className="second block text-small leading-snug">{detail}</span>}
      </span>
      <Pegs steps={pegs} />
      <span className="figure text-right">{minutes} min</span>
    </li>
  );
}

const MOST_PEGS = 5;

/** The tags of all parts in a row, as they hang on their sticks. */
function Pegs({ steps }: { steps: readonly PlannedStep[] }) {
  const pegs = [...new Set(steps.flatMap((step) => (step.on.length === step.keys.length || step.on.length === 1 ? step.pegs : [])))];
  const lab = steps.find(({ coat }) => coat)?.coat?.lab;
  return (
    <span className="hidden justify-end gap-[6px] md:flex" aria-hidden>
      {pegs.slice(0, MOST_PEGS).map((peg) => (
        <svg key={peg} width="27" height="33" viewBox="0 0 27 33" aria-hidden="true">
          <path d="M6 0.6 H20.5 L26.4 6.5 V32.4 H0.6 V6.5 Z" fill="var(--sheet)" stroke="var(--ink)" />
          <circle cx="13.5" cy="6" r="1.8" fill="var(--ink)" />
          <rect
            x="0.6"
            y="26"
            width="25.8"
            height="6.4"
            fill={lab ? hexOf(lab) : 'var(--hairline)'}
            stroke="var(--ink)"
            strokeWidth="0.6"
          />
          <text x="13.5" y="21" textAnchor="middle" fontSize="13" fill="var(--ink)" fontFamily="var(--font-mono)">
            {peg}
          </text>
        </svg>
      ))}
      {pegs.length > MOST_PEGS && <span className="figure self-center">+{pegs.length - MOST_PEGS}</span>}
    </span>
  );
}
