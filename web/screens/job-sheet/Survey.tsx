import { type Material, materialSchema, type OldFinish, type Part, plain, type Piece } from '#core/facts/index';
import type { SharpenQuestion } from '#core/plan/index';
import { partAreaCm2, scaledFaces } from '#core/survey/index';
import { parseQuantity } from '#core/units/index';
import { Copy, Trash2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import { usePlan } from '../../app/PlanContext.tsx';
import { newId, useSaving } from '../../app/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { Chips } from '../../views/Chips.tsx';
import { Why } from '../../views/Why.tsx';
import { planner } from '../../workers/planner.ts';
import { duplicatedPart } from '../pieces/duplicated.ts';
import { GuessMark, settled } from './GuessMark.tsx';
import type { SectionProps } from './JobSheet.tsx';

const FINISHES: readonly { value: OldFinish; label: string }[] = [
  { value: 'sound', label: 'Sound' },
  { value: 'flaking', label: 'Flaking' },
  { value: 'unknown', label: 'Not known' },
  { value: 'bare', label: 'Bare' },
];

/** What the piece is: its parts, what each is made of, and the few guesses that matter most. */
export function Survey({ piece }: SectionProps) {
  const { save } = useSaving();
  const duplicate = (part: Part) => {
    const copy: Part = { ...duplicatedPart(part, newId), name: `${part.name} again`.slice(0, 80) };
    void save('pieces', { ...piece, parts: [...piece.parts, copy] }, `${part.name} duplicated.`);
  };
  const remove = (part: Part) => {
    if (piece.parts.length === 1) return toast('A piece keeps at least one part. Remove the piece instead.');
    void save(
      'pieces',
      {
        ...piece,
        parts: piece.parts.filter((own) => own.id !== part.id),
        guesses: piece.guesses.filter((guess) => !guess.endsWith(part.id)),
      },
      `${part.name} removed.`,
    );
  };
  return (
    <div className="grid items-start gap-5 xl:grid-cols-[minmax(0,1fr)_340px]">
      <section className="sheet" aria-labelledby="survey">
        <h2 id="survey" className="!text-title">
          Survey
        </h2>
        <ul className="mt-2">
          {piece.parts.map((part) => (
            <PartRow key={part.id} piece={piece} part={part} onDuplicate={() => duplicate(part)} onRemove={() => remove(part)} />
          ))}
        </ul>
      </section>
      <aside className="space-y-5">
        <Sharpen piece={piece} />
        <section className="sheet">
          <h2>Old paint</h2>
          <p className="mt-2 mb-3">
            {piece.leadExcluded ? 'Cleared of lead.' : 'It may hold lead: wet methods only, no dry sanding, blasting or heat.'}{' '}
            <GuessMark piece={piece} guess="lead" />
          </p>
          <Chips
            legend="Lead"
            hideLegend
            options={[
              { value: 'maybe', label: 'May hold lead' },
              { value: 'cleared', label: 'Laboratory cleared it' },
            ]}
            value={piece.leadExcluded ? 'cleared' : 'maybe'}
            onChange={(value) => void save('pieces', { ...settled(piece, 'lead'), leadExcluded: value === 'cleared' }, 'Noted.')}
          />
        </section>
      </aside>
    </div>
  );
}

function PartRow({ piece, part, onDuplicate, onRemove }: { piece: Piece; part: Part; onDuplicate: () => void; onRemove: () => void }) {
  const { workshop } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState('');
  const change = (fields: Partial<Part>, guess: string, said: string) =>
    void save(
      'pieces',
      { ...settled(piece, guess), parts: piece.parts.map((own) => (own.id === part.id ? { ...own, ...fields } : own)) },
      said,
    );
  const longest = Math.max(...part.faces.map((face) => face.longMm));
  const area = partAreaCm2(part);
  const resize = () => {
    const size = parseQuantity(typed, 'length', workshop.units.length);
    if (!size.ok) return toast.error(size.mend);
    if (size.value < 1 || size.value > 5000) return toast.error('A size is between 1 mm and 5 m. Check the unit.');
    const factor = size.value / longest;
    change({ faces: scaledFaces(part.faces, factor) }, `size:${part.id}`, 'Sized.');
    setTyped('');
  };
  return (
    <li className="border-b border-hairline py-3">
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.25fr)_minmax(0,1.2fr)_auto] items-center gap-x-3">
        <span>
          <span className="font-[650] text-ink">{part.name}</span>
          {part.copies > 1 && <span className="second"> × {part.copies}</span>}
          {part.pegs.length > 0 && <span className="second block text-small">peg {part.pegs.join(', ')}</span>}
          {part.refused && <strong className="block text-small">{part.refused}</strong>}
        </span>
        <span>
          {plain(part.material)} <GuessMark piece={piece} guess={`material:${part.id}`} />
          <span className="second block text-small">
            old paint: {part.finish} <GuessMark piece={piece} guess={`finish:${part.id}`} />
          </span>
        </span>
        <span>
          <Why
            title="Area"
            text={`${part.faces.map((face) => `${face.count} × ${Math.round(face.longMm)} × ${Math.round(face.shortMm)} mm`).join(', ')}, times ${part.copies}.`}
            source={piece.guesses.includes(`size:${part.id}`) ? 'guess' : 'own'}
          >
            <span className="figure">{area < 100 ? area.toFixed(0) : Math.round(area)} cm²</span>
          </Why>{' '}
          <GuessMark piece={piece} guess={`size:${part.id}`} />
          <span className="second block text-small">longest face {words.length(longest)}</span>
        </span>
        <span className="flex">
          <button type="button" className="linklike px-2" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? 'fold' : 'change'}
          </button>
          <button type="button" className="p-2" aria-label={`Duplicate ${part.name}`} onClick={onDuplicate}>
            <Copy size={16} aria-hidden />
          </button>
          <button type="button" className="p-2" aria-label={`Remove ${part.name}`} onClick={onRemove}>
            <Trash2 size={16} aria-hidden />
          </button>
        </span>
      </div>
      {open && (
        <div className="mt-3 space-y-3 border-l-4 border-hairline pl-4">
          <MaterialChips
            value={part.material}
            onChange={(material) => change({ material }, `material:${part.id}`, `${part.name}: ${plain(material)}.`)}
          />
          <Chips
            legend="Old paint"
            options={FINISHES}
            value={part.finish}
            onChange={(finish) => change({ finish }, `finish:${part.id}`, 'Noted.')}
          />
          <form
            className="flex items-end gap-3"
            onSubmit={(event) => {
              event.preventDefault();
              resize();
            }}
          >
            <label>
              <span className="mb-1 block font-[650]">Longest face, measured</span>
              <input
                className="field !w-44 font-mono"
                value={typed}
                onChange={(event) => setTyped(event.target.value)}
                placeholder={words.length(longest)}
              />
            </label>
            <button type="submit" className="act !min-h-10">
              Use it
            </button>
          </form>
        </div>
      )}
    </li>
  );
}

