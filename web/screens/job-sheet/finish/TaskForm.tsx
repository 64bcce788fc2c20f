import { type Act, FITTINGS, type Fitting, type Piece, taskSchema } from '#core/facts/index';
import type { PieceView } from '#core/plan/index';
import { actsBySound } from '#core/survey/index';
import { parseMoney, parseQuantity } from '#core/units/index';
import { useState } from 'react';
import { newId } from '../../../app/writing/newId.ts';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { SmallCheck, SmallField, SmallForm, SmallSelect } from '../../../views/fields/SmallField.tsx';
import { usePieceSave } from '../pieceChanges.ts';
import { momentChoices } from './moments.ts';
import { READY_TASKS, type ReadyTask } from './readyTasks.ts';

/** A step of one's own: what it is, what it does, how long, and what it comes after and before. */
export function AddTask({ piece, view }: { piece: Piece; view: PieceView }) {
  const { workshop } = usePlan();
  const words = useWords();
  const save = usePieceSave();
  const parts = piece.parts.filter((part) => part.gone !== true);
  const [ready, setReady] = useState<ReadyTask>(READY_TASKS[0]);
  const [typed, setTyped] = useState(() => typedOf(READY_TASKS[0], words.duration));
  const [partIds, setPartIds] = useState<readonly string[]>(parts.slice(0, 1).map((part) => part.id));
  const [ties, setTies] = useState({ after: '', before: '' });
  /** What it does and what it leaves sitting there; empty: as it sounds. */
  const [does, setDoes] = useState<Act | ''>('');
  const [fits, setFits] = useState<Fitting | 'nothing' | ''>('');
  const [problem, setProblem] = useState('');
  const pick = (own: ReadyTask) => {
    setReady(own);
    setTyped({ ...typedOf(own, words.duration), buy: typed.buy, price: typed.price });
  };
  /** The next one is another: nothing of this one is taken for it. */
  const anew = () => {
    setReady(READY_TASKS[0]);
    setTyped(typedOf(READY_TASKS[0], words.duration));
    setPartIds(parts.slice(0, 1).map((part) => part.id));
    setTies({ after: '', before: '' });
    setDoes('');
    setFits('');
  };
  const add = async () => {
    const minutes = parseQuantity(typed.minutes, 'duration', 'min');
    if (!minutes.ok) return setProblem(`At the bench: ${minutes.mend}`);
    const alone = typed.alone.trim() ? parseQuantity(typed.alone, 'duration', 'min') : null;
    if (alone && !alone.ok) return setProblem(`Left alone: ${alone.mend}`);
    const price = parseMoney(typed.price.trim() || '0', workshop.currency);
    if (!price.ok) return setProblem(price.mend);
    const choice = (end: 'after' | 'before') => momentChoices(piece, view.stacks, end).find((own) => own.key === ties[end])?.value;
    const read = taskSchema.safeParse({
      id: newId(),
      kind: ready.kind,
      name: typed.name,
      partIds,
      minutes: minutes.value,
      ...(alone?.ok && alone.value > 0 ? { aloneMinutes: alone.value } : {}),
      ...(ready.kind === 'own' ? said(typed.name, does, fits) : {}),
      ...(choice('after') ? { after: choice('after') } : {}),
      ...(choice('before') ? { before: choice('before') } : {}),
    });
    if (!read.success) return setProblem(read.error.issues[0].message);
    setProblem('');
    const parcel = typed.buy.trim()
      ? [{ id: newId(), name: typed.buy.trim(), price: price.value, arrived: false, holds: { taskId: read.data.id } }]
      : [];
    const kept = await save(
      { ...piece, tasks: [...(piece.tasks ?? []), read.data], parcels: [...piece.parcels, ...parcel] },
      `${read.data.name} is in the plan.`,
    );
    if (kept) anew();
  };
  const sound = actsBySound(typed.name);
  const field = (label: string, key: keyof typeof typed, width: string, placeholder = '') => (
    <SmallField
      label={label}
      width={width}
      value={typed[key]}
      placeholder={placeholder}
      onText={(text) => setTyped({ ...typed, [key]: text })}
    />
  );
  const tie = (end: 'after' | 'before', none: string) => (
    <SmallSelect
      label={`it comes ${end}`}
      width="!w-56"
      value={ties[end]}
      options={[{ value: '', label: none }, ...momentChoices(piece, view.stacks, end).map((own) => ({ value: own.key, label: own.label }))]}
      onChange={(key) => setTies({ ...ties, [end]: key })}
    />
  );
  return (
    <SmallForm label="Add a step of your own" className="" problem={problem} onSend={() => void add()}>
      <fieldset className="flex flex-wrap gap-2">
        <legend className="sr-only">What kind of step</legend>
        {READY_TASKS.map((own) => (
          <button key={own.kind} type="button" className="chip !min-h-10" aria-pressed={own.kind === ready.kind} onClick={() => pick(own)}>
            {own.kind === 'own' ? 'something else' : own.name.toLowerCase()}
          </button>
        ))}
      </fieldset>
      <div className="mt-3 flex flex-wrap items-end gap-3">
        {field('called', 'name', '!w-52', 'what it is')}
        {field('at the bench', 'minutes', '!w-24 font-mono', '10 min')}
        {field('then left alone', 'alone', '!w-28 font-mono', '12 h')}
        {ready.kind === 'own' && (
          <>
            <SmallSelect
              label="what is done"
              width="!w-52"
              value={does}
              options={[
                { value: '', label: `as it sounds: ${ACT_WORDS[sound.acts[0]]}` },
                ...DOABLE.map((act) => ({ value: act, label: ACT_WORDS[act] ?? act })),
              ]}
              onChange={setDoes}
            />
            <SmallSelect
              label="what sits there then"
              width="!w-56"
              value={fits}
              options={[
                { value: '', label: `as it sounds: ${sound.fits ?? 'nothing'}` },
                { value: 'nothing', label: 'nothing' },
                ...FITTINGS.map((own) => ({ value: own, label: own })),
              ]}
              onChange={setFits}
            />
          </>
        )}
        {tie('after', 'any time')}
        {tie('before', 'the fit at the end')}
        {field('to be bought', 'buy', '!w-40', 'clear sheet, 0.3 mm')}
        {field(`price, ${workshop.currency}`, 'price', '!w-20 font-mono')}
      </div>
      <fieldset className="mt-3 flex flex-wrap gap-3">
        <legend className="second text-small">on which parts</legend>
        {parts.map((part) => (
          <SmallCheck
            key={part.id}
            label={part.name}
            checked={partIds.includes(part.id)}
            onChange={(on) => setPartIds(on ? [...partIds, part.id] : partIds.filter((id) => id !== part.id))}
          />
        ))}
      </fieldset>
      <button type="submit" className="act mt-3 !min-h-10" data-first="true">
        Put it in the plan
      </button>
    </SmallForm>
  );
}

