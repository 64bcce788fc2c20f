import { type Conditions, conditionsOf } from '#core/drying/index';
import type { ProvenPurchases } from '#core/buying/index';
import type { Facts, Piece, Workshop } from '#core/facts/index';
import { changesAt, datedLike, type PieceView, type PlannedStep, type PlanView } from '#core/plan/index';
import {
  createContext,
  type ReactNode,
  useContext,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
} from 'react';
import type { Turns } from '#core/schedule/index';
import type { Finding } from '#core/verify/index';
import { planner } from '../../workers/planner.ts';
import { LookedProvider, useBetterPlan } from './useBetterPlan.ts';
import { useProvenPurchases } from './useProvenPurchases.ts';
import { showsNow, useFacts, type WorkshopState } from '../writing/useFacts.ts';

export type Planned = {
  readonly facts: Facts;
  readonly workshop: Workshop;
  readonly demo: boolean;
  readonly state: WorkshopState;
  readonly plan: PlanView;
  readonly conditions: Conditions;
  readonly stepById: ReadonlyMap<string, PlannedStep>;
  readonly pieceById: ReadonlyMap<string, Piece>;
  readonly pieceViewById: ReadonlyMap<string, PieceView>;
  readonly stayMinutes: number | undefined;
  readonly setStayMinutes: (minutes: number | undefined) => void;
  /** What a practitioner who reads this plan would call out; comes right behind the plan itself. */
  readonly findings: readonly Finding[];
  /** How many pieces this plan is of, where that is not all of them yet. */
  readonly portion: number | null;
  /** Why there is no plan of what was entered; null where there is one. */
  readonly failed: string | null;
};

type Drawn = {
  readonly plan: PlanView;
  readonly facts: Facts;
  readonly findings: readonly Finding[];
  /** It is the plan of all pieces. */
  readonly whole?: boolean;
  readonly portion?: number;
  readonly failed?: string;
};

const Context = createContext<Planned | null>(null);

export function usePlan(): Planned {
  const planned = useContext(Context);
  if (!planned) throw new Error('usePlan stands outside the plan.');
  return planned;
}

export const nowMinute = (): number => Date.now() / 60_000;
const REPLAN_MS = 60_000;
/** The piece whose page is open, by the address. */
const lookedAt = (): string | undefined => /^\/pieces\/([^/]+)\//.exec(location.pathname)?.[1];

/** Nobody plans for a tab that nobody sees. */
function useShown(): boolean {
  return useSyncExternalStore(
    (heard) => {
      document.addEventListener('visibilitychange', heard);
      return () => document.removeEventListener('visibilitychange', heard);
    },
    () => document.visibilityState === 'visible',
  );
}

