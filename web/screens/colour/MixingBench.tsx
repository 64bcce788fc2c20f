import { besideWords, likeness, LIKENESS_WORDS, type Recipe, type RecipeWish } from '#core/colour/index';
import { plain, type Product } from '#core/facts/index';
import { cupFor, keptRecipe, likeliestRange, mixedPaint, type Nearest, nearestPaints, type Range } from '#core/mixing/index';
import { capital, counted, listed, parseNumber, toIso } from '#core/units/index';
import { useMemo, useState } from 'react';
import { logEvents } from '../../app/logging.ts';
import { newId } from '../../app/newId.ts';
import { nowMinute, usePlan } from '../../app/PlanContext.tsx';
import { useSaving } from '../../app/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { Chips } from '../../views/Chips.tsx';
import { SmallCheck, SmallField, SmallForm } from '../../views/SmallField.tsx';
import { Additions } from './Additions.tsx';
import { type Field, Fields } from './Fields.tsx';
import { TooFar } from './TooFar.tsx';
import type { Target } from './target.ts';
import { useRecipes } from './useMixWorker.ts';

const MOST_PAINTS = 3;
const DROPS = 30;
const USUAL_CUP_ML = 4;
/** Further off than this no cup is worth its paint, ΔE. */
const TOO_FAR = 10;

/** From the colour wanted to a cup of it. */
export function MixingBench({ target, ranges, onMixed }: { target: Target; ranges: readonly Range[]; onMixed: (target: Target) => void }) {
  const { facts } = usePlan();
  const again = facts.products.find(({ id }) => id === target.mixId);
  const ownFamily = again && facts.sheets.find(({ id }) => id === again.sheetId)?.family;
  const [family, setFamily] = useState(() => ownFamily ?? likeliestRange(ranges, target.lab)?.family);
  const [way, setWay] = useState(0);
  const [mixesToo, setMixesToo] = useState(false);
  const chosen = ranges.find((own) => own.family === family) ?? ranges[0];
  const range = useMemo(
    () => chosen && { ...chosen, paints: chosen.paints.filter(({ id, product }) => id !== target.mixId && (mixesToo || !product.mix)) },
    [chosen, target.mixId, mixesToo],
  );
  const wish = useMemo<RecipeWish | null>(
    () => (range && range.paints.length > 0 ? { target: target.lab, paints: range.paints, maxPaints: MOST_PAINTS, drops: DROPS } : null),
    [range, target.lab],
  );
  const found = useRecipes(wish);
  const kept = again && range?.family === ownFamily && chosen ? keptRecipe(again, target.lab, chosen.paints) : null;
  const recipes = kept ? [kept, ...(found ?? [])] : found;
  const recipe = recipes?.[way % recipes.length];
  const nearest = nearestPaints(facts, target.lab, 2).find(({ product }) => product.id !== target.mixId);
  return (
    <>
      <Fields fields={fieldsOf(target, recipe, nearest)} />
      {ranges.length > 1 && (
        <div className="mt-3">
          <Chips
            legend="Mixed from"
            hideLegend
            options={ranges.map((own) => ({ value: own.family, label: `${own.name}, ${own.paints.length}` }))}
            value={range?.family}
            onChange={(value) => {
              setFamily(value);
              setWay(0);
            }}
          />
        </div>
      )}
      {chosen?.paints.some(({ product }) => product.mix) && (
        <SmallCheck label="earlier mixes may go into it" checked={mixesToo} onChange={setMixesToo} />
      )}
      {!range && (
        <p className="mt-4">
          There is no opaque colour on the shelf to mix from. Enter what you have under Paint shelf and the recipe stands here.
        </p>
      )}
      {range && !recipe && (
        <p className="second mt-4">
          {wish && !found
            ? 'Looking for the nearest recipe …'
            : 'Nothing is left in this range but earlier mixes: let them go into it, or take another range.'}
        </p>
      )}
      {range && recipe && recipe.deltaE > TOO_FAR && (
        <p className="mt-4 font-[650]">
          Nothing in {range.name} mixes to it: the nearest is ΔE {recipe.deltaE.toFixed(0)} off.{' '}
          {ranges.length > 1 ? 'Try another range, or take' : 'Take'} a lighter or stronger tint onto the shelf.
        </p>
      )}
      {range && recipe && recipe.deltaE <= TOO_FAR && recipe.portions.length === 1 && (
        <p className="mt-4">
          <span className="font-[650]">No mix in {range.name} comes nearer than this paint as it is.</span>{' '}
          <button type="button" className="act ml-2 !min-h-10" onClick={() => setWay(way + 1)}>
            Another way
          </button>
        </p>
      )}
      {range && recipe && recipe.deltaE <= TOO_FAR && recipe.portions.length > 1 && (
        <TheRecipe target={target} range={chosen} recipe={recipe} again={recipe === kept ? again : undefined} onMixed={onMixed}>
          {recipes && recipes.length > 1 && (
            <button type="button" className="act" onClick={() => setWay(way + 1)}>
              Another way
            </button>
          )}
        </TheRecipe>
      )}
    </>
  );
}