function typedOf(ready: ReadyTask, duration: (minutes: number) => string) {
  return { name: ready.name, minutes: `${ready.minutes} min`, alone: ready.alone ? duration(ready.alone) : '', buy: '', price: '' };
}

/** What is said of a step: as chosen, else as its name sounds. */
function said(name: string, does: Act | '', fits: Fitting | 'nothing' | ''): { acts: Act[]; fits?: Fitting } {
  const sound = actsBySound(name);
  const sits = fits === '' ? sound.fits : fits === 'nothing' ? undefined : fits;
  return { acts: does === '' ? [...sound.acts] : [does], ...(sits ? { fits: sits } : {}) };
}

/** Acts a person may do in a step of their own, as they would say them. */
const ACT_WORDS: Partial<Record<Act, string>> = {
  handle: 'only handled',
  'glue-on': 'glued on',
  'screw-on': 'screwed on',
  'slide-on': 'slid on',
  'press-on': 'pressed on',
  drill: 'drilled',
  'solvent-wipe': 'wiped with solvent',
  'water-wash': 'washed',
  'dry-sand': 'sanded dry',
  'wet-sand': 'sanded wet',
  polish: 'polished or waxed',
  heat: 'warmed',
  tape: 'taped',
  cover: 'covered with sheeting',
  hang: 'hung and aligned',
  close: 'closed',
  test: 'tested',
  record: 'photographed, measured',
};
const DOABLE = Object.keys(ACT_WORDS) as Act[];
