import type { Piece } from '#core/facts/index';
import { asSentence } from '#core/units/index';
import { type Finding, mendedPiece, withKnown, withoutKnown } from '#core/verify/index';
import { useSaving } from '../app/writing/useFacts.ts';

/** One thing a practitioner would call out, at the step it stands at: why, the nearest mend in one press, or “I know”. */
export function FindingCard({ finding, piece, title }: { finding: Finding; piece: Piece; title?: string }) {
  const { save } = useSaving();
  const { mend, known } = finding;
  const change = mend?.change;
  if (known)
    return (
      <p className="second my-1 text-small" role="note">
        You said <em>I know</em>: {finding.because}{' '}
        <button
          type="button"
          className="underline underline-offset-4"
          onClick={() => void save('pieces', withoutKnown(piece, known), 'It is said again.')}
        >
          take it back
        </button>
      </p>
    );
  return (
    <section className="my-3 border-2 border-ink bg-sheet p-4 text-ink" aria-label="Read once more">
      {title && <h4 className="font-[650]">{title}</h4>}
      <p className="mt-1">{finding.because}</p>
      {mend && !change && <p className="second mt-1">{mend.text}</p>}
      <div className="mt-3 flex flex-wrap gap-2">
        {mend && change && (
          <button
            type="button"
            className="act !min-h-11"
            data-first="true"
            onClick={() => void save('pieces', mendedPiece(piece, change), asSentence(mend.text.replace(/\.$/, '')))}
          >
            {mend.text.replace(/\.$/, '')}
          </button>
        )}
        <button
          type="button"
          className="act !min-h-11"
          onClick={() => void save('pieces', withKnown(piece, finding), 'It is quiet, and stays marked.')}
        >
          I know
        </button>
      </div>
    </section>
  );
}
