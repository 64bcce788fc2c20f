import { SURVEY_STOPS, type SurveyStop } from '#core/facts/index';
import { SURVEY_STOP_RULES } from '#core/safety/index';
import { useState } from 'react';
import type { AnswerProps } from '../answerProps.ts';

/** Hazards by the part they are met on; each says what it does to the plan. */
export function Stops({ piece, onAnswer }: AnswerProps) {
  const [found, setFound] = useState<Partial<Record<SurveyStop, string>>>(() =>
    Object.fromEntries(piece.parts.flatMap((part) => (part.stops ?? []).map((stop) => [stop, part.id]))),
  );
  const parts = piece.parts.filter((part) => part.gone !== true);
  const any = Object.values(found).some(Boolean);
  const done = () => {
    const changed = piece.parts.map((part) => ({ ...part, stops: SURVEY_STOPS.filter((stop) => found[stop] === part.id) }));
    onAnswer({ ...piece, parts: changed }, any ? 'Noted: what it forbids is not planned.' : 'None of these.');
  };
  return (
    <div className="mt-3">
      <ul className="grid gap-2 sm:grid-cols-2 xl:grid-cols-3">
        {SURVEY_STOPS.map((stop) => {
          const rule = SURVEY_STOP_RULES[stop];
          const on = found[stop] !== undefined;
          return (
            <li key={stop}>
              <button
                type="button"
                className="chip !min-h-14 w-full !justify-start py-1 text-left"
                aria-pressed={on}
                onClick={() => setFound({ ...found, [stop]: on ? undefined : parts[0].id })}
              >
                <span className="leading-snug">
                  {rule.name}
                  <span className="second block text-small font-[400]">{rule.sign}</span>
                </span>
              </button>
              {on && (
                <div className="border-l-4 border-ink py-1 pl-3 text-small">
                  {parts.length > 1 && (
                    <select
                      className="field !min-h-10"
                      aria-label={`${rule.name}, on which part`}
                      value={found[stop]}
                      onChange={(event) => setFound({ ...found, [stop]: event.target.value })}
                    >
                      {parts.map((part) => (
                        <option key={part.id} value={part.id}>
                          {part.name}
                        </option>
                      ))}
                    </select>
                  )}
                  {rule.caution}
                </div>
              )}
            </li>
          );
        })}
      </ul>
      <button type="button" className="act mt-3" data-first="true" onClick={done}>
        {any ? 'That is all of it' : 'None of these'}
      </button>
    </div>
  );
}
