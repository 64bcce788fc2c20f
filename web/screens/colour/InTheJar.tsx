import { ASTRAY, type Astray, type Correction, type Cup, readColour, readingOf } from '#core/colour/index';
import type { ShelfCan } from '#core/buying/index';
import type { EventOf, Lab, Product } from '#core/facts/index';
import { type BenchPaint, bottleTinted, inTheJar, type Poured, putRight, wholeBottle } from '#core/mixing/index';
import { listed, toIso } from '#core/units/index';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { logEvents } from '../../app/writing/logging.ts';
import { newId } from '../../app/writing/newId.ts';
import { nowMinute } from '../../app/plan/PlanContext.tsx';
import { useSaving } from '../../app/writing/useFacts.ts';
import { useOneAtATime } from '../../app/writing/useOneAtATime.ts';
import { useWords } from '../../app/useWords.ts';
import { Chips } from '../../views/fields/Chips.tsx';
import { SmallField, SmallForm } from '../../views/fields/SmallField.tsx';
import { useCorrection } from './useMixWorker.ts';

const LOST: Record<EventOf<'spoiled'>['why'], string> = {
  curdled: 'it curdled',
  'wrong-colour': 'the wrong colour',
  dried: 'it dried up',
  spilt: 'it was spilt',
};

type Props = {
  readonly product: Product;
  readonly jar: ShelfCan;
  readonly paints: readonly BenchPaint[];
  readonly target: Lab;
  readonly tolerance: number;
};

/** A mix that stands there: how it looks, the drops that put it right, the whole bottle like it, and its end. */
export function InTheJar(props: Props) {
  const { product, jar, paints } = props;
  const words = useWords();
  const nameOf = (id: string) => paints.find((own) => own.id === id)?.product.name ?? 'a paint not here';
  const held = inTheJar(product, jar.leftMl);
  return (
    <section className="mt-6 border-t border-hairline pt-4" aria-label="In the jar">
      <h3 className="font-[650] text-ink">
        In the jar: <span className="figure">{words.volume(Math.round(jar.leftMl * 10) / 10)}</span>
      </h3>
      <p className="second">
        About {listed(held.map(({ id, drops }) => `${words.poured(Math.max(1, Math.round(drops)))} of ${nameOf(id)}`))}. How does it look
        beside the colour wanted?
      </p>
      <Looks {...props} />
      <Whole {...props} />
      <Lost product={product} jar={jar} />
    </section>
  );
}

/** How it looks, in words or as a reading, and what brings it back. */
function Looks({ product, jar, paints, target, tolerance }: Props) {
  const { save } = useSaving();
  const { busy, once } = useOneAtATime();
  const [look, setLook] = useState<Astray | Lab>();
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState('');
  const cup = useMemo<Cup | null>(() => {
    if (!look) return null;
    const portions = inTheJar(product, jar.leftMl).map(({ id, drops }) => ({ id, drops: Math.max(1, Math.round(drops)) }));
    const looks = typeof look === 'string' ? readingOf(product.lab, look) : look;
    return { portions, paints, looks, target, tolerance };
  }, [look, product, jar.leftMl, paints, target, tolerance]);
  const correction = useCorrection(cup);
  const pour = async ({ product: mended, event }: Poured) => {
    if (!(await save('products', mended))) return;
    await logEvents([event]);
    setLook(undefined);
    toast('Poured in. Stir it, let a dab dry and look once more.');
  };
  return (
    <>
      <div className="mt-2">
        <Chips
          legend="The cup looks"
          hideLegend
          options={ASTRAY.map((value) => ({ value, label: value }))}
          value={typeof look === 'string' ? look : undefined}
          onChange={setLook}
        />
      </div>
      <SmallForm
        label="A reading of the cup"
        problem={problem}
        onSend={() => {
          const answer = readColour(typed);
          setProblem(answer.ok ? '' : answer.mend);
          if (answer.ok) setLook(answer.lab);
        }}
      >
        <SmallField label="or its reading, dried, hex or L a b" width="!w-56 font-mono" value={typed} onText={setTyped} />
        <button type="submit" className="act !min-h-10">
          So it looks
        </button>
      </SmallForm>
      {correction && (
        <Way
          correction={correction}
          paints={paints}
          busy={busy}
          onPour={() => once(() => pour(putRight(product, jar, correction, toIso(nowMinute()), newId())))}
        />
      )}
    </>
  );
}

