import { type Feature, OLD_PAINTS, type Limit, type OldFinish, type Part, type Piece, plain, SERVICES } from '#core/facts/index';
import type { WalkQuestion } from '#core/survey/index';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { withPart } from '../../pieceChanges.ts';
import type { AnswerProps } from '../answerProps.ts';
import { Chips } from '../../../../views/fields/Chips.tsx';
import { OLD_PAINT_LABELS, RUB_LABELS } from '../parts/PartNature.tsx';
import { KeyedFeatures } from '../parts/KeyedFeatures.tsx';
import { MaterialAnswers } from '../parts/MaterialAnswers.tsx';
import { Stops } from './Stops.tsx';
import { Belongs, Missing } from './WalkForms.tsx';

type Props = AnswerProps & { readonly question: WalkQuestion };

/** The answers of each kind of question: mostly one press. */
export function WalkAnswers({ piece, question, onAnswer, onLeaveOpen }: Props) {
  const { part } = question;
  switch (question.topic) {
    case 'stops':
      return <Stops piece={piece} onAnswer={onAnswer} onLeaveOpen={onLeaveOpen} />;
    case 'lead':
      return (
        <Presses
          answers={[
            { label: 'Before 1990', piece: { ...piece, leadExcluded: false } },
            { label: 'Not known', piece: { ...piece, leadExcluded: false }, open: true },
            { label: 'A laboratory cleared it', piece: { ...piece, leadExcluded: true } },
            { label: 'Made since, for certain', piece: { ...piece, leadExcluded: true } },
          ]}
          onAnswer={onAnswer}
          onLeaveOpen={onLeaveOpen}
        />
      );
    case 'repaint':
      return (
        <Presses
          answers={[
            { label: 'Yes, as it was', piece: { ...piece, aim: 'as-original' } },
            { label: 'Yes, its own scheme', piece: { ...piece, aim: 'own-scheme' } },
            { label: 'Yes, so that it serves', piece: { ...piece, aim: 'serviceable' } },
            { label: 'No: clean, clear, keep', piece: { ...piece, aim: 'preserve' } },
            { label: 'Aged on purpose', piece: { ...piece, aim: 'aged' } },
          ]}
          onAnswer={onAnswer}
        />
      );
    case 'limit':
      return (
        <Presses answers={LIMITS.map(({ limit, label, hint }) => ({ label, hint, piece: { ...piece, limit } }))} onAnswer={onAnswer} />
      );
    case 'material':
      return part ? <MaterialAnswers piece={piece} part={part} onAnswer={onAnswer} onLeaveOpen={onLeaveOpen} /> : null;
    case 'finish':
      return part ? <FinishAnswers piece={piece} part={part} onAnswer={onAnswer} onLeaveOpen={onLeaveOpen} /> : null;
    case 'old-paint':
      return part ? <OldPaintAnswers piece={piece} part={part} onAnswer={onAnswer} onLeaveOpen={onLeaveOpen} /> : null;
    case 'features':
      return part ? <FeatureAnswers piece={piece} part={part} onAnswer={onAnswer} /> : null;
    case 'service':
      return part ? (
        <Several
          options={SERVICES}
          chosen={part.service ?? []}
          none="Nothing special"
          onDone={(service) => onAnswer(withPart(piece, part.id, { service }), 'Noted: the paints are judged by it.')}
        />
      ) : null;
    case 'marks':
      return (
        <Elsewhere
          text="Choose a part below and press where you see it on the picture, or add it by words."
          done="All marked"
          {...{ piece, onAnswer }}
        />
      );
    case 'joined':
      return (
        <Elsewhere
          text="Fastenings, bags and the order of reassembly."
          view="apart"
          go="Go there"
          done="All noted"
          {...{ piece, onAnswer }}
        />
      );
    case 'pictures':
      return <Elsewhere text="Add them below, each in its view." done="Every side is there" {...{ piece, onAnswer }} />;
    case 'missing':
      return <Missing piece={piece} onAnswer={onAnswer} onLeaveOpen={onLeaveOpen} />;
    case 'belongs':
      return <Belongs piece={piece} onAnswer={onAnswer} onLeaveOpen={onLeaveOpen} />;
  }
}

const LIMITS: readonly { readonly limit: Limit; readonly label: string; readonly hint: string }[] = [
  { limit: 'outside', label: 'Outside only', hint: 'hidden faces stay as they are' },
  { limit: 'inside-too', label: 'Inside too', hint: 'stripped only where a part needs it' },
  { limit: 'to-bare', label: 'To bare metal', hint: 'no old paint is kept' },
];

type Press = {
  readonly label: string;
  readonly hint?: string;
  readonly piece: Piece /** Leaves the question open. */;
  readonly open?: boolean;
};

