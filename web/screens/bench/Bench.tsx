import { hexOf } from '#core/colour/index';
import { type LogEvent, standingEvents } from '#core/facts/index';
import { FAULTS, type Sign } from '#core/faults/index';
import { detailTogether, tooEarly } from '#core/plan/index';
import { openTicks, openTicksText } from '#core/prep/index';
import { cautionsFor } from '#core/safety/index';
import { asSentence, toIso } from '#core/units/index';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { logEvents } from '../../app/writing/logging.ts';
import { newId } from '../../app/writing/newId.ts';
import { useNow } from '../../app/plan/useNow.ts';
import { useWords } from '../../app/useWords.ts';
import { FindingsAt } from '../../views/FindingsAt.tsx';
import { stepTitle } from '../../views/words/stepTitle.ts';
import { AfterDone, type JustDone } from './outcome/AfterDone.tsx';
import { useAirHolds } from './tonight/AirHolds.tsx';
import { Checks } from './outcome/Checks.tsx';
import { Finger } from './Finger.tsx';
import { InTheCan } from './InTheCan.tsx';
import { Inspections } from './outcome/Inspections.tsx';
import { OutcomeChoices, outcomeEvents } from './outcome/outcomes.tsx';
import { Parted } from './outcome/Parted.tsx';
import { partedEvents } from './outcome/partedEvents.ts';
import { Looks } from './Looks.tsx';
import { doneTogether, sideBySide } from './tonight/sideBySide.ts';
import { SendNote } from './SendNote.tsx';
import { keepAwake, ring } from './signals.ts';
import { TroubledPieces } from './tonight/TroubledPieces.tsx';
import { partsOf, stayOf, todayText, wetNearbyText, whoText } from './tonight/stay.ts';
import { useToGo } from './tonight/useToGo.ts';
import { WindowBar } from './WindowBar.tsx';
import { TornDecal } from './outcome/TornDecal.tsx';
import { ZonesAtBench } from './outcome/ZonesAtBench.tsx';

type Sheet = 'wait' | 'trouble' | null;

/** A window that opens again within minutes is no window missed. */
const SHORT_GAP = 15;