function MaterialChips({ value, onChange }: { value: Material; onChange: (material: Material) => void }) {
  return (
    <Chips
      legend="Material"
      options={materialSchema.options.map((material) => ({ value: material, label: plain(material) }))}
      value={value}
      onChange={onChange}
    />
  );
}

/** The three guesses that matter most, each answered in one press. */
function Sharpen({ piece }: { piece: Piece }) {
  const { facts, plan } = usePlan();
  const { save } = useSaving();
  const [questions, setQuestions] = useState<SharpenQuestion[] | null>(null);
  useEffect(() => {
    let current = true;
    planner.sharpen(piece, facts, plan.now).then((asked) => current && setQuestions(asked));
    return () => {
      current = false;
    };
  }, [piece, facts, plan.now]);
  return (
    <section className="sheet" aria-label="Sharpen">
      <h2>Sharpen the plan</h2>
      {questions === null && <p className="second mt-2">Weighing the guesses …</p>}
      {questions?.length === 0 && (
        <p className="second mt-2">
          {piece.guesses.length > 0 ? 'The open guesses change nothing that matters.' : 'Nothing is guessed any more.'}
        </p>
      )}
      <ol className="mt-2 space-y-3">
        {questions?.slice(0, 3).map((asked) => (
          <li key={asked.guess}>
            <p>{asked.question}</p>
            <p className="second text-small">It {asked.stake}.</p>
            <div className="mt-2 flex flex-wrap gap-2">
              {asked.answers.map((answer) => (
                <button
                  key={answer.label}
                  type="button"
                  className="chip !min-h-10"
                  onClick={() => void save('pieces', answer.piece, 'Noted. The plan has moved.')}
                >
                  {answer.label}
                </button>
              ))}
            </div>
          </li>
        ))}
      </ol>
    </section>
  );
}