function Way({
  correction: { additions, within, startAgain, ml, deltaE },
  paints,
  busy,
  onPour,
}: {
  correction: Correction;
  paints: readonly BenchPaint[];
  busy: boolean;
  onPour: () => void;
}) {
  const words = useWords();
  const nameOf = (id: string) => paints.find((own) => own.id === id)?.product.name ?? 'paint';
  if (additions.length === 0 && within)
    return <p className="mt-3">That is still near enough: let a dab dry before anything more goes in.</p>;
  if (additions.length === 0) return <p className="mt-3">Nothing on this shelf brings it back: start again with a fresh cup.</p>;
  const pour = listed(additions.map(({ id, drops }) => `${words.poured(drops)} of ${nameOf(id)}`));
  return (
    <div className="mt-3" role="status">
      <p className="font-[650]">{startAgain ? 'Start again' : `${pour}, half a minute of stirring`}</p>
      <p className="second text-small">
        {startAgain
          ? `It would take ${pour} and make ${words.volume(ml)}${within ? '' : `, and still be ΔE ${deltaE.toFixed(1)} off`}.`
          : `brings it within ΔE ${Math.max(deltaE, 0.1).toFixed(1)}; the jar then holds ${words.volume(ml)}.`}
      </p>
      <button type="button" className="act mt-2 !min-h-10" disabled={busy} onClick={onPour}>
        {startAgain ? 'Pour it in all the same' : 'Poured in'}
      </button>
    </div>
  );
}

/** A proven cup made large: the bottle that remains is tinted like it, then the cup goes back into it. */
function Whole({ product, jar, paints }: Props) {
  const words = useWords();
  const { busy, once } = useOneAtATime();
  const bottle = wholeBottle(product, paints);
  if (!bottle || bottle.base.ml < jar.leftMl / 2) return null;
  const { base, tints } = bottle;
  const short = tints.find(({ enough }) => !enough);
  const recipe = listed(tints.map(({ paint, ml }) => `${words.volume(ml)} of ${paint.product.name}`));
  return (
    <details className="mt-4">
      <summary className="min-h-9 cursor-pointer">The whole bottle like it</summary>
      <p className="mt-1">
        Tint the {words.volume(base.ml)} of {base.product.name} that remain: {recipe}; then the cup goes back into it.
      </p>
      {short ? (
        <p className="second">
          {short.paint.product.name} has only {words.volume(short.paint.ml)}: it is not enough for the bottle.
        </p>
      ) : (
        <button
          type="button"
          className="act mt-2 !min-h-10"
          disabled={busy}
          onClick={() =>
            once(async () => {
              await logEvents([bottleTinted(product, jar, bottle, toIso(nowMinute()), newId())]);
              toast('Tinted. The jar of this mix now holds it all.');
            })
          }
        >
          The bottle is tinted
        </button>
      )}
    </details>
  );
}

function Lost({ product, jar }: { product: Product; jar: ShelfCan }) {
  const lose = (why: EventOf<'spoiled'>['why']) => {
    const pieceId = product.mix?.forPieceId;
    void logEvents([{ id: newId(), at: toIso(nowMinute()), kind: 'spoiled', canId: jar.id, why, ...(pieceId ? { pieceId } : {}) }]);
    toast('Thrown away: what it had cost is counted to the piece it was for.');
  };
  return (
    <details className="mt-2">
      <summary className="min-h-9 cursor-pointer">It is lost</summary>
      <span className="mt-1 flex flex-wrap gap-2">
        {Object.entries(LOST).map(([why, text]) => (
          <button key={why} type="button" className="chip !min-h-10" onClick={() => lose(why as EventOf<'spoiled'>['why'])}>
            {text}
          </button>
        ))}
      </span>
    </details>
  );
}
