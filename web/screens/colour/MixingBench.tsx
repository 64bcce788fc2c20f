import { besideWords, colourDifference, likeness, LIKENESS_WORDS, type Recipe, type RecipeWish } from '#core/colour/index';
import type { Lab } from '#core/facts/index';
import { jarOfMix, keptRecipe, likeliestRange, type Nearest, nearestPaints, type Range } from '#core/mixing/index';
import { type PlanView, plannedInColour } from '#core/plan/index';
import { listed } from '#core/units/index';
import { useMemo, useState } from 'react';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';
import { Chips } from '../../views/fields/Chips.tsx';
import { SmallCheck } from '../../views/fields/SmallField.tsx';
import { type Field, Fields } from './Fields.tsx';
import { InTheJar } from './InTheJar.tsx';
import { NearestPaints } from './NearestPaints.tsx';
import type { Target } from './target.ts';
import { TheRecipe } from './TheRecipe.tsx';
import { useRecipes } from './useMixWorker.ts';

const DROPS = 30;
const PAINTS_AT_MOST = ['2', '3', '4', '5'] as const;
/** Further off than this no cup is worth its paint, ΔE. */
const TOO_FAR = 10;
/** What is near enough where the piece says nothing: a match in hand. */
const USUAL_TOLERANCE = 2;
const NEAREST_SHOWN = 6;

/** What may go into the cup besides the paints of the range. */
type Also = { readonly mixes: boolean; readonly toBuy: boolean; readonly foreign: boolean };

/** From the colour wanted to a cup of it. */
export function MixingBench({ target, ranges, onMixed }: { target: Target; ranges: readonly Range[]; onMixed: (target: Target) => void }) {
  const { facts, plan } = usePlan();
  const again = facts.products.find(({ id }) => id === target.mixId);
  const ownFamily = again && facts.sheets.find(({ id }) => id === again.sheetId)?.family;
  const [family, setFamily] = useState(() => ownFamily ?? likeliestRange(ranges, target.lab)?.family);
  const [way, setWay] = useState(0);
  const [most, setMost] = useState<(typeof PAINTS_AT_MOST)[number]>('3');
  const [also, setAlso] = useState<Also>({ mixes: false, toBuy: false, foreign: false });
  const chosen = ranges.find((own) => own.family === family) ?? ranges[0];
  const range = useMemo(() => chosen && withAlso(chosen, also, target.mixId), [chosen, also, target.mixId]);
  const wish = useMemo<RecipeWish | null>(
    () => (range && range.paints.length > 0 ? { target: target.lab, paints: range.paints, maxPaints: Number(most), drops: DROPS } : null),
    [range, target.lab, most],
  );
  const found = useRecipes(wish)?.filter((recipe) => toBuyIn(recipe, range).length <= 1) ?? null;
  const kept = again && range?.family === ownFamily && chosen ? keptRecipe(again, target.lab, chosen.paints) : null;
  const recipes = kept ? [kept, ...(found ?? [])] : found;
  const recipe = recipes?.[way % recipes.length];
  const planned = plannedIn(plan, target.lab);
  const tolerance = target.tolerance ?? USUAL_TOLERANCE;
  const nearest = nearestPaints(facts, { target: target.lab, ...planned }, NEAREST_SHOWN).filter(
    ({ product }) => product.id !== target.mixId,
  );
  const jar = again && jarOfMix(facts, again.id);
  const anew = (change: () => void) => {
    change();
    setWay(0);
  };
  const another = recipes && recipes.length > 1 && (
    <button type="button" className="act" onClick={() => setWay(way + 1)}>
      Another way
    </button>
  );
  return (
    <>
      <Fields fields={fieldsOf(target, tolerance, recipe, nearest[0])} />
      <NearestPaints rows={nearest} tolerance={tolerance} onGround={planned.ground !== undefined} />
      {ranges.length > 1 && (
        <div className="mt-3">
          <Chips
            legend="Mixed from"
            hideLegend
            options={ranges.map((own) => ({ value: own.family, label: `${own.name}, ${own.paints.length}` }))}
            value={range?.family}
            onChange={(value) => anew(() => setFamily(value))}
          />
        </div>
      )}
      {chosen && (
        <Choices
          chosen={chosen}
          also={also}
          onAlso={(own) => anew(() => setAlso(own))}
          most={most}
          onMost={(own) => anew(() => setMost(own))}
        />
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
          <span className="mr-2 font-[650]">No mix in {range.name} comes nearer than this paint as it is.</span>
          {another}
        </p>
      )}
      {range && recipe && recipe.deltaE <= TOO_FAR && recipe.portions.length > 1 && (
        <>
          <ToBuy recipe={recipe} range={range} />
          <TheRecipe
            target={target}
            range={recipe === kept ? chosen : range}
            recipe={recipe}
            again={recipe === kept ? again : undefined}
            use={plannedInColour(target.lab, plan.steps, facts)}
            onMixed={onMixed}
          >
            {another}
          </TheRecipe>
        </>
      )}
      {again && jar && chosen && (
        <InTheJar
          key={jar.id}
          product={again}
          jar={jar}
          paints={chosen.paints.filter(({ id }) => id !== again.id)}
          target={target.lab}
          tolerance={tolerance}
        />
      )}
    </>
  );
}

