import { isInSprayCan } from '#core/coats/index';
import type { Recipe } from '#core/colour/index';
import { plain, type Product } from '#core/facts/index';
import { cupFor, flattenedBy, lookOf, mixedPaint, type Range } from '#core/mixing/index';
import type { ColourUse } from '#core/plan/index';
import { capital, counted, listed, parseNumber, parseQuantity, toIso } from '#core/units/index';
import { useState } from 'react';
import { logEvents } from '../../app/writing/logging.ts';
import { newId } from '../../app/writing/newId.ts';
import { nowMinute } from '../../app/plan/PlanContext.tsx';
import { useSaving } from '../../app/writing/useFacts.ts';
import { useOneAtATime } from '../../app/writing/useOneAtATime.ts';
import { useWords } from '../../app/useWords.ts';
import { Chips } from '../../views/fields/Chips.tsx';
import { SmallField, SmallForm } from '../../views/fields/SmallField.tsx';
import { Additions, type Measure } from './Additions.tsx';
import type { Target } from './target.ts';

const USUAL_CUP_ML = 4;
const MOST_CUP_ML = 500;

/** What is mixed again is as much as it was, unless plans take another amount, mL. */
function mixedMl(again: Product | undefined): number | undefined {
  const ml = again?.mix?.parts.reduce((sum, part) => sum + part.ml, 0);
  return ml === undefined ? undefined : Math.round(ml * 100) / 100;
}

type Props = {
  readonly target: Target;
  readonly range: Range;
  readonly recipe: Recipe;
  /** The mix whose own recipe this is. */
  readonly again: Product | undefined;
  /** What is planned in this colour. */
  readonly use: ColourUse;
  readonly onMixed: (target: Target) => void;
  readonly children: React.ReactNode;
};

/** A recipe as a cup: what goes in and in which order, what runs short, and the jar that is kept of it. */
export function TheRecipe({ target, range, recipe, again, use, onMixed, children }: Props) {
  const words = useWords();
  const { save } = useSaving();
  const [typedMl, setTypedMl] = useState(String(use.ml > 0 ? Math.ceil(use.withSpareMl) : (mixedMl(again) ?? USUAL_CUP_ML)));
  const [name, setName] = useState(capital(target.name).slice(0, 60));
  const [measure, setMeasure] = useState<Measure>('drops');
  const [otherwise, setOtherwise] = useState<Readonly<Record<string, string>> | null>(null);
  const [problem, setProblem] = useState('');
  const { busy, once } = useOneAtATime();
  const cupSize = parseQuantity(typedMl, 'volume', 'mL');
  const ml = cupSize.ok ? cupSize.value : 0;
  const cup = cupFor(recipe, ml > 0 ? ml : USUAL_CUP_ML, range.paints);
  const flattened = flattenedBy(cup.portions, range.paints);
  const cans = range.paints.flatMap(({ id, product, sheet }) =>
    isInSprayCan(product, sheet) && cup.portions.some((portion) => portion.id === id) ? [product.name] : [],
  );
  const mix = async () => {
    const poured = otherwise ? pouredIn(otherwise) : cup.portions;
    const refused = poured
      ? refusedBecause({ ml, name, short: otherwise ? null : shortOf(cup, words.volume) })
      : 'Drops are whole, one or more; leave empty what did not go in.';
    if (!cupSize.ok) return setProblem(`The cup: ${cupSize.mend}`);
    if (refused || !poured || poured.length === 0) return setProblem(refused ?? 'Type the drops that went in.');
    const lab = otherwise ? lookOf(poured, range.paints) : recipe.lab;
    const made = mixedPaint(
      {
        name: name.trim(),
        poured,
        lab,
        paints: range.paints,
        ...(target.pieceId ? { pieceId: target.pieceId } : {}),
        ...(again && !otherwise ? { again } : {}),
      },
      toIso(nowMinute()),
      newId,
    );
    if (!made) return;
    setProblem('');
    const kept = made.product === again || (await save('products', made.product));
    if (kept) await logEvents([made.event]);
    if (kept) onMixed({ ...target, name: made.product.name, mixId: made.product.id });
  };
  return (
    <>
      <div className="mt-5 flex flex-wrap items-center justify-between gap-3">
        <h3 className="font-[650] text-ink">{again ? 'As it was mixed, the light first' : 'Into the cup, the light first'}</h3>
        <Chips
          legend="Measured"
          hideLegend
          options={[
            { value: 'drops', label: 'in drops' },
            { value: 'grams', label: 'by weight' },
          ]}
          value={measure}
          onChange={setMeasure}
        />
      </div>
      {use.ml > 0 && (
        <p className="second">
          Plans take {words.volume(use.ml)} of this colour
          {use.pieces.length > 1 ? `, on ${counted(use.pieces.length, 'piece')}` : ''}: one mix for all keeps them alike,{' '}
          {words.volume(use.withSpareMl)} with a fifth over.
        </p>
      )}
      {!again && cup.portions[0].drops > recipe.portions[0].drops && (
        <p className="second">
          A small trial first: {listed(recipe.portions.map(({ id, drops }) => `${drops} ${nameIn(range, id)}`))}. Dry, compared, then the
          cup in the same proportion.
        </p>
      )}
      <Additions portions={cup.portions} paints={range.paints} target={target.lab} measure={measure} />
      {cup.scarcest && (
        <p className="mt-3 flex justify-between gap-4 border-y border-hairline py-2">
          <span>
            <span className="font-[650]">Scarcest</span>{' '}
            <span className="second">
              {cup.scarcest.paint.product.name}: {words.volume(cup.scarcest.needMl)} of {words.volume(cup.scarcest.paint.ml)}
            </span>
          </span>
          <span className="figure">
            {cup.enough
              ? `enough for ${counted(Math.floor(cup.scarcest.cups), 'such cup')}`
              : `not enough: ${words.volume(cup.ml * cup.scarcest.cups)} at the most`}
          </span>
        </p>
      )}
      {flattened && (
        <p className="mt-2 border-l-4 border-hairline pl-3">
          {flattened.flat.product.name} is a flat paint: it takes the mix from about {Math.round(flattened.from)} to{' '}
          {Math.round(flattened.to)} gloss units. Try it on a card; a gloss clear brings it back.
        </p>
      )}
      <Foreign range={range} ids={cup.portions.map(({ id }) => id)} />
      {cans.length > 0 && (
        <p className="second mt-2 text-small">
          {listed(cans)} {cans.length === 1 ? 'comes in a spray can and is' : 'come in spray cans and are'} decanted first: outdoors, never
          by piercing, and left to gas off overnight under a loose lid. The mix is then airbrushed or brushed.
        </p>
      )}
      <SmallForm label="Mix it" problem={problem} onSend={() => once(mix)}>
        {otherwise ? (
          cup.portions.map(({ id, drops }) => (
            <SmallField
              key={id}
              label={`drops of ${nameIn(range, id)}`}
              width="!w-28 font-mono"
              inputMode="numeric"
              placeholder={String(drops)}
              value={otherwise[id] ?? ''}
              onText={(text) => setOtherwise({ ...otherwise, [id]: text })}
            />
          ))
        ) : (
          <SmallField label="cup, mL" width="!w-24 font-mono" inputMode="decimal" value={typedMl} onText={setTypedMl} />
        )}
        {!again && <SmallField label="called" width="!w-64" value={name} onText={setName} />}
        <button type="submit" className="act !bg-ink !text-page" disabled={busy}>
          {otherwise ? 'So it was poured' : 'Mix it'}
        </button>
        <button type="button" className="act" onClick={() => setOtherwise(otherwise ? null : {})}>
          {otherwise ? 'As the recipe says' : 'I poured something else'}
        </button>
        {children}
      </SmallForm>
    </>
  );
}

