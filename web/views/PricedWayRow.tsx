import type { PricedWay } from '#core/plan/index';
import { useWords } from '../app/useWords.ts';

/** One way on, with the day and the money it comes to, and the press that takes it; the one that is planned has none. */
export function PricedWayRow({
  label,
  note,
  priced,
  onTake,
}: {
  label: string;
  note?: string;
  /** Undefined: it is still being planned. */
  priced: PricedWay | undefined;
  onTake: (() => void) | null;
}) {
  const words = useWords();
  return (
    <li className="flex items-center justify-between gap-3 border-t border-hairline py-1.5">
      <span className="leading-snug">
        <span className="font-[650] text-ink">{label}</span>
        <span className="second block text-small">
          {priced
            ? `${priced.likely === null ? (priced.stopped ?? 'no date') : `likely ${words.day(priced.likely)}`}, ${words.money(priced.money, true)}`
            : 'planning …'}
          {note && `; ${note}`}
        </span>
      </span>
      {onTake ? (
        <button type="button" className="chip" onClick={onTake}>
          Take
        </button>
      ) : (
        <strong>planned</strong>
      )}
    </li>
  );
}