/** At the bench: one step, a huge countdown, three actions by key and button. */
export function Bench() {
  const { plan, facts, stepById, pieceById, workshop } = usePlan();
  const words = useWords();
  const now = useNow(1000);
  const [sheet, setSheet] = useState<Sheet>(null);
  const [justDone, setJustDone] = useState<JustDone | null>(null);
  const [said, setSaid] = useState('');
  const opened = useRef<HTMLDivElement>(null);
  /** Steps of a batch that the fault is not on. */
  const [spared, setSpared] = useState<readonly string[]>([]);
  const pressed = useRef<string | null>(null);
  /** The step that somebody has been told is too early for. */
  const warned = useRef<string | null>(null);
  const stay = stayOf(plan);
  const steps = useMemo(() => stay?.session.stepIds.flatMap((id) => stepById.get(id) ?? []) ?? [], [stay?.session, stepById]);
  const toGo = useToGo(steps, plan);
  const batch = useMemo(() => sideBySide(steps), [steps]);
  const step = steps[0];
  const stepId = step?.id;
  const piece = step && pieceById.get(step.pieceId);

  useEffect(() => keepAwake(), []);
  useEffect(() => {
    if (pressed.current !== stepId) pressed.current = null;
  }, [stepId]);

  const opensIn = step?.placed ? step.placed.start - now : 0;
  const ready = opensIn <= 0;
  const title = step?.title;
  useEffect(() => {
    if (ready && title) ring(title);
  }, [ready, title]);

  const done = useCallback(() => {
    // A second press of a double click meets a step already logged and does nothing.
    if (!step || pressed.current === step.id) return;
    const open = batch.flatMap(({ checks = [], pieceId, on }) =>
      openTicks(
        checks,
        pieceId,
        on.map(({ partId }) => partId),
        standingEvents(facts.events),
      ),
    );
    if (open.length > 0) return setSaid(openTicksText(open));
    const at = Date.now() / 60_000;
    const early = tooEarly(batch, at, words.moment);
    if (early && warned.current !== step.id) {
      warned.current = step.id;
      return setSaid(early);
    }
    pressed.current = step.id;
    const events = doneTogether(batch, newId, at, workshop.dryPlaceId);
    setJustDone({ steps: batch, events, at });
    void logEvents(events);
  }, [step, batch, workshop.dryPlaceId, facts.events, words.moment]);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      if (event.key === '1') done();
      else if (event.key === '2') setSheet(sheet === 'wait' ? null : 'wait');
      else if (event.key === '3') setSheet(sheet === 'trouble' ? null : 'trouble');
      else if (event.key === 'Escape') setSheet(null);
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [done, sheet]);

  // What a press has opened is seen, however long the page is above it.
  useEffect(() => {
    if (sheet) opened.current?.scrollIntoView({ block: 'end' });
  }, [sheet]);

  if (!stay || !step || !piece) return <BenchDone justDone={justDone} onClose={() => setJustDone(null)} />;

  const log = (events: readonly LogEvent[], words: string) => {
    setSheet(null);
    setSaid(words);
    void logEvents(events);
  };
  const wait = (until: number, text: string) =>
    log(
      batch.map(({ pieceId, keys }) => ({ id: newId(), at: toIso(now), kind: 'wait', pieceId, stepKeys: [...keys], until: toIso(until) })),
      text,
    );
  const trouble = (sign: Sign) =>
    log(
      batch
        .filter(({ id }) => batch.length === 1 || !spared.includes(id))
        .map(({ pieceId, keys, on }) => ({
          id: newId(),
          at: toIso(now),
          kind: 'trouble',
          pieceId,
          stepKeys: [...keys],
          partIds: on.map(({ partId }) => partId),
          sign,
        })),
      'Stopped. Let it cure, then look again: it is planned.',
    );
  const settle = (answered: (at: number) => readonly LogEvent[]) => {
    if (!step.asks || pressed.current === step.id) return;
    pressed.current = step.id;
    const at = Date.now() / 60_000;
    const events = [...answered(at), ...doneTogether([step], newId, at, workshop.dryPlaceId)];
    setJustDone({ steps: [step], events, at });
    void logEvents(events);
  };
  const who = partsOf(batch, pieceById).map(({ pieceId, names, pegs }) =>
    whoText({ ...step, pegs }, pieceById.get(pieceId)?.name ?? '', names),
  );
  const detail = detailTogether(batch);
  const closes = batch.reduce<number | null>((soonest, { window }) => sooner(soonest, window?.to ?? null), null);
  const nextFree = plan.free.find((span) => span.from > (stay.session.freeUntil ?? now));

  return (
    <main className="flex min-h-dvh flex-col bg-[#161616] text-[#f4f4f4]" aria-label="At the bench">
      <div className="mx-auto flex w-full max-w-[720px] flex-1 flex-col px-[18px] pt-4 pb-4">
        <p className="flex justify-between text-small text-[#b4b4b4]">
          <Link to="/" className="underline underline-offset-4">
            {stay.on ? todayText(stay.session.from, workshop.timeZone) : `Next, ${words.moment(stay.session.from)}`} · {toGo.left} to go
            {toGo.more > 0 ? `, ${toGo.more} more fit in` : ''}
          </Link>
          <span className="figure">{words.clock(now)}</span>
        </p>
        <p className="mt-5 text-lead text-[#d0d0d0]">{who.join(' and ')}</p>
        <h1 className="!text-[38px] !leading-[1.1] !text-[#ffffff]">{stepTitle(step)}</h1>
        {step.coat && (
          <span aria-hidden className="mt-4 block h-[14px] border border-white/20" style={{ background: hexOf(step.coat.lab) }} />
        )}
        <Countdown ready={ready} opensIn={opensIn} closesIn={closes === null ? null : closes - now} />
        <WindowBar step={step} now={now} />
        {batch.map((own) => {
          const of = pieceById.get(own.pieceId);
          return of && <ZonesAtBench key={own.id} step={own} piece={of} />;
        })}
        <p className="mt-4 text-[16px] leading-relaxed text-[#e4e4e4]">
          {detail ? `${asSentence(detail)} ` : ''}
          {step.missedUntil !== null &&
            closes !== null &&
            step.missedUntil > closes + SHORT_GAP &&
            `Miss ${words.moment(closes)} and it waits until ${words.moment(step.missedUntil)}.`}
          {step.afterwards && ` ${step.afterwards}.`}
          {step.wetNearby && ` ${wetNearbyText(step.wetNearby, facts.pieces, words.moment)}`}
        </p>
        <InTheCan batch={batch} />
        {cautionsFor(step.hazards)
          .slice(0, 2)
          .map(({ hazard, text }) => (
            <p key={hazard} className="mt-2 border-l-2 border-white pl-3 text-[15px] text-[#e4e4e4]">
              {text}
            </p>
          ))}
        <FindingsAt stepId={step.id} />
        <Looks step={step} events={facts.events} now={now} />
        {step.checks && <Checks step={step} now={now} onSaid={setSaid} />}
        <Inspections key={`seen ${step.id}`} step={step} now={now} onSaid={setSaid} />
        <Finger step={step} now={now} onSaid={setSaid} />
        <p role="status" className="mt-3 min-h-6 text-[#d0d0d0]">
          {said || toGo.added}
        </p>
        <div className="mt-auto" />
        {justDone && <AfterDone just={justDone} onClose={() => setJustDone(null)} placeId={workshop.dryPlaceId} />}
        {sheet === 'wait' && (
          <Choices label="Wait until">
            <Choice onClick={() => wait(now + 10, 'Waiting ten minutes.')}>+ 10 min</Choice>
            <Choice onClick={() => wait(Math.min(now + 60, Math.max(now + 15, stay.session.freeUntil - 20)), 'Later tonight.')}>
              Later tonight
            </Choice>
            <Choice onClick={() => wait(nextFree?.from ?? now + 1440, 'Put off to another day.')}>Another day</Choice>
          </Choices>
        )}
        {sheet === 'trouble' && batch.length > 1 && <TroubledPieces steps={batch} spared={spared} onSpared={setSpared} />}
        {sheet === 'trouble' && <TornDecal key={`torn ${step.id}`} step={step} piece={piece} onSettled={() => setSheet(null)} />}
        {sheet === 'trouble' && (
          <Choices label="What do you see?">
            {FAULTS.map((fault) => (
              <Choice key={fault.sign} onClick={() => trouble(fault.sign)} hint={fault.looks}>
                {fault.name}
              </Choice>
            ))}
          </Choices>
        )}
        <div ref={opened} className="scroll-mb-28" />
      </div>
      <div className="sticky bottom-0 border-t border-[#3d3d3d] bg-[#161616]">
        <OutcomeChoices step={step} onOutcome={(outcome) => settle((at) => outcomeEvents(step, piece, outcome, facts.events, newId, at))} />
        <Parted
          key={`parted ${step.id}`}
          step={step}
          piece={piece}
          onDone={(ends) => settle((at) => partedEvents(piece.id, ends, newId, at))}
        />
        <div className="mx-auto grid max-w-[720px] grid-cols-[2fr_1fr_1fr] gap-[10px] px-[18px] py-4">
          <button type="button" onClick={done} className="min-h-[72px] rounded-[3px] bg-white text-[24px] font-[750] text-[#151515]">
            Done <kbd className="figure ml-1 text-small opacity-60">1</kbd>
          </button>
          <button
            type="button"
            aria-expanded={sheet === 'wait'}
            onClick={() => setSheet(sheet === 'wait' ? null : 'wait')}
            className="min-h-[72px] rounded-[3px] bg-[#3a3a3a] text-lead"
          >
            Wait <kbd className="figure text-small opacity-60">2</kbd>
          </button>
          <button
            type="button"
            aria-expanded={sheet === 'trouble'}
            onClick={() => setSheet(sheet === 'trouble' ? null : 'trouble')}
            className="min-h-[72px] rounded-[3px] bg-[#3a3a3a] text-lead"
          >
            Trouble <kbd className="figure text-small opacity-60">3</kbd>
          </button>
        </div>
        <SendNote />
      </div>
    </main>
  );
}

