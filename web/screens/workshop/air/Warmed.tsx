import { type EventOf, type LogEvent, WARM_BY, type Warm, type WarmBy } from '#core/facts/index';
import type { FilmAhead } from '#core/plan/index';
import { capital, toIso, toMinute } from '#core/units/index';
import { useState } from 'react';
import { nowMinute } from '../../../app/plan/PlanContext.tsx';
import { logEvents } from '../../../app/writing/logging.ts';
import { newId } from '../../../app/writing/newId.ts';
import { useWords } from '../../../app/useWords.ts';
import { MomentField } from '../../../views/fields/MomentField.tsx';
import { Chips } from '../../../views/fields/Chips.tsx';
import { SpellFields } from '../../../views/fields/SpellFields.tsx';
import { WARM_LABELS } from '../../../views/words/warmWords.ts';

type WarmedEvent = EventOf<'warmed'>;

/** Logs a spell; another that stood for it is taken back. */
function logSpell(event: Omit<WarmedEvent, 'id' | 'kind'>, instead?: WarmedEvent): void {
  const events: LogEvent[] = [
    ...(instead ? [{ id: newId(), at: toIso(nowMinute()), kind: 'undo' as const, undoes: instead.id }] : []),
    { ...event, id: newId(), kind: 'warmed' },
  ];
  void logEvents(events);
}

/** The warmth a film had, as the plan took it or as it was measured; put right by what the thermometer showed. */
export function Warmed({ film }: { film: FilmAhead }) {
  const [open, setOpen] = useState<string | null>(null);
  const words = useWords();
  return film.warmed.map((event) => (
    <div key={event.id} className="mt-1 text-small">
      <p className="flex flex-wrap items-center gap-2">
        <span>
          {capital(WARM_LABELS[event.by])} from {words.moment(toMinute(event.at))}: {words.heat(event.surfaceC)} for{' '}
          {words.duration(event.minutes)}.
          {event.surfaceC > film.oven.limitC && (
            <strong> Hotter than the {words.heat(film.oven.limitC)} it bears: look for pinholes, a soft or a bent edge.</strong>
          )}
        </span>
        <button
          type="button"
          className="chip !min-h-8"
          aria-expanded={open === event.id}
          onClick={() => setOpen(open === event.id ? null : event.id)}
        >
          It was otherwise
        </button>
      </p>
      {open === event.id && (
        <SpellFields
          warm={event}
          onWarm={({ by, surfaceC, minutes }) => {
            logSpell({ ...withoutId(event), by, surfaceC, minutes }, event);
            setOpen(null);
          }}
        />
      )}
    </div>
  ));
}

function withoutId({ id: _id, kind: _kind, ...event }: WarmedEvent): Omit<WarmedEvent, 'id' | 'kind'> {
  return event;
}

const USUAL: Readonly<Record<WarmBy, Pick<Warm, 'surfaceC' | 'minutes'>>> = {
  oven: { surfaceC: 45, minutes: 120 },
  sun: { surfaceC: 35, minutes: 180 },
  'warm-room': { surfaceC: 24, minutes: 720 },
};

/** A spell nobody had planned. */
export function NewSpell({ film }: { film: FilmAhead }) {
  const [open, setOpen] = useState(false);
  const [warm, setWarm] = useState<Warm>({ by: 'oven', ...USUAL.oven });
  const [from, setFrom] = useState<number | null>(() => Math.max(film.laidAt, Math.floor(nowMinute()) - USUAL.oven.minutes));
  const problem = whenWrong(from, film.laidAt);
  return (
    <>
      <button type="button" className="chip mt-1 !min-h-8" aria-expanded={open} onClick={() => setOpen(!open)}>
        It was warmed
      </button>
      {open && (
        <div className="mt-2 space-y-2">
          <Chips
            legend="It was in the"
            options={WARM_BY.map((value) => ({ value, label: WARM_LABELS[value] }))}
            value={warm.by}
            onChange={(by) => setWarm({ by, ...USUAL[by] })}
          />
          <SpellFields warm={warm} onWarm={setWarm} />
          <MomentField label="From" value={from} onChange={setFrom} problem={problem} />
          <button
            type="button"
            className="act !min-h-9"
            disabled={problem !== null || from === null}
            onClick={() => {
              if (from !== null) logSpell({ at: toIso(from), pieceId: film.pieceId, partIds: [film.partId], ...warm });
              setOpen(false);
            }}
          >
            Log it
          </button>
        </div>
      )}
    </>
  );
}

function whenWrong(from: number | null, laidAt: number): string | null {
  if (from === null) return 'Say the day and the hour.';
  if (from > nowMinute() + 1) return 'That is still to come: a spell ahead is chosen under Coats.';
  return from < laidAt - 1 ? 'The film was not on yet.' : null;
}
