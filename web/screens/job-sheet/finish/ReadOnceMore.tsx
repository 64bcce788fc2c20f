import type { Piece, SenseRule } from '#core/facts/index';
import { counted } from '#core/units/index';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** What each rule is about, as one counts it. */
const KIND_OF: Readonly<Record<SenseRule, 'ruins the part' | 'done twice' | 'looks poor'>> = {
  'record-first': 'done twice',
  'film-bears': 'ruins the part',
  'ruins-fitted': 'ruins the part',
  'whole-waits': 'done twice',
  'coat-order': 'looks poor',
  'unknown-material': 'ruins the part',
  'harms-material': 'ruins the part',
  watched: 'ruins the part',
  'lasting-cover': 'looks poor',
  'paper-fits': 'ruins the part',
  'one-go': 'looks poor',
  'extras-in-window': 'looks poor',
  'no-date': 'done twice',
  'never-scuffed': 'looks poor',
  'done-again': 'done twice',
  'decal-ground': 'looks poor',
  'polished-through': 'ruins the part',
  gone: 'done twice',
  'sealed-wood': 'looks poor',
  'bare-steel': 'ruins the part',
  air: 'looks poor',
};
const KINDS = ['ruins the part', 'done twice', 'looks poor'] as const;

/** The whole plan of the piece read as a practitioner would: how much there is to say, and of what kind. */
export function ReadOnceMore({ piece }: { piece: Piece }) {
  const { findings } = usePlan();
  const own = findings.filter(({ pieceId }) => pieceId === piece.id);
  const open = own.filter(({ known }) => !known);
  const known = own.length - open.length;
  return (
    <FoldingSheet title="The whole plan, read once more">
      <p className="mt-2">
        The whole plan was read as a painter would.{' '}
        {open.length === 0 ? 'Nothing in it would spoil the piece.' : <strong>{counted(open.length, 'thing')} to think about.</strong>}
      </p>
      {own.length > 0 && (
        <dl className="mt-3">
          {KINDS.map((kind) => (
            <div key={kind} className="flex justify-between border-b border-hairline py-2">
              <dt>{kind}</dt>
              <dd className="figure">{open.filter(({ rule }) => KIND_OF[rule] === kind).length}</dd>
            </div>
          ))}
          <div className="flex justify-between py-2">
            <dt className="second">
              you said <em>I know</em>
            </dt>
            <dd className="figure">{known}</dd>
          </div>
        </dl>
      )}
    </FoldingSheet>
  );
}