function withAlso(range: Range, also: Also, mixId: string | undefined): Range {
  const paints = range.paints.filter(({ id, product }) => id !== mixId && (also.mixes || !product.mix));
  const foreign = also.foreign ? range.foreign.filter(({ product }) => also.mixes || !product.mix) : [];
  return { ...range, paints: [...paints, ...foreign, ...(also.toBuy ? range.toBuy : [])] };
}

function toBuyIn(recipe: Recipe, range: Range | undefined) {
  return recipe.portions.flatMap(({ id }) => range?.paints.filter((paint) => paint.id === id && !paint.owned) ?? []);
}

/** The layer that is planned in this colour: what it goes on, and what a coat of it takes. */
function plannedIn({ pieces }: PlanView, lab: Lab): { ground?: Lab; mlPerCoat?: number } {
  const layer = pieces
    .flatMap((piece) => Object.values(piece.stacks))
    .flatMap((stack) => stack.layers)
    .find((own) => (own.role === 'colour' || own.role === 'metallic') && colourDifference(own.meets?.lab ?? own.lab, lab) < 1);
  if (!layer) return {};
  return { mlPerCoat: layer.mlPerCoat, ...(layer.groundLooks ? { ground: layer.groundLooks } : {}) };
}

function Choices({
  chosen,
  also,
  onAlso,
  most,
  onMost,
}: {
  chosen: Range;
  also: Also;
  onAlso: (also: Also) => void;
  most: (typeof PAINTS_AT_MOST)[number];
  onMost: (most: (typeof PAINTS_AT_MOST)[number]) => void;
}) {
  return (
    <details className="mt-2">
      <summary className="min-h-9 cursor-pointer text-small">What may go into it: at most {most} paints</summary>
      <div className="mt-1 flex flex-wrap items-center gap-x-6 gap-y-2">
        <Chips legend="Paints at most" options={PAINTS_AT_MOST.map((value) => ({ value, label: value }))} value={most} onChange={onMost} />
        {chosen.paints.some(({ product }) => product.mix) && (
          <SmallCheck label="earlier mixes" checked={also.mixes} onChange={(mixes) => onAlso({ ...also, mixes })} />
        )}
        {chosen.toBuy.length > 0 && (
          <SmallCheck label="one that would be bought" checked={also.toBuy} onChange={(toBuy) => onAlso({ ...also, toBuy })} />
        )}
        {chosen.foreign.length > 0 && (
          <SmallCheck
            label="other families that take its thinner, with care"
            checked={also.foreign}
            onChange={(foreign) => onAlso({ ...also, foreign })}
          />
        )}
      </div>
    </details>
  );
}

/** A recipe may ask for one paint that is not here yet. */
function ToBuy({ recipe, range }: { recipe: Recipe; range: Range }) {
  const words = useWords();
  const [paint] = toBuyIn(recipe, range);
  if (!paint) return null;
  return (
    <p className="mt-4 border-l-4 border-ink pl-3">
      <span className="font-[650]">{paint.product.name} would have to be bought first</span>, about{' '}
      {words.money(paint.product.typicalPrice, true)} for {words.volume(paint.product.typicalMl)}.
    </p>
  );
}

function fieldsOf(target: Target, tolerance: number, recipe: Recipe | undefined, nearest: Nearest | undefined): Field[] {
  return [
    { key: 'wanted', title: 'wanted', text: `${labText(target)}; near enough within ΔE ${tolerance}`, lab: target.lab },
    ...(recipe
      ? [{ key: 'recipe', title: 'this recipe', text: besideText(recipe.lab, target.lab, recipe.deltaE, tolerance), lab: recipe.lab }]
      : []),
    ...(nearest
      ? [
          {
            key: 'nearest',
            title: `nearest paint: ${nearest.product.name}`,
            text: besideText(nearest.lab, target.lab, nearest.deltaE, tolerance),
            lab: nearest.lab,
          },
        ]
      : []),
  ];
}

function labText({ lab }: Target): string {
  return `L ${Math.round(lab.l)}, a ${Math.round(lab.a)}, b ${Math.round(lab.b)}`;
}

/** "lighter and redder; a family likeness, ΔE 3.1: not near enough" */
function besideText(one: Target['lab'], other: Target['lab'], deltaE: number, tolerance: number): string {
  const words = besideWords(one, other);
  const like = `${LIKENESS_WORDS[likeness(deltaE)]}, ΔE ${deltaE.toFixed(1)}${deltaE <= tolerance ? '' : ': not near enough'}`;
  return words.length > 0 ? `${listed(words)}; ${like}` : like;
}
