import type { Piece } from '#core/facts/index';
import { answered, isAnswered, isPassedOver, leftOpen, walkQuestions } from '#core/survey/index';
import { counted, listedShort } from '#core/units/index';
import { Check } from 'lucide-react';
import { useState } from 'react';
import { usePieceSave } from '../../pieceChanges.ts';
import { WalkAnswers } from './WalkAnswers.tsx';
import { isPlanned } from '#core/safety/index';

/** One question at a time, those that matter most first; each may be passed over and come back to. */
export function Walk({ piece }: { piece: Piece }) {
  const save = usePieceSave();
  const [back, setBack] = useState<string | null>(null);
  const questions = walkQuestions(piece, isPlanned);
  const open = questions.filter((question) => !isAnswered(piece, question));
  const passed = open.filter((question) => isPassedOver(piece, question.key));
  const current = questions.find((question) => question.key === back) ?? open.find((question) => !passed.includes(question));
  const done = questions.length - open.length;
  const answer = (changed: Piece, said: string) => {
    if (!current) return;
    setBack(null);
    void save(answered(changed, current.key), said);
  };
  const leaveOpen = (changed: Piece, said: string) => {
    if (!current) return;
    setBack(null);
    void save(leftOpen(changed, current.key), said);
  };
  if (!current) {
    return (
      <p className="sheet flex flex-wrap items-center gap-x-3 gap-y-1 !py-3">
        {passed.length === 0 ? (
          <>
            <Check size={18} aria-hidden /> Walked round: {counted(questions.length, 'question')} answered.
          </>
        ) : (
          <>
            Walked round, with {counted(passed.length, 'question')} still open:{' '}
            {listedShort(
              passed.map(({ question }) => question),
              3,
            )}
          </>
        )}
        <AgainList questions={questions} onAgain={setBack} />
      </p>
    );
  }
  return (
    <section className="sheet !py-4" aria-label="Walk round it">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h2 className="!text-title">{current.question}</h2>
        <span className="flex items-center gap-4">
          <span className="second text-small">
            {done} of {questions.length} answered
            {passed.length > 0 && `, ${passed.length} left open`}
          </span>
          {done > 0 && <AgainList questions={questions.filter((question) => isAnswered(piece, question))} onAgain={setBack} />}
          <button type="button" className="chip" onClick={() => leaveOpen(piece, 'Passed over: it stays open.')}>
            Pass over
          </button>
        </span>
      </div>
      <p className="second mt-1">{current.how}</p>
      <WalkAnswers key={current.key} piece={piece} question={current} onAnswer={answer} onLeaveOpen={leaveOpen} />
    </section>
  );
}

function AgainList({
  questions,
  onAgain,
}: {
  questions: readonly { readonly key: string; readonly question: string }[];
  onAgain: (key: string) => void;
}) {
  return (
    <label>
      <span className="sr-only">Ask again</span>
      <select className="field !min-h-9 !w-32 text-small" value="" onChange={(event) => onAgain(event.target.value)}>
        <option value="">ask again …</option>
        {questions.map(({ key, question }) => (
          <option key={key} value={key}>
            {question}
          </option>
        ))}
      </select>
    </label>
  );
}
