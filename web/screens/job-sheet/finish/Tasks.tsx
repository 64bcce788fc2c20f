import type { Piece, Task } from '#core/facts/index';
import type { PieceView } from '#core/plan/index';
import { listed } from '#core/units/index';
import { useState } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { FindingCard } from '../../../views/FindingCard.tsx';
import { ChangeButton } from '../../../views/fields/ChangeButton.tsx';
import { RemoveButton } from '../../../views/fields/RemoveButton.tsx';
import { Adding } from '../Adding.tsx';
import { usePieceSave } from '../pieceChanges.ts';
import { keyOfWhen, momentChoices } from './moments.ts';
import { TaskForm } from './TaskForm.tsx';

type Props = { readonly piece: Piece; readonly view: PieceView };

/** Steps of one's own: what is glued, fitted, tested, left to set, and what it comes after and before. */
export function Tasks({ piece, view }: Props) {
  const { plan, findings } = usePlan();
  const words = useWords();
  const save = usePieceSave();
  const tasks = piece.tasks ?? [];
  const [changing, setChanging] = useState<string | null>(null);
  const remove = (task: Task) => void save({ ...piece, tasks: tasks.filter((own) => own !== task) }, 'It is out.');
  return (
    <section className="mt-5" aria-label="Steps of your own">
      <h3 className="font-[650] text-ink">Steps of your own</h3>
      {tasks.length === 0 && <p className="second">Glue, glazing, a light test, seals: anything the tool does not plan by itself.</p>}
      <ul>
        {tasks.map((task) => {
          const step = plan.steps.find((own) => own.pieceId === piece.id && own.stage === 'task' && own.id.split('.')[3] === task.id);
          return (
            <li key={task.id} className="border-b border-hairline py-2">
              <div className="flex items-start justify-between gap-3">
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
                <span className="flex items-center gap-1">
                  <ChangeButton what={task.name} open={changing === task.id} onOpen={(open) => setChanging(open ? task.id : null)} />
                  <RemoveButton what={task.name} onRemove={() => remove(task)} />
                </span>
              </div>
              {changing === task.id && <TaskForm piece={piece} view={view} was={task} onKept={() => setChanging(null)} />}
              {findings
                .filter((own) => own.pieceId === piece.id && own.taskId === task.id)
                .map((finding) => (
                  <FindingCard key={`${finding.rule} ${finding.step} ${finding.because}`} finding={finding} piece={piece} />
                ))}
            </li>
          );
        })}
      </ul>
      <Adding label="Add a step">
        <TaskForm piece={piece} view={view} />
      </Adding>
    </section>
  );
}

function tieText(task: Task, piece: Piece, view: PieceView, end: 'after' | 'before'): string {
  const choice = momentChoices(piece, view.stacks, end, task).find((own) => own.key === keyOfWhen(task[end]));
  return choice ? `${end} ${choice.label}` : '';
}
