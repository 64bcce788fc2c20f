import type { Piece } from '#core/facts/index';
import type { PieceView } from '#core/plan/index';
import { listed, sentences } from '#core/units/index';
import { useWords } from '../app/useWords.ts';
import { Why } from './Why.tsx';

/** Where a piece stands, the same everywhere: its two dates, or what holds it up. */
export function PieceStatus({ piece, view }: { piece: Piece; view: PieceView }) {
  const words = useWords();
  if (piece.finished) return <>Finished{view.missing.length > 0 && <strong>, still missing: {listed(view.missing)}</strong>}</>;
  if (piece.held)
    return (
      <Why title="Laid aside" text={sentences(view.noDateWhy ?? 'Nothing is left to do.')}>
        laid aside
      </Why>
    );
  if (view.undecided)
    return (
      <Why title="Not decided" text={view.undecided}>
        {view.likely === null ? 'something is not decided' : 'dates, but not all is decided'}
      </Why>
    );
  if (view.likely === null && view.planned !== null && !view.noDateWhy) return <>planned {words.day(view.planned)}</>;
  if (view.likely === null) {
    return (
      <Why title={view.stopped ? 'Stopped' : 'No date yet'} text={sentences(view.noDateWhy ?? 'Nothing is left to do.')}>
        {view.stopped ? 'stopped' : view.noDateWhy ? 'no date yet' : 'nothing left to do'}
      </Why>
    );
  }
  return (
    <Why
      title="Two dates"
      text={`Likely is the middle of 500 runs of this plan with slower films and one failed coat in twelve; nine in ten keep the safe one. Planned without any of that: ${words.moment(view.planned ?? view.likely)}.`}
    >
      likely {words.day(view.likely)}, safe {words.day(view.safe ?? view.likely)}
    </Why>
  );
}