function fieldsOf(target: Target, recipe: Recipe | undefined, nearest: Nearest | undefined): Field[] {
  return [
    { key: 'wanted', title: 'wanted', text: labText(target), lab: target.lab },
    ...(recipe ? [{ key: 'recipe', title: 'this recipe', text: besideText(recipe.lab, target.lab, recipe.deltaE), lab: recipe.lab }] : []),
    ...(nearest
      ? [
          {
            key: 'nearest',
            title: `nearest paint: ${nearest.product.name}`,
            text: besideText(nearest.product.lab, target.lab, nearest.deltaE),
            lab: nearest.product.lab,
          },
        ]
      : []),
  ];
}

function shortName(range: Range, id: string): string {
  return range.paints.find((paint) => paint.id === id)?.product.name ?? 'paint';
}

function labText({ lab }: Target): string {
  return `L ${Math.round(lab.l)}, a ${Math.round(lab.a)}, b ${Math.round(lab.b)}`;
}

/** "lighter and redder; a family likeness, ΔE 3.1" */
function besideText(one: Target['lab'], other: Target['lab'], deltaE: number): string {
  const words = besideWords(one, other);
  const like = `${LIKENESS_WORDS[likeness(deltaE)]}, ΔE ${deltaE.toFixed(1)}`;
  return words.length > 0 ? `${listed(words)}; ${like}` : like;
}

function TheRecipe({
  target,
  range,
  recipe,
  again,
  onMixed,
  children,
}: {
  target: Target;
  range: Range;
  recipe: Recipe;
  /** The mix whose own recipe this is. */
  again: Product | undefined;
  onMixed: (target: Target) => void;
  children: React.ReactNode;
}) {
  const words = useWords();
  const { save } = useSaving();
  const [typedMl, setTypedMl] = useState(String(USUAL_CUP_ML));
  const [name, setName] = useState(capital(target.name).slice(0, 60));
  const [problem, setProblem] = useState('');
  const [mixing, setMixing] = useState(false);
  const ml = parseNumber(typedMl) ?? 0;
  const cup = cupFor(recipe, ml > 0 ? ml : USUAL_CUP_ML, range.paints);
  const mix = async () => {
    if (!(ml > 0)) return setProblem('A cup has a size: type it in mL, such as 4.');
    if (ml > 500) return setProblem('More than half a litre is no cup: tint the tin by weight instead.');
    if (!name.trim()) return setProblem('Give the mix a name: it stands on the jar.');
    if (!cup.enough && cup.scarcest)
      return setProblem(
        `${cup.scarcest.paint.product.name} has ${words.volume(cup.scarcest.paint.ml)}, the cup takes ${words.volume(cup.scarcest.needMl)}: a smaller cup, or another way.`,
      );
    const made = mixedPaint(
      {
        name: name.trim(),
        recipe,
        cup,
        paints: range.paints,
        ...(target.pieceId ? { pieceId: target.pieceId } : {}),
        ...(again ? { again } : {}),
      },
      toIso(nowMinute()),
      newId,
    );
    if (!made) return;
    setProblem('');
    setMixing(true);
    const kept = again !== undefined || (await save('products', made.product));
    if (kept) await logEvents([made.event]);
    setMixing(false);
    if (!kept) return;
    onMixed({ ...target, name: made.product.name, mixId: made.product.id });
  };
  return (
    <>
      <h3 className="mt-5 font-[650] text-ink">{again ? 'As it was mixed, the light first' : 'Into the cup, the light first'}</h3>
      {cup.portions[0].drops > recipe.portions[0].drops && (
        <p className="second">
          A small trial first: {listed(recipe.portions.map(({ id, drops }) => `${drops} ${shortName(range, id)}`))}. Dry, compared, then the
          cup in the same proportion.
        </p>
      )}
      <Additions portions={cup.portions} paints={range.paints} target={target.lab} />
      {cup.scarcest && (
        <p className="mt-3 flex justify-between gap-4 border-y border-hairline py-2">
          <span>
            <span className="font-[650]">Scarcest</span>{' '}
            <span className="second">
              {cup.scarcest.paint.product.name}: {words.volume(cup.scarcest.needMl)} of {words.volume(cup.scarcest.paint.ml)}
            </span>
          </span>
          <span className="figure">{cup.enough ? `enough for ${counted(Math.floor(cup.scarcest.cups), 'such cup')}` : 'not enough'}</span>
        </p>
      )}
      {range.decanted && (
        <p className="second mt-2 text-small">
          {capital(plain(range.family))} in spray cans is decanted first: outdoors, never by piercing, and left to gas off overnight under a
          loose lid.
        </p>
      )}
      <SmallForm label="Mix it" problem={problem} onSend={() => void mix()}>
        <SmallField label="cup, mL" width="!w-24 font-mono" inputMode="decimal" value={typedMl} onText={setTypedMl} />
        {!again && <SmallField label="called" width="!w-64" value={name} onText={setName} />}
        <button type="submit" className="act !bg-ink !text-page" disabled={mixing}>
          Mix it
        </button>
        {children}
      </SmallForm>
      <TooFar portions={cup.portions} paints={range.paints} target={target.lab} />
    </>
  );
}