/** Keeps a plan of the newest facts: made anew on a fact, an event, or a minute that makes it another one; any other minute only passes. */
export function PlanProvider({
  children,
  steady,
  waiting,
}: {
  children: ReactNode;
  /** At the bench no better plan is taken up: what is being done stays. */
  steady: boolean;
  waiting: (state: 'loading' | 'away' | 'not-started' | 'broken') => ReactNode;
}) {
  const { facts, demo, state, loaded, failed } = useFacts();
  const { setAside, trouble, asLastSeen, phone } = state;
  const [minute, setMinute] = useState(nowMinute);
  const [stayMinutes, setStayMinutes] = useState<number | undefined>(undefined);
  const [result, setResult] = useState<Drawn | null>(null);
  /** Plans are asked for in turn; only the newest is drawn: nobody presses on a step that is about to be another. */
  const newest = useRef(0);
  const turns = useRef<Turns | undefined>(undefined);
  const [proven, setProven] = useState<ProvenPurchases | undefined>(undefined);
  const newestProven = useRef(proven);
  const opened = useRef(false);
  /** Of what the plan that is shown was made, and until when a passed minute alone makes it no other one. */
  const stands = useRef<{ readonly facts: Facts; readonly until: number } | null>(null);
  const [broken, setBroken] = useState<string | null>(null);
  // Nothing is planned before the browser's own entries are in.
  const started = loaded && (facts.workshop[0]?.started ?? false);
  const shown = useShown();
  const wanted = started && shown;
  useProvenPurchases(result, (found) => {
    newestProven.current = found;
    setProven(found);
  });
  const looked = useBetterPlan(
    facts,
    wanted && (result?.whole ?? false) && stayMinutes === undefined && (!steady || turns.current === undefined),
    { turns, proven: newestProven },
    ({ plan, findings }) => {
      newest.current++;
      stands.current = { facts, until: changesAt(plan) };
      setResult({ plan, facts, findings, whole: true });
    },
  );

  useEffect(() => {
    const timer = setInterval(() => {
      const now = nowMinute();
      if (stands.current?.facts !== facts || now >= stands.current.until) return setMinute(now);
      setResult((before) => before && { ...before, plan: { ...before.plan, now } });
    }, REPLAN_MS);
    return () => clearInterval(timer);
  }, [facts]);

  useEffect(() => {
    if (!wanted) return;
    const request = ++newest.current;
    const now = Math.max(minute, nowMinute());
    const draw = (seen: (before: Drawn | null) => Omit<Drawn, 'facts'> | null) => {
      if (request !== newest.current) return;
      setResult((before) => {
        const own = seen(before);
        return own ? { ...own, facts } : before;
      });
    };
    if (!opened.current && facts.pieces.length > 0)
      planner.portion(facts, now, lookedAt()).then(
        (plan) => draw((before) => (plan && !before?.whole ? { plan, findings: [], portion: plan.pieces.length } : null)),
        // What fails here fails of the whole as well, and is said then.
        () => undefined,
      );
    opened.current = true;
    planner.soon(facts, now, stayMinutes, turns.current, proven).then(
      // What was found stands until the plan has been read anew.
      (plan) => draw((before) => ({ plan: datedLike(plan, before?.plan), findings: before?.findings ?? [], whole: true })),
      (error: unknown) => withoutPlan(error),
    );
    planner.whole().then(
      (whole) => {
        if (request === newest.current) stands.current = { facts, until: changesAt(whole.plan) };
        draw(() => ({ ...whole, whole: true }));
      },
      () => undefined,
    );
    /** Without a plan there is still all that was entered. */
    async function withoutPlan(error: unknown): Promise<void> {
      const failed = error instanceof Error ? error.message : String(error);
      try {
        const plan = await planner.nothing(facts, now);
        draw(() => ({ plan, findings: [], failed }));
      } catch {
        setBroken(failed);
      }
    }
  }, [facts, minute, stayMinutes, wanted, proven]);

  // With the page itself, not before it: an edit is made on what its person saw.
  useLayoutEffect(() => {
    if (result) showsNow(result.facts);
  }, [result]);

  const value = useMemo<Planned | null>(() => {
    const workshop = result?.facts.workshop[0];
    if (!result || !workshop) return null;
    const { plan, facts: planned, findings, portion = null, failed = null } = result;
    return {
      findings,
      portion,
      failed,
      facts: planned,
      workshop,
      demo,
      state: { setAside, trouble, asLastSeen, phone },
      plan,
      stayMinutes,
      setStayMinutes,
      conditions: conditionsOf(planned, plan.now),
      stepById: new Map(plan.steps.map((step) => [step.id, step])),
      pieceById: new Map(planned.pieces.map((piece) => [piece.id, piece])),
      pieceViewById: new Map(plan.pieces.map((piece) => [piece.pieceId, piece])),
    };
  }, [result, demo, setAside, trouble, asLastSeen, phone, stayMinutes]);

  if (loaded && !started) return <>{waiting('not-started')}</>;
  if (!value) return <>{waiting(failed ? 'away' : broken === null ? 'loading' : 'broken')}</>;
  return (
    <Context.Provider value={value}>
      <LookedProvider value={looked}>{children}</LookedProvider>
    </Context.Provider>
  );
}