/** A paint of another family that this range bears: never without a cup test. */
function Foreign({ range, ids }: { range: Range; ids: readonly string[] }) {
  const foreign = range.paints.filter((paint) => ids.includes(paint.id) && paint.sheet.family !== range.family);
  if (foreign.length === 0) return null;
  return (
    <p className="mt-2 border-l-4 border-ink pl-3">
      <span className="font-[650]">Care:</span> {listed(foreign.map((paint) => `${paint.product.name} is ${plain(paint.sheet.family)}`))}.
      Stir a few drops of all in a cup and let it stand ten minutes: strings or lumps, and none of it goes together.
    </p>
  );
}

/** Drops as they were typed; null where one of them is no count. */
function pouredIn(typed: Readonly<Record<string, string>>) {
  const poured = Object.entries(typed).flatMap(([id, text]) => (text.trim() ? [{ id, drops: parseNumber(text) ?? Number.NaN }] : []));
  return poured.every(({ drops }) => Number.isInteger(drops) && drops >= 1) ? poured : null;
}

function refusedBecause({ ml, name, short }: { ml: number; name: string; short: string | null }): string | null {
  if (!(ml > 0)) return 'A cup has a size: type it in mL, such as 4.';
  if (ml > MOST_CUP_ML) return 'More than half a litre is no cup: tint the tin by weight instead, under Your paints.';
  if (!name.trim()) return 'Give the mix a name: it stands on the jar.';
  return short;
}

function shortOf({ enough, scarcest, ml }: ReturnType<typeof cupFor>, volume: (ml: number) => string): string | null {
  if (enough || !scarcest) return null;
  return `${scarcest.paint.product.name} has ${volume(scarcest.paint.ml)}, the cup takes ${volume(scarcest.needMl)}: at most ${volume(ml * scarcest.cups)} of this mix, or another way.`;
}

function nameIn(range: Range, id: string): string {
  return range.paints.find((paint) => paint.id === id)?.product.name ?? 'paint';
}