function Presses({
  answers,
  onAnswer,
  onLeaveOpen = onAnswer,
}: {
  answers: readonly Press[];
  onAnswer: Props['onAnswer'];
  onLeaveOpen?: Props['onLeaveOpen'];
}) {
  return (
    <div className="mt-3 flex flex-wrap gap-2">
      {answers.map((answer) => (
        <button
          key={answer.label}
          type="button"
          className="chip !min-h-12"
          onClick={() => (answer.open ? onLeaveOpen(answer.piece, 'Not known: it stays open.') : onAnswer(answer.piece, 'Noted.'))}
        >
          <span className="text-left">
            {answer.label}
            {answer.hint && <span className="second block text-small">{answer.hint}</span>}
          </span>
        </button>
      ))}
    </div>
  );
}

const FINISHES: readonly { readonly finish: OldFinish; readonly coats?: number; readonly label: string }[] = [
  { finish: 'sound', coats: 1, label: 'It holds, one layer' },
  { finish: 'sound', coats: 2, label: 'It holds, two or more layers' },
  { finish: 'flaking', coats: 1, label: 'It flakes, one layer' },
  { finish: 'flaking', coats: 2, label: 'It flakes, two or more layers' },
  { finish: 'bare', label: 'It is bare' },
  { finish: 'unknown', label: 'Cannot tell' },
];

type OfPart = AnswerProps & { readonly part: Part };

function FinishAnswers({ piece, part, onAnswer, onLeaveOpen }: OfPart) {
  const answers = FINISHES.map(({ finish, coats, label }) => ({
    label,
    piece: withPart(piece, part.id, { finish, oldCoats: coats }),
    open: finish === 'unknown',
  }));
  return <Presses answers={answers} onAnswer={onAnswer} onLeaveOpen={onLeaveOpen} />;
}

/** What the old paint is, with what the thinner rub showed. */
function OldPaintAnswers({ piece, part, onAnswer, onLeaveOpen }: OfPart) {
  const [rub, setRub] = useState(part.rub);
  const answers = OLD_PAINTS.map((oldPaint) => ({
    label: OLD_PAINT_LABELS[oldPaint],
    piece: withPart(piece, part.id, { oldPaint, ...(rub ? { rub } : {}) }),
    open: oldPaint === 'unknown',
  }));
  return (
    <div className="mt-3 space-y-2">
      <Chips
        legend="The rub, if you tried it"
        options={Object.entries(RUB_LABELS).map(([value, label]) => ({ value: value as NonNullable<Part['rub']>, label }))}
        value={rub}
        onChange={setRub}
      />
      <Presses answers={answers} onAnswer={onAnswer} onLeaveOpen={onLeaveOpen} />
    </div>
  );
}

/** What is keyed by hand, with how many of what is ticked one by one. */
function FeatureAnswers({ piece, part, onAnswer }: Pick<OfPart, 'piece' | 'part' | 'onAnswer'>) {
  const [features, setFeatures] = useState<Feature[]>([...(part.features ?? [])]);
  return (
    <div className="mt-3 space-y-3">
      <KeyedFeatures features={features} onChange={setFeatures} />
      <button
        type="button"
        className="act"
        data-first="true"
        onClick={() => onAnswer(withPart(piece, part.id, { features }), 'Noted for the gate before primer.')}
      >
        {features.length === 0 ? 'None of these' : 'That is all'}
      </button>
    </div>
  );
}

function Several<T extends string>({
  options,
  chosen,
  none,
  onDone,
}: {
  options: readonly T[];
  chosen: readonly T[];
  none: string;
  onDone: (chosen: T[]) => void;
}) {
  const [picked, setPicked] = useState<readonly T[]>(chosen);
  return (
    <div className="mt-3 flex flex-wrap gap-2">
      {options.map((option) => (
        <button
          key={option}
          type="button"
          className="chip !min-h-11"
          aria-pressed={picked.includes(option)}
          onClick={() => setPicked(picked.includes(option) ? picked.filter((own) => own !== option) : [...picked, option])}
        >
          {plain(option)}
        </button>
      ))}
      <button type="button" className="act" data-first="true" onClick={() => onDone([...picked])}>
        {picked.length === 0 ? none : 'That is all'}
      </button>
    </div>
  );
}

function Elsewhere({
  text,
  view,
  go,
  done,
  piece,
  onAnswer,
}: {
  text: string;
  view?: string;
  go?: string;
  done: string;
  piece: Piece;
  onAnswer: Props['onAnswer'];
}) {
  const [, setParams] = useSearchParams();
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3">
      <span>{text}</span>
      {view && (
        <button type="button" className="act" onClick={() => setParams({ view })}>
          {go}
        </button>
      )}
      <button type="button" className="act" data-first="true" onClick={() => onAnswer(piece, 'Noted.')}>
        {done}
      </button>
    </div>
  );
}
