import { type Piece, type Task, taskSchema } from '#core/facts/index';
import type { PieceView } from '#core/plan/index';
import { listed, parseMoney, parseQuantity } from '#core/units/index';
import { useState } from 'react';
import { newId } from '../../../app/writing/newId.ts';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { RemoveButton } from '../../../views/fields/RemoveButton.tsx';
import { SmallCheck, SmallField, SmallForm, SmallSelect } from '../../../views/fields/SmallField.tsx';
import { Adding } from '../Adding.tsx';
import { usePieceSave } from '../pieceChanges.ts';
import { keyOfWhen, momentChoices } from './moments.ts';
import { READY_TASKS, type ReadyTask } from './readyTasks.ts';

type Props = { readonly piece: Piece; readonly view: PieceView };

/** Steps of one's own: what is glued, fitted, tested, left to set, and what it comes after and before. */
export function Tasks({ piece, view }: Props) {
  const { plan } = usePlan();
  const words = useWords();
  const save = usePieceSave();
  const tasks = piece.tasks ?? [];
  const remove = (task: Task) =>
    void save(
      {
        ...piece,
        tasks: tasks.filter((own) => own !== task).map((own) => withoutTies(own, task.id)),
        parcels: piece.parcels.map(({ holds, ...parcel }) => (holds && holds.taskId !== task.id ? { ...parcel, holds } : parcel)),
      },
      'It is out.',
    );
  return (
    <section className="mt-5" aria-label="Steps of your own">
      <h3 className="font-[650] text-ink">Steps of your own</h3>
      {tasks.length === 0 && <p className="second">Glue, glazing, a light test, seals: anything the tool does not plan by itself.</p>}
      <ul>
        {tasks.map((task) => {
          const step = plan.steps.find((own) => own.pieceId === piece.id && own.stage === 'task' && own.id.split('.')[3] === task.id);
          return (
            <li key={task.id} className="flex items-start justify-between gap-3 border-b border-hairline py-2">
              <span>
                <span className="font-[650] text-ink">{task.name}</span>{' '}
                <span className="second">
                  {listed(piece.parts.filter((part) => task.partIds.includes(part.id)).map((part) => part.name))}
                </span>
                <span className="second block text-small">
                  {[
                    `${task.minutes} min`,
                    task.aloneMinutes ? `then ${words.duration(task.aloneMinutes)} alone` : '',
                    tieText(task, piece, view, 'after'),
                    tieText(task, piece, view, 'before'),
                    step ? (step.placed ? words.moment(step.placed.start) : (step.unplacedWhy ?? 'no date')) : 'done',
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </span>
              </span>
              <RemoveButton what={task.name} onRemove={() => remove(task)} />
            </li>
          );
        })}
      </ul>
      <Adding label="Add a step">
        <AddTask piece={piece} view={view} />
      </Adding>
    </section>
  );
}

function withoutTies({ after, before, ...task }: Task, id: string): Task {
  const kept = (when: Task['after']) => (when && !('taskId' in when && when.taskId === id) ? when : undefined);
  return { ...task, ...(kept(after) ? { after } : {}), ...(kept(before) ? { before } : {}) };
}

function tieText(task: Task, piece: Piece, view: PieceView, end: 'after' | 'before'): string {
  const choice = momentChoices(piece, view.stacks, end, task).find((own) => own.key === keyOfWhen(task[end]));
  return choice ? `${end} ${choice.label}` : '';
}

function AddTask({ piece, view }: Props) {
  const { workshop } = usePlan();
  const words = useWords();
  const save = usePieceSave();
  const parts = piece.parts.filter((part) => part.gone !== true);
  const [ready, setReady] = useState<ReadyTask>(READY_TASKS[0]);
  const [typed, setTyped] = useState(() => typedOf(READY_TASKS[0], words.duration));
  const [partIds, setPartIds] = useState<readonly string[]>(parts.slice(0, 1).map((part) => part.id));
  const [ties, setTies] = useState({ after: '', before: '' });
  const [problem, setProblem] = useState('');
  const pick = (own: ReadyTask) => {
    setReady(own);
    setTyped({ ...typedOf(own, words.duration), buy: typed.buy, price: typed.price });
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
      ...(choice('after') ? { after: choice('after') } : {}),
      ...(choice('before') ? { before: choice('before') } : {}),
    });
    if (!read.success) return setProblem(read.error.issues[0].message);
    setProblem('');
    const parcel = typed.buy.trim()
      ? [{ id: newId(), name: typed.buy.trim(), price: price.value, arrived: false, holds: { taskId: read.data.id } }]
      : [];
    await save(
      { ...piece, tasks: [...(piece.tasks ?? []), read.data], parcels: [...piece.parcels, ...parcel] },
      `${read.data.name} is in the plan.`,
    );
  };
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
