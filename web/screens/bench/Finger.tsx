import type { EventOf } from '#core/facts/index';
import type { PlannedStep } from '#core/plan/index';
import { toIso } from '#core/units/index';
import { logEvents } from '../../app/writing/logging.ts';
import { newId } from '../../app/writing/newId.ts';

type Stage = EventOf<'dryness'>['stage'];

/** What tells each stage, and the two things it can show. */
const TESTS: Record<Stage, { readonly dry: string; readonly tacky: string }> = {
  coat: { dry: 'already dry', tacky: 'still tacky' },
  tape: { dry: 'dry enough for tape', tacky: 'still tacky' },
  handle: { dry: 'no thumb print', tacky: 'a thumb print stays' },
  fit: { dry: 'no nail print', tacky: 'a nail print stays' },
  flat: { dry: 'it powders', tacky: 'the paper clogs' },
};

/** One tap says what a finger, a nail or the paper found: it counts more than the table, and teaches the clock. */
export function Finger({ step, now, onSaid }: { step: PlannedStep; now: number; onSaid: (text: string) => void }) {
  const { felt: stage } = step;
  if (!stage) return null;
  const say = (seen: 'dry' | 'tacky') => {
    const events = step.on.flatMap((on) =>
      on.zoneIds.map((zoneId) => ({
        id: newId(),
        at: toIso(now),
        kind: 'dryness' as const,
        pieceId: step.pieceId,
        partId: on.partId,
        zoneId,
        stage,
        seen,
      })),
    );
    onSaid(seen === 'dry' ? 'Good: your finger counts more than the table.' : 'It gets more time, and the next one too.');
    void logEvents(events);
  };
  return (
    <div className="mt-4 grid grid-cols-2 gap-3">
      {(['dry', 'tacky'] as const).map((seen) => (
        <button key={seen} type="button" className="min-h-14 rounded-[3px] border border-[#8a8a8a] text-lead" onClick={() => say(seen)}>
          {TESTS[stage][seen]}
        </button>
      ))}
    </div>
  );
}
