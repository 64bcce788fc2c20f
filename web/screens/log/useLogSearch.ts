import { addDays, atLocal, counted } from '#core/units/index';
import { ENTRY_KINDS, type EntryKind, entriesOf, filtered, type LogEntry, type LogFilter } from '#core/log/index';
import { useDeferredValue, useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { useSearchQuery } from '../../api/workshopApi.ts';
import { usePlan } from '../../app/plan/PlanContext.tsx';

const ASKED = ['q', 'piece', 'paint', 'kind', 'from', 'to'] as const;
export type Asked = Readonly<Record<(typeof ASKED)[number], string>>;
export type LogSearch = {
  readonly asked: Asked;
  readonly ask: (changed: Partial<Asked>) => void;
  readonly entries: readonly LogEntry[];
  readonly narrowed: boolean;
  readonly paintsUsed: ReadonlySet<string>;
  /** How many there are, or what holds the answer up. */
  readonly state: string;
};

const MOST_FOUND = 2000;

/** What is asked of the log, kept in the address, and its answer. Words are looked up by the server, the rest here. */
export function useLogSearch(): LogSearch {
  const { facts, workshop } = usePlan();
  const [params, setParams] = useSearchParams();
  const asked = Object.fromEntries(ASKED.map((name) => [name, params.get(name) ?? ''])) as Asked;
  const words = useDeferredValue(asked.q.trim());
  const { data: found, isError, isFetching } = useSearchQuery({ q: words, kind: 'entry', most: MOST_FOUND }, { skip: words === '' });
  const all = useMemo(() => entriesOf(facts.events), [facts.events]);
  const paintsUsed = useMemo(
    () =>
      new Set(
        all.flatMap(({ event }) => (event.kind === 'done' ? (event.coat?.productId ?? []) : 'productId' in event ? event.productId : [])),
      ),
    [all],
  );
  const { q: _q, ...narrowing } = asked;
  const key = JSON.stringify(narrowing);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the parts of `asked` it reads are in `key`.
  const entries = useMemo(() => {
    const own = filterOf(asked, workshop.timeZone);
    return filtered(all, words === '' || !found ? own : { ...own, ids: new Set(found.map(({ id }) => id)) });
  }, [all, key, words, found, workshop.timeZone]);
  const narrowed = ASKED.some((name) => asked[name] !== '');
  return {
    asked,
    ask: (changed) =>
      setParams(
        (now) => {
          const next = new URLSearchParams(now);
          for (const [name, value] of Object.entries(changed)) value ? next.set(name, value) : next.delete(name);
          return next;
        },
        { replace: true },
      ),
    entries,
    narrowed,
    paintsUsed,
    state:
      words !== '' && isError
        ? 'Words are looked up by the server, which does not answer.'
        : isFetching
          ? 'Looking …'
          : counted(entries.length, 'entry'),
  };
}

function filterOf(asked: Asked, timeZone: string): LogFilter {
  const kind = ENTRY_KINDS.find((own) => own === asked.kind) as EntryKind | undefined;
  const midnight = (date: string) => atLocal(date, 0, timeZone);
  return {
    ...(asked.piece ? { pieceId: asked.piece } : {}),
    ...(asked.paint ? { productId: asked.paint } : {}),
    ...(kind ? { kind } : {}),
    ...(asked.from ? { from: midnight(asked.from) } : {}),
    ...(asked.to ? { until: midnight(addDays(asked.to, 1)) } : {}),
  };
}
