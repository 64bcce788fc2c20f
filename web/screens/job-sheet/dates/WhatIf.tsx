import type { Piece } from '#core/facts/index';
import type { PieceView, WhatIf as Wish, WhatIfAnswer } from '#core/plan/index';
import { counted } from '#core/units/index';
import { useCallback, useEffect, useRef, useState } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { planner } from '../../../workers/planner.ts';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

const AS_IS: Required<Pick<Wish, 'warmerC' | 'damperRh' | 'startInMinutes'>> = { warmerC: 0, damperRh: 0, startInMinutes: 0 };

/** Other air, a fan, a later start: what it would do to the end, as fast as the finger moves. Nothing is changed. */
export function WhatIf({ piece, view }: { piece: Piece; view: PieceView }) {
  const { facts, plan } = usePlan();
  const words = useWords();
  const [wish, setWish] = useState(AS_IS);
  const [fan, setFan] = useState(false);
  const [answer, setAnswer] = useState<WhatIfAnswer | null>(null);
  const wished = fan || Object.values(wish).some((value) => value !== 0);
  const ask = useNewest(planner.whatIf, (answers) => setAnswer(wished ? (answers.find((own) => own.pieceId === piece.id) ?? null) : null));
  useEffect(() => {
    ask(facts, plan.now, { ...wish, ...(fan ? { air: 'fan' as const } : {}) });
  }, [facts, plan.now, wish, fan, ask]);
  const slider = (label: string, key: keyof typeof AS_IS, least: number, most: number, step: number, text: string) => (
    <label className="grid grid-cols-[86px_minmax(0,1fr)_74px] items-center gap-3">
      <span>{label}</span>
      <input
        type="range"
        className="accent-ink h-9 w-full"
        min={least}
        max={most}
        step={step}
        value={wish[key]}
        onChange={(event) => setWish({ ...wish, [key]: Number(event.target.value) })}
      />
      <span className="figure text-right">{text}</span>
    </label>
  );
  const signed = (value: number, unit: string) => (value === 0 ? 'as it is' : `${value > 0 ? '+' : '−'}${Math.abs(value)} ${unit}`);
  return (
    <FoldingSheet title="What if" className="!p-4">
      {slider('warmth', 'warmerC', -10, 12, 1, signed(wish.warmerC, '°C'))}
      {slider('damp', 'damperRh', -30, 30, 5, signed(wish.damperRh, '%'))}
      {slider(
        'I start',
        'startInMinutes',
        0,
        7 * 1440,
        720,
        wish.startInMinutes === 0 ? 'now' : `in ${words.duration(wish.startInMinutes)}`,
      )}
      <span className="mt-1 flex flex-wrap items-center gap-2">
        <button type="button" className="chip" aria-pressed={fan} onClick={() => setFan(!fan)}>
          a fan runs
        </button>
        {wished && (
          <button
            type="button"
            className="linklike min-h-9 text-small"
            onClick={() => {
              setWish(AS_IS);
              setFan(false);
            }}
          >
            as it is
          </button>
        )}
      </span>
      <p className="mt-2 border-t border-hairline pt-2" role="status">
        {!wished && <>Planned end {view.planned === null ? 'not known' : words.moment(view.planned)}.</>}
        {wished && answer && answer.end === null && (
          <strong className="text-ink">{answer.stopped ?? 'No plan keeps every window then.'}</strong>
        )}
        {wished && answer && answer.end !== null && (
          <>
            Then it ends <strong className="text-ink">{words.moment(answer.end)}</strong>
            {view.planned !== null && `, ${difference(answer.end - view.planned)}`}, in {counted(answer.sessions, 'session')}.
          </>
        )}
      </p>
    </FoldingSheet>
  );
}

/** Asks one at a time and only for the newest wish: those passed over while one is worked out are never asked. */
function useNewest<Arguments extends unknown[], Answer>(
  question: (...wish: Arguments) => Promise<Answer>,
  onAnswer: (answer: Answer) => void,
): (...wish: Arguments) => void {
  const waiting = useRef<Arguments | null>(null);
  const running = useRef(false);
  const told = useRef(onAnswer);
  told.current = onAnswer;
  return useCallback(
    (...wish) => {
      waiting.current = wish;
      if (running.current) return;
      running.current = true;
      void (async () => {
        try {
          while (waiting.current) {
            const next: Arguments = waiting.current;
            waiting.current = null;
            told.current(await question(...next));
          }
        } finally {
          running.current = false;
        }
      })();
    },
    [question],
  );
}

function difference(minutes: number): string {
  const hours = Math.round(Math.abs(minutes) / 60);
  if (hours === 0) return 'no sooner and no later';
  const text = hours < 36 ? `${hours} h` : `${Math.round(hours / 24)} days`;
  return `${text} ${minutes < 0 ? 'sooner' : 'later'}`;
}
