import { LINE_STATES, type LineState } from '#core/bench/index';
import { hexOf } from '#core/colour/index';
import type { HangingPart } from '#core/plan/index';
import { Link } from 'react-router';
import { usePlan } from '../plan/PlanContext.tsx';
import { useWords } from '../useWords.ts';

/** Tags side by side in one state; where there are more, one makes room for the count. */
const MOST_TAGS = 3;

/** The rail under the header: the next three moments in words, and the hanging parts moving from wet to cured. */
export function DryingLine() {
  const { plan } = usePlan();
  const { moment } = useWords();
  const next = nextThree(plan.moments);
  const closing = next.find((one) => one.kind === 'shuts');
  return (
    <section
      aria-label="Drying line"
      className="noprint flex h-[58px] items-center justify-between gap-6 overflow-hidden bg-rail px-4 sm:px-6 text-[#f2f2f2]"
    >
      <ol className="flex min-w-0 items-baseline gap-6 overflow-hidden">
        {next.length === 0 && <li className="text-[#c4c4c4]">Nothing is drying. The line is free.</li>}
        {next.map((one) => (
          <li
            key={`${one.at}${one.text}`}
            className="flex shrink-0 items-baseline gap-2 overflow-hidden whitespace-nowrap last:min-w-0 last:shrink"
          >
            <time className={`figure !text-body ${one === closing ? 'border-b-[3px] border-[#f2f2f2]' : ''}`}>{moment(one.at)}</time>
            <span className={`truncate ${one === closing ? 'font-[650]' : 'text-[#c4c4c4]'}`}>{one.text}</span>
          </li>
        ))}
      </ol>
      <ol className="hidden h-full shrink-0 items-start md:flex">
        {LINE_STATES.map((state) => (
          <LinePlace key={state} state={state} parts={plan.hanging.filter((part) => part.state === state)} />
        ))}
      </ol>
    </section>
  );
}

/** The nearest three, the nearest closing window always among them. */
function nextThree<T extends { at: number; kind: string }>(moments: readonly T[]): T[] {
  const three = moments.slice(0, 3);
  const closing = moments.find((one) => one.kind === 'shuts');
  return closing && !three.includes(closing) ? [...three.slice(0, 2), closing] : three;
}

function LinePlace({ state, parts }: { state: LineState; parts: readonly HangingPart[] }) {
  const shown = parts.length > MOST_TAGS ? MOST_TAGS - 1 : parts.length;
  return (
    <li className="relative h-full min-w-[104px] pt-1">
      <span className="block text-small leading-none text-[#c4c4c4]">{state}</span>
      <span className="absolute inset-x-0 top-[19px] h-px bg-[#8f8f8f]" aria-hidden />
      <span className="absolute top-[19px] left-0 flex gap-[6px]">
        {parts.slice(0, shown).map((part) => (
          <Tag key={part.partId} part={part} />
        ))}
        {parts.length > shown && <span className="figure mt-3">+{parts.length - shown}</span>}
      </span>
    </li>
  );
}

function Tag({ part }: { part: HangingPart }) {
  const colour = part.hung ? hexOf(part.hung.lab) : '#888888';
  const label = `${part.pegs.length ? `peg ${part.pegs.join(', ')}, ` : ''}${part.hung?.name ?? part.name}, ${part.state ?? ''}`;
  return (
    <Link to={`/pieces/${part.pieceId}/dates`} aria-label={label} title={label} className="mt-[5px] block">
      <svg width="27" height="30" viewBox="0 0 27 30" aria-hidden="true">
        <line x1="13.5" y1="0" x2="13.5" y2="4" stroke="#8f8f8f" />
        <path d="M7 3 H20 L27 9 V24 H0 V9 Z" fill="#f4f4f4" />
        <circle cx="13.5" cy="7" r="2" fill="#2b2b2b" />
        <rect y="24" width="27" height="6" fill={colour} stroke="#f4f4f4" strokeWidth="0.6" />
        <text x="13.5" y="20.5" textAnchor="middle" fontSize="12" fill="#151515" fontFamily="var(--font-mono)">
          {part.pegs[0] ?? '–'}
        </text>
      </svg>
    </Link>
  );
}