function Countdown({ ready, opensIn, closesIn }: { ready: boolean; opensIn: number; closesIn: number | null }) {
  const counts = !ready || (closesIn !== null && closesIn < 24 * 60);
  const word = !ready ? 'may start in' : closesIn !== null && closesIn < 24 * 60 ? 'now, and it shuts in' : 'may be done now';
  return (
    <div className="mt-5">
      <p className="text-lead text-[#d0d0d0]">{word}</p>
      {counts && (
        <p className="font-mono text-[84px] leading-none font-[650] tracking-tight text-white sm:text-[104px]" role="timer" aria-live="off">
          {countdownText(ready ? (closesIn ?? 0) : opensIn)}
        </p>
      )}
    </div>
  );
}

function sooner(one: number | null, other: number | null): number | null {
  if (one === null || other === null) return one ?? other;
  return Math.min(one, other);
}

/** 4:12 under an hour, 2 h 05 under two days, 6 d 19 h above. */
function countdownText(minutes: number): string {
  const seconds = Math.max(0, Math.round(minutes * 60));
  if (seconds < 3600) return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
  const hours = Math.floor(seconds / 3600);
  if (hours >= 48) return `${Math.floor(hours / 24)} d ${hours % 24} h`;
  return `${hours} h ${String(Math.floor((seconds % 3600) / 60)).padStart(2, '0')}`;
}

function Choices({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <fieldset className="mt-3">
      <legend className="mb-2 text-lead">{label}</legend>
      <div className="grid grid-cols-3 gap-2">{children}</div>
    </fieldset>
  );
}

function Choice({ children, hint, onClick }: { children: string; hint?: string; onClick: () => void }) {
  return (
    <button type="button" onClick={onClick} className="min-h-14 rounded-[3px] border border-[#8a8a8a] px-2 py-1 text-[16px] font-[650]">
      {children}
      {hint && <span className="block text-small font-[400] text-[#c4c4c4]">{hint}</span>}
    </button>
  );
}

function BenchDone({ justDone, onClose }: { justDone: JustDone | null; onClose: () => void }) {
  const { workshop } = usePlan();
  const holds = useAirHolds();
  return (
    <main className="flex min-h-dvh flex-col items-center justify-center gap-6 bg-[#161616] px-6 text-center text-[#f4f4f4]">
      <h1 className="!text-[40px] !text-white">That is all for now</h1>
      <p className="text-lead">Clear the nozzles, lids on, tags hung. What dries, dries without you.</p>
      {holds.map(({ pieceId, name, notes }) => (
        <p key={pieceId}>
          {name}: {notes.join(' ')}
        </p>
      ))}
      {justDone && <AfterDone just={justDone} onClose={onClose} placeId={workshop.dryPlaceId} />}
      <Link to="/" className="rounded-[3px] bg-white px-8 py-4 text-lead font-[650] text-[#151515]">
        Back to Tonight
      </Link>
      <SendNote />
    </main>
  );
}
