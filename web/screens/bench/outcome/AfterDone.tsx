import { type DoneEvent, type LogEvent, standingEvents } from '#core/facts/index';
import { type PlannedStep, whenRefused } from '#core/plan/index';
import { toIso } from '#core/units/index';
import { useEffect, useState } from 'react';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { logEvents } from '../../../app/writing/logging.ts';
import { newId } from '../../../app/writing/newId.ts';
import { MomentField } from '../../../views/fields/MomentField.tsx';
import { TookField } from '../../../views/fields/TookField.tsx';
import { readMinutes, seemsToHaveTaken, withMinutes } from '#core/plan/index';
import { type Chosen, doneTogether } from '../tonight/sideBySide.ts';

export type JustDone = {
  /** Steps done in one go. */
  readonly steps: readonly PlannedStep[];
  readonly events: readonly LogEvent[];
  readonly at: number;
};

const SHOWN_MS = 8000;
const BUTTON = 'min-h-11 rounded-[3px] border border-[#8a8a8a] px-3';

/** For eight seconds: it was at another time, it took longer, it was only some of it, or it was not so at all. */
export function AfterDone({ just, onClose, placeId }: { just: JustDone; onClose: () => void; placeId: string }) {
  const [changing, setChanging] = useState<'time' | 'minutes' | 'parts' | null>(null);
  /** Whoever has come to it by keyboard is not left behind. */
  const [within, setWithin] = useState(false);
  useEffect(() => {
    if (changing || within) return;
    const timer = setTimeout(onClose, SHOWN_MS);
    return () => clearTimeout(timer);
  }, [onClose, changing, within]);

  const undone = (): LogEvent[] => just.events.map((event) => ({ id: newId(), at: toIso(nowMinute()), kind: 'undo', undoes: event.id }));
  // What was asked with the step (what came off, how it parted) stands as it was answered.
  const answers = just.events.filter((event) => !['done', 'warmed', 'mixed'].includes(event.kind));
  const instead = (at: number, chosen?: Chosen, minutes: number | null = null) => {
    const again = answers.map((event): LogEvent => ({ ...event, id: newId(), at: toIso(at) }));
    void logEvents([...undone(), ...again, ...withMinutes(doneTogether(just.steps, newId, at, placeId, chosen), minutes)]);
    onClose();
  };
  const several = just.steps.length > 1 || just.steps.some(({ on, keys }) => on.length > 1 && keys.length > 1);
  return (
    <div
      role="status"
      onFocus={() => setWithin(true)}
      onBlur={() => setWithin(false)}
      className="w-full rounded-[3px] border border-[#8a8a8a] bg-[#202020] p-3 text-left"
    >
      <p className="flex flex-wrap items-center gap-2">
        <span className="mr-2 text-[#d0d0d0]">Logged: {just.steps[0].title}. It was</span>
        {[5, 15, 30].map((minutes) => (
          <button key={minutes} type="button" className={`${BUTTON} font-mono`} onClick={() => instead(just.at - minutes)}>
            −{minutes} min
          </button>
        ))}
        <button type="button" className={BUTTON} aria-expanded={changing === 'time'} onClick={() => setChanging('time')}>
          another time
        </button>
        <button type="button" className={BUTTON} aria-expanded={changing === 'minutes'} onClick={() => setChanging('minutes')}>
          it took …
        </button>
        {several && (
          <button type="button" className={BUTTON} aria-expanded={changing === 'parts'} onClick={() => setChanging('parts')}>
            only these
          </button>
        )}
      </p>
      {changing === 'time' && <DoneAt just={just} onAt={instead} />}
      {changing === 'minutes' && <Took just={just} onMinutes={(minutes) => instead(just.at, undefined, minutes)} />}
      {changing === 'parts' && <OnlyThese steps={just.steps} onParts={(chosen) => instead(just.at, chosen)} />}
      <button
        type="button"
        className="mt-2 min-h-[56px] w-full rounded-[3px] border border-white text-lead font-[650]"
        onClick={() => {
          void logEvents(undone());
          onClose();
        }}
      >
        Undo
      </button>
    </div>
  );
}

