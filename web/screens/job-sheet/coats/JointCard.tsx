import { counted } from '#core/units/index';
import { type Layer, type Part, type Piece, materialText } from '#core/facts/index';
import type { GroundOfPart, JointOfPart, LayerView, Mended } from '#core/plan/index';
import { useEffect, useState } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { sentence } from '../../../views/words/sentence.ts';
import { Why } from '../../../views/Why.tsx';
import { planner } from '../../../workers/planner.ts';
import { Overshot } from './Overshot.tsx';

const STATES = {
  wet: 'on a wet film',
  fresh: 'on a fresh film',
  shut: 'on a film whose window has shut',
  dry: 'on a dry film',
  cured: 'on a cured film',
} as const;

/** One joint: its verdict, the rule with its numbers, and the mends that really pass, each with its days and money. */
export function JointCard({
  piece,
  part,
  ground,
  entry,
  layers,
  onLayers,
}: {
  piece: Piece;
  part: Part;
  ground: GroundOfPart;
  entry: JointOfPart;
  layers: readonly LayerView[];
  onLayers: (layers: Layer[], said: string) => void;
}) {
  const { joint, laid, layerId, belowLayerId } = entry;
  const nameOf = (id: string) => layers.find((layer) => layer.layerId === id)?.name ?? materialText(part.material);
  const below = belowLayerId ? nameOf(belowLayerId) : ground.name;
  return (
    <section className="sheet !p-4 border-t-4 !border-t-ink" aria-label="Joint" aria-live="polite">
      <h2>
        {sentence(nameOf(layerId))} on {below}: {laid ? 'laid' : joint.verdict}
      </h2>
      <p className="mt-1">{joint.answer.because}</p>
      <p className="second mt-1 text-small">
        Rule {joint.answer.rule} ·{' '}
        <Why
          title="How it was judged"
          text={
            <ul className="space-y-1">
              {joint.answer.findings.map((finding) => (
                <li key={finding.rule}>
                  <strong>{finding.rule}</strong> {finding.verdict}: {finding.because}
                </li>
              ))}
              <li className="second text-small">Rules and their tables: docs/model.md, “Joints”.</li>
            </ul>
          }
          source={joint.answer.source}
        >
          why?
        </Why>
      </p>
      {entry.now && (
        <p className="mt-2 border-t border-hairline pt-2">
          If it went on now, {STATES[entry.now.state]}: <strong className="text-ink">{entry.now.answer.verdict}</strong>.{' '}
          {entry.now.answer.verdict !== joint.verdict && entry.now.answer.because}
        </p>
      )}
      <Overshot piece={piece} part={part} entry={entry} layers={layers} />
      {!laid && !entry.overshot && joint.verdict !== 'sits' && <Mends piece={piece} entry={entry} layers={layers} onLayers={onLayers} />}
    </section>
  );
}

/** Changed stacks that pass, planned to the end before they are offered. */
function Mends({
  piece,
  entry,
  layers,
  onLayers,
}: {
  piece: Piece;
  entry: JointOfPart;
  layers: readonly LayerView[];
  onLayers: (layers: Layer[], said: string) => void;
}) {
  const { facts, plan } = usePlan();
  const [mends, setMends] = useState<Mended[] | null>(null);
  const lab = layers.find((layer) => layer.layerId === entry.layerId)?.lab;
  useEffect(() => {
    if (!lab) return;
    let current = true;
    const { partId, layerId, joint } = entry;
    planner.mends(facts, plan.now, piece, { partId, layerId, joint }, lab).then((found) => current && setMends(found));
    return () => {
      current = false;
    };
  }, [piece, entry, lab, facts, plan.now]);
  if (!mends) return <p className="second mt-3">Planning the ways to mend it …</p>;
  if (mends.length === 0) return <p className="second mt-3">No change of the stack mends it: another paint, or a board of your own.</p>;
  return (
    <>
      <h3 className="mt-3 border-b border-hairline pb-1 font-[650] text-ink">Ways to mend it</h3>
      <ul>
        {mends.map((mend) => (
          <li key={mend.text} className="flex items-center justify-between gap-3 border-b border-hairline py-1.5">
            <span className="leading-snug">
              <span className="font-[650] text-ink">{sentence(mend.text)}</span>
              <span className="second block text-small">
                then it is: {mend.verdict}; <Costs mend={mend} />
              </span>
            </span>
            <button
              type="button"
              className="chip"
              aria-label={`Take: ${mend.text}`}
              onClick={() => onLayers([...mend.layers], 'Taken. The plan has moved.')}
            >
              Take
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

/** "2 days later, 3.20 EUR more" */
function Costs({ mend }: { mend: Mended }) {
  const words = useWords();
  const days =
    mend.days === null
      ? mend.way.likely === null
        ? 'no date yet'
        : `likely ${words.day(mend.way.likely)}`
      : mend.days === 0
        ? 'the same day'
        : `${counted(Math.abs(mend.days), 'day')} ${mend.days < 0 ? 'sooner' : 'later'}`;
  const money = mend.money === 0 ? 'for the same money' : `${words.money(Math.abs(mend.money), true)} ${mend.money < 0 ? 'less' : 'more'}`;
  return (
    <>
      {days}, {money}
    </>
  );
}
