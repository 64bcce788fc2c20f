import { type Piece, type TouchUp, touchUpSchema } from '#core/facts/index';
import { type PieceView, touchUpIdOf } from '#core/plan/index';
import { useState } from 'react';
import { newId } from '../../../app/writing/newId.ts';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { SmallCheck, SmallField, SmallForm, SmallSelect } from '../../../views/fields/SmallField.tsx';
import { Adding } from '../Adding.tsx';
import { usePieceSave } from '../pieceChanges.ts';

/** Chips from fitting, bare screw holes, missed spots: each a short step, until it is touched in or left as it is. */
export function TouchUps({ piece, view }: { piece: Piece; view: PieceView }) {
  const { plan } = usePlan();
  const words = useWords();
  const save = usePieceSave();
  const list = piece.touchUps ?? [];
  const settle = (own: TouchUp, settled: TouchUp['settled'], said: string) =>
    void save({ ...piece, touchUps: list.map((other) => (other === own ? { ...own, settled } : other)) }, said);
  return (
    <section className="mt-5" aria-label="Touch-up list">
      <h3 className="font-[650] text-ink">Touch-up list</h3>
      {list.length === 0 && <p className="second">Empty: nothing has been chipped or missed yet.</p>}
      <ul>
        {list.map((own) => {
          const step = plan.steps.find(
            (other) => other.pieceId === piece.id && other.stage === 'touch-up' && touchUpIdOf(other.id) === own.id,
          );
          const open = own.settled === undefined && (step !== undefined || piece.finished);
          return (
            <li key={own.id} className="flex flex-wrap items-center justify-between gap-3 border-b border-hairline py-2">
              <span>
                <span className="font-[650] text-ink">{own.where}</span>
                <span className="second block text-small">
                  {open
                    ? step
                      ? `${step.detail}; ${step.placed ? words.moment(step.placed.start) : (step.unplacedWhy ?? 'no date')}`
                      : 'for later'
                    : own.settled === 'left'
                      ? 'left as it is'
                      : 'touched in'}
                </span>
              </span>
              {open ? (
                <span className="flex gap-2">
                  <button type="button" className="chip !min-h-10" onClick={() => settle(own, 'done', 'Touched in.')}>
                    touched in
                  </button>
                  <button type="button" className="chip !min-h-10" onClick={() => settle(own, 'left', 'It stays as it is.')}>
                    leave it
                  </button>
                </span>
              ) : (
                <button type="button" className="chip !min-h-10" onClick={() => settle(own, undefined, 'Back on the list.')}>
                  back on the list
                </button>
              )}
            </li>
          );
        })}
      </ul>
      <Adding label="Add a spot">
        <AddTouchUp piece={piece} view={view} />
      </Adding>
    </section>
  );
}

function AddTouchUp({ piece, view }: { piece: Piece; view: PieceView }) {
  const save = usePieceSave();
  const [where, setWhere] = useState('');
  const [paint, setPaint] = useState('');
  const [clear, setClear] = useState(false);
  const [problem, setProblem] = useState('');
  const paints = piece.parts.flatMap((part) =>
    (view.stacks[part.id]?.layers ?? [])
      .filter((layer) => layer.role === 'colour' || layer.role === 'metallic')
      .map((layer) => ({
        key: `${part.id} ${layer.layerId}`,
        partId: part.id,
        layerId: layer.layerId,
        label: `${layer.name}, ${part.name}`,
      })),
  );
  const add = async () => {
    const chosen = paints.find((own) => own.key === paint) ?? paints[0];
    const read = touchUpSchema.safeParse({
      id: newId(),
      where,
      clear,
      ...(chosen ? { partId: chosen.partId, layerId: chosen.layerId } : {}),
    });
    if (!read.success) return setProblem(read.error.issues[0].message);
    setProblem('');
    if (await save({ ...piece, touchUps: [...(piece.touchUps ?? []), read.data] }, 'On the list.')) {
      setWhere('');
      setPaint('');
      setClear(false);
    }
  };
  return (
    <SmallForm label="Add a spot to touch up" problem={problem} onSend={() => void add()}>
      <SmallField label="where" width="!w-56" value={where} placeholder="screw hole, underside left" onText={setWhere} />
      {paints.length > 0 && (
        <SmallSelect
          label="with"
          width="!w-60"
          value={paint || paints[0].key}
          options={paints.map((own) => ({ value: own.key, label: own.label }))}
          onChange={setPaint}
        />
      )}
      <SmallCheck label="clear over it" checked={clear} onChange={setClear} />
      <button type="submit" className="act !min-h-10">
        Add it
      </button>
    </SmallForm>
  );
}