/** Any earlier day and hour. */
function DoneAt({ just, onAt }: { just: JustDone; onAt: (at: number) => void }) {
  const { facts, pieceById } = usePlan();
  const [at, setAt] = useState<number | null>(Math.floor(just.at));
  const events = just.events.filter((event): event is DoneEvent => event.kind === 'done');
  const why =
    events
      .flatMap((event) => {
        const piece = pieceById.get(event.pieceId);
        return piece ? [whenRefused(event, at ?? Number.NaN, piece, facts.events, nowMinute())] : [];
      })
      .find((text) => text !== null) ?? null;
  return (
    <div className="mt-2 flex flex-wrap items-end gap-2">
      <MomentField label="Done at" value={at} onChange={setAt} problem={why} />
      <button type="button" className={BUTTON} disabled={Boolean(why)} onClick={() => at !== null && onAt(at)}>
        That is when
      </button>
    </div>
  );
}

/** How long the work itself took: from what was done before it, to be set right. The next plan learns from it. */
function Took({ just, onMinutes }: { just: JustDone; onMinutes: (minutes: number) => void }) {
  const { facts } = usePlan();
  const own = new Set(just.events.map(({ id }) => id));
  const seems = seemsToHaveTaken(
    standingEvents(facts.events).filter(({ id }) => !own.has(id)),
    just.at,
    just.steps.reduce((sum, step) => sum + step.minutes, 0),
  );
  const [typed, setTyped] = useState(seems === null ? '' : String(seems));
  const { minutes, problem } = readMinutes(typed);
  return (
    <div className="mt-2 flex flex-wrap items-end gap-2">
      <TookField typed={typed} onTyped={setTyped} problem={problem} />
      <button type="button" className={BUTTON} disabled={minutes === null} onClick={() => minutes !== null && onMinutes(minutes)}>
        That long
      </button>
      <p className="basis-full text-small text-[#b4b4b4]">
        Waiting left out{seems === null ? '' : `; ${seems} min have passed since what was done before`}. The next plan reckons with it.
      </p>
    </div>
  );
}

/** Of a row of several parts, those it was really done to. */
function OnlyThese({ steps, onParts }: { steps: readonly PlannedStep[]; onParts: (chosen: Chosen) => void }) {
  const { pieceById } = usePlan();
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const pieces = new Set(steps.map(({ pieceId }) => pieceId)).size;
  const nameOf = ({ pieceId }: PlannedStep, partId: string) => {
    const piece = pieceById.get(pieceId);
    const part = piece?.parts.find(({ id }) => id === partId)?.name.toLowerCase() ?? partId;
    return pieces > 1 ? `${piece?.name}, ${part}` : part;
  };
  const toggle = (key: string) => setChosen(chosen.includes(key) ? chosen.filter((own) => own !== key) : [...chosen, key]);
  return (
    <div className="mt-2 flex flex-wrap gap-2">
      {steps.flatMap((step) =>
        step.on.map(({ partId }) => {
          const key = keyOf(step, partId);
          return (
            <button
              key={key}
              type="button"
              aria-pressed={chosen.includes(key)}
              className={`${BUTTON} ${chosen.includes(key) ? '!border-2 !border-white font-[650]' : ''}`}
              onClick={() => toggle(key)}
            >
              {nameOf(step, partId)}
            </button>
          );
        }),
      )}
      <button
        type="button"
        className={`${BUTTON} !border-white`}
        disabled={chosen.length === 0}
        onClick={() => onParts((step, partId) => chosen.includes(keyOf(step, partId)))}
      >
        Only these were done
      </button>
    </div>
  );
}

function keyOf({ id }: PlannedStep, partId: string): string {
  return `${id} ${partId}`;
}
