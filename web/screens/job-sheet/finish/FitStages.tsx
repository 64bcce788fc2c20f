import { madeOfText, type Part, type Piece, pieceSchema } from '#core/facts/index';
import type { PieceView } from '#core/plan/index';
import { fitOrder, glueNote, lostByFitting, standingFit } from '#core/survey/index';
import { toast } from 'sonner';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { partKeyParts } from '../../bench/outcome/stepKeyParts.ts';
import { usePieceSave, withPart } from '../pieceChanges.ts';
import { FactoryBodies } from './FactoryBodies.tsx';
import { fitChoices, keyOfFit } from './moments.ts';

/** Each part with when it goes on; what is lost by an early fit is said where it is moved. */
export function FitStages({ piece, view }: { piece: Piece; view: PieceView }) {
  const save = usePieceSave();
  return (
    <>
      <div className="mt-4">
        <FactoryBodies
          piece={piece}
          factory={piece.factory ?? {}}
          onChange={(factory) => void save({ ...piece, factory }, 'What the factory sprayed as one goes together before its paint.')}
        />
      </div>
      <h3 className="mt-4 font-[650] text-ink">Parts, in the order they go together</h3>
      <ol className="mt-1">
        {fitOrder(piece).map((part) => (
          <FitRow key={part.id} piece={piece} view={view} part={part} />
        ))}
      </ol>
    </>
  );
}

function FitRow({ piece, view, part }: { piece: Piece; view: PieceView; part: Part }) {
  const save = usePieceSave();
  const choices = fitChoices(piece, part, view.stacks);
  const fit = standingFit(piece, part);
  const host = piece.parts.find((own) => own.id === fit?.onPartId);
  const late = view.lateFits.find(({ partId }) => partId === part.id);
  const { plan } = usePlan();
  const words = useWords();
  const going = plan.steps.find(
    (step) => step.pieceId === piece.id && step.stage === 'assemble' && partKeyParts(step.id).subject === part.id,
  );
  const move = (key: string) => {
    const chosen = choices.find((own) => own.key === key)?.value;
    const moved = withPart(piece, part.id, {
      fit: chosen ?? (standingFit(piece, { ...part, fit: undefined }) ? { stage: 'end' } : undefined),
    });
    const read = pieceSchema.safeParse(moved);
    if (!read.success) return void toast.error(read.error.issues[0].message);
    void save(moved, chosen ? `${part.name} goes on earlier: its own step.` : `${part.name} goes on at the end.`);
  };
  return (
    <li className="border-b border-hairline py-2">
      <span className="flex flex-wrap items-center justify-between gap-x-3 gap-y-1">
        <span>
          {part.name}
          {part.copies > 1 ? ` × ${part.copies}` : ''}{' '}
          <span className="second text-small">
            {view.stacks[part.id]?.filmUm ? `${Math.round(view.stacks[part.id].filmUm)} µm on each face: check the fit` : madeOfText(part)}
          </span>
        </span>
        {choices.length > 1 && (
          <select
            className="field !min-h-9 !w-72"
            aria-label={`When ${part.name} goes on`}
            value={keyOfFit(fit)}
            onChange={(event) => move(event.target.value)}
          >
            {choices.map((own) => (
              <option key={own.key} value={own.key}>
                {own.label}
              </option>
            ))}
          </select>
        )}
      </span>
      {going && (
        <p className="second text-small">
          {going.placed ? `${words.moment(going.placed.start)}, ` : ''}
          <span className="figure">{going.minutes} min</span>: {going.detail}
        </p>
      )}
      {host && fit && <p className="second text-small">Glue, where it is glued: {glueNote(part.material, host.material)}.</p>}
      {(late ? [late.because] : lostByFitting(piece, part, fit)).map((text) => (
        <p key={text} className="mt-1 border-l-4 border-ink pl-3 text-small">
          {text}
        </p>
      ))}
    </li>
  );
}
