import { flatRefused, heldLatest, paintKey, stackJoint, type StackJoint, wantsPromoter } from '#core/coats/index';
import { familyDrying } from '#core/drying/index';
import type { Family } from '#core/facts/index';
import type { OrderAnswer } from '#core/masking/index';
import { isSolventBorne } from '#core/safety/index';
import { isTile, PartFilms, type PlacedLayer, type PlanContext, type PlannedFilm, layersInOrder } from '../../films/index.ts';
import { aged, inService, type JointOfPart, keptUnder, thisMinute } from '../../verdicts/index.ts';
import { addCoats, mayScuffWithin } from './coatSteps.ts';
import { follows, isShort, type Overshot, overshotOn } from './overshot.ts';
import type { StepChain } from '../chain.ts';
import type { Constraint } from '../constraint.ts';
import { nextCoat, onceReached, onFilm } from '../constraints.ts';
import { addFlatting, addTapeOff, addUnmaskBare } from './afterCoats.ts';
import { addRubThrough } from '../finish/ageing.ts';
import { addBareMask, addMask, keepersOf, keepsAny, keptFree } from './masks.ts';
import { type Dressing, Dressings } from './dressings.ts';
import { addKeying, bearsKeying, isShutByTape } from './keyedGround.ts';
import { addWarm } from './warming.ts';
import { inPositions, isFirstOfTwo, isSecondOfTwo, lyingOn, type PositionedLayer } from './positions.ts';

/** The coats of one part, layer by layer in the order it happens: judged, masked, made ready, laid, unmasked, flatted, looked at. */

export type Coated = {
  readonly joints: readonly JointOfPart[];
  readonly masking: OrderAnswer | null;
  /** Details and decals, and how each sits below and above. */
  readonly dressings: readonly Dressing[];
  /** Every film there will be, zone by zone, bottom to top. */
  readonly films: readonly (readonly PlannedFilm[])[];
  /** Top film of each painted zone when all is done. */
  readonly tops: readonly PlannedFilm[];
  /** A window that shut for good: the part is stripped and begun again. */
  readonly overshot: Overshot | null;
};

export type CoatsOn = {
  /** The old paint is kept under the coats. */
  readonly keepsPaint: boolean;
  /** What the surface asks of the first coat on it. */
  readonly onSurface: readonly Constraint[];
};

export function addLayers(chain: StepChain, context: PlanContext, on: CoatsOn): Coated {
  return new Coating(chain, context, on).build();
}

class Coating {
  readonly #chain: StepChain;
  readonly #context: PlanContext;
  readonly #on: CoatsOn;
  readonly #films: PartFilms;
  readonly #joints: JointOfPart[] = [];
  /** In the order they happen; zones on which a layer lies below what is there already are left out of it. */
  readonly #layers: readonly PositionedLayer[];
  readonly #masking: OrderAnswer | null;
  readonly #dressings: Dressings;
  #overshot: Overshot | null = null;

  constructor(chain: StepChain, context: PlanContext, on: CoatsOn) {
    this.#chain = chain;
    this.#context = context;
    this.#on = on;
    this.#films = new PartFilms(context, chain.of, (layerIndex) => chain.isDone({ stage: 'flat', layerIndex }));
    const { layers, masking, stop } = layersInOrder(chain.of.part, context);
    const placed = inPositions(layers, chain.of.part);
    this.#layers = placed.map((layer) => {
      const zones = layer.zones.filter((zone) => !this.#liesBelow(layer, zone, placed));
      return zones.length === layer.zones.length ? layer : { ...layer, zones };
    });
    this.#masking = masking;
    if (stop) chain.stop(stop);
    this.#dressings = new Dressings(chain, context);
  }

  build(): Coated {
    this.#lookAtTrouble();
    const kept = keptFree(this.#chain);
    if (keepsAny(kept) && this.#layers.length > 0) addBareMask(this.#chain, kept);
    this.#dressings.addAfter(null, this.#films);
    for (const layer of this.#layers) {
      // The second position keeps the keys of a part with one.
      this.#chain.inPosition(isFirstOfTwo(layer) ? 'back' : null, () => this.#addLayer(layer));
      if (isFirstOfTwo(layer)) continue;
      for (const layerId of this.#dressedAfter(layer)) this.#dressings.addAfter(layerId, this.#films);
    }
    return {
      joints: this.#joints,
      masking: this.#masking,
      dressings: this.#dressings.all,
      films: this.#films.byZone,
      tops: this.#films.tops,
      overshot: this.#overshot,
    };
  }

  /**
   * Layers whose details and decals follow now. Those on one of several colours wait until all of these are on: a mask over a fresh
   * decal would take it off again.
   */
  #dressedAfter({ resolved }: PlacedLayer): readonly string[] {
    const run = this.#masking?.order ?? [];
    const { id } = resolved.layer;
    if (!run.includes(id)) return [id];
    const last = this.#layers.filter((layer) => run.includes(layer.resolved.layer.id)).at(-1);
    return last?.resolved.layer.id === id ? run : [];
  }

  /** After trouble the coats above wait: let the film cure, then look again. */
  #lookAtTrouble(): void {
    const { part } = this.#chain.of;
    const [trouble] = this.#context.history.troubles(part.id).slice(-1);
    if (!trouble) return;
    const [top] = this.#films.tops;
    const hard = top && (familyDrying(top.family).flat === null ? 'fit' : 'flat');
    this.#chain.add(
      {
        stage: 'look',
        subject: trouble.id,
        title: 'Look at it again',
        minutes: 3,
        detail: `after the ${trouble.sign} of ${trouble.at.slice(0, 10)}; flat it if it has cured`,
        because: 'Trouble stops the coats above until the film has hardened.',
        treatment: `look ${trouble.id}`,
      },
      top && hard ? [onceReached(top, hard, 'the film must be hard before it is mended')] : [],
    );
  }

  #addLayer(placed: PositionedLayer): void {
    if (placed.zones.length === 0) return;
    const { resolved, zones } = placed;
    const doneCoats = this.#films.coatsOf(resolved.layer.id, zones[0]);
    this.#judge(placed, doneCoats > 0);
    const dressed = doneCoats > 0 ? null : this.#dressings.under(placed);
    if (dressed?.stop) this.#chain.stop(dressed.stop);
    this.#stopForPeople(resolved.family);
    const keepers = keepersOf(this.#chain.of.part, placed, this.#layers);
    const late = doneCoats < resolved.layer.coats ? this.#overshotOf(placed, doneCoats) : null;
    if (late?.way === 'strip') this.#overshot ??= late;
    if (doneCoats < resolved.layer.coats) {
      if (doneCoats === 0 && keepers.zones.length > 0) this.#keyGround(placed);
      const masked = addMask(
        this.#chain,
        this.#films,
        placed,
        keepers,
        this.#masking?.because ?? 'What is done already takes no overspray.',
      );
      if (late?.way === 'fresh-base') this.#layAgain(late.belowLayerId);
      addCoats(this.#chain, this.#context, this.#films, {
        placed,
        doneCoats,
        masked,
        turned: isSecondOfTwo(placed),
        onBare: this.#needsPromoter(placed, doneCoats),
        mistFirst: this.#worst(placed)?.verdict === 'care' || dressed?.care === true,
        tries: this.#toTry(placed),
        over: dressed?.names ?? [],
        below: [...this.#belowFirst(placed), ...lyingOn(placed, this.#chain.of.part, this.#films), ...(dressed?.constraints ?? [])],
      });
    }
    this.#finishLayer(placed, keepers, doneCoats);
  }

  /** Tape would shut the window of what lies below: scuffed all over before it is masked, wherever it takes paint later. */
  #keyGround(placed: PositionedLayer): void {
    if (this.#chain.isDone({ stage: 'mask', layerIndex: placed.index })) return;
    const later = this.#layers.slice(this.#layers.indexOf(placed));
    for (const { film } of this.#films.under(placed)) {
      const ground = this.#layers.find(({ resolved }) => resolved.layer.id === film?.layerId);
      if (!film || !ground || !bearsKeying(ground) || !isShutByTape(film, this.#jointOn(film, placed))) continue;
      const open = (zone: number) => this.#films.on(zone).at(-1)?.layerId === film.layerId;
      const zones = ground.whole.filter((zone) => open(zone) && later.some((layer) => layer.zones.includes(zone)));
      addKeying(this.#chain, this.#films, { film, layerIndex: ground.index, zones, round: this.#dressings.openOn(zones) }, placed);
    }
  }

  /** What this layer came too late for: on a film below, or on its own last coat. */
  #overshotOf(placed: PositionedLayer, doneCoats: number): Overshot | null {
    // A board is there to find it out.
    if (this.#chain.of.piece.board) return null;
    const late =
      doneCoats > 0
        ? [overshotOn(this.#films.top(placed), placed, nextCoat(this.#films.top(placed), mayScuffWithin(placed)), this.#context)]
        : this.#films.under(placed).map(({ film }) => film && overshotOn(film, placed, this.#onFilm(film, placed), this.#context));
    return late.find((own) => own?.way === 'strip') ?? late.find((own) => own !== null) ?? null;
  }

  /** One more coat of a metallic that is past its window: scuffed, then fresh, so that what is seen through lies on it in time. */
  #layAgain(layerId: string): void {
    const base = this.#layers.find(({ resolved }) => resolved.layer.id === layerId);
    if (!base) return;
    const { coats } = this.#films.top(base);
    const { resolved } = base;
    const layer = { ...resolved.layer, coats: coats + 1 };
    addCoats(this.#chain, this.#context, this.#films, {
      placed: { ...base, resolved: { ...resolved, layer, weights: Array.from({ length: coats + 1 }, () => 'normal' as const) } },
      doneCoats: coats,
      masked: null,
      turned: false,
      onBare: false,
      mistFirst: false,
      below: [],
      tries: [],
      over: [],
      again: 'It is past its window: scuffed, it takes a fresh coat, and what is seen through it follows in time.',
    });
  }

  /** Paints to try on scrap before this layer: never while a short window runs, so those of the layers that follow in one come along (trade §12). */
  #toTry(placed: PositionedLayer): PositionedLayer[] {
    const under = this.#films.under(placed).flatMap(({ film }) => (film ? [film] : []));
    const laid = under.every((film) => 'at' in film.last);
    if (under.some((film) => follows(film, placed) && (!laid || isShort(film, placed)))) return [];
    const above = this.#layers.slice(this.#layers.indexOf(placed) + 1);
    const last = above.findIndex((next, index) => !follows(index === 0 ? placed.resolved : above[index - 1].resolved, next));
    return [placed, ...(last < 0 ? above : above.slice(0, last))];
  }

  /**
   * What the stack has above it lies on the zone already: so does what the stack has below that, entered or not (trade §2). Nobody
   * primes over a colour by accident.
   */
  #liesBelow({ resolved }: PlacedLayer, zone: number, all: readonly PlacedLayer[]): boolean {
    const ids = all.map((layer) => layer.resolved.layer.id);
    const own = ids.indexOf(resolved.layer.id);
    const laid = this.#films.on(zone);
    return !laid.some(({ layerId }) => layerId === resolved.layer.id) && laid.some(({ layerId }) => ids.indexOf(layerId) > own);
  }

  #finishLayer(
    placed: PositionedLayer,
    keepers: {
      readonly zones: readonly number[];
      readonly edges: readonly { mm: number; curve: 'straight' | 'gentle' | 'tight' | 'double' }[];
    },
    doneCoats: number,
  ): void {
    const { resolved, whole } = placed;
    const onTop = placed.zones.every((zone) => this.#films.on(zone).at(-1)?.layerId === resolved.layer.id);
    if (onTop) addTapeOff(this.#chain, this.#films.top(placed), placed, keepers);
    if (isFirstOfTwo(placed)) return;
    const complete = doneCoats >= resolved.layer.coats;
    // Tape comes off while the last coat is soft, before it is warmed or worked by hand.
    const [top] = this.#films.tops;
    if (placed === this.#layers.at(-1) && keepsAny(keptFree(this.#chain)) && top) addUnmaskBare(this.#chain, top);
    if (onTop) addWarm(this.#chain, this.#context, this.#films, { ...placed, zones: whole }, this.#on.keepsPaint);
    if (!complete || onTop) this.#inspectLater(placed);
    if (onTop && flatRefused(resolved) === null && addFlatting(this.#chain, this.#films.top(placed), { ...placed, zones: whole }))
      this.#films.flat(whole);
    if (onTop && this.#isLastColour(placed)) addRubThrough(this.#chain, this.#films.tops, placed);
  }

  #isLastColour(placed: PlacedLayer): boolean {
    const colours = this.#layers.filter(({ resolved }) => resolved.role === 'colour' || resolved.role === 'metallic');
    return colours.at(-1) === placed;
  }

  #inspectLater({ resolved }: PlacedLayer): void {
    // Tiles of a board are judged as a whole.
    if (isTile(this.#chain.of.piece, this.#chain.of.part)) return;
    const what = resolved.role === 'clear' ? 'clear' : resolved.role.endsWith('primer') ? 'primer' : 'colour';
    this.#chain.inspectNext({ partId: this.#chain.of.part.id, layerId: resolved.layer.id, name: resolved.name, what });
  }

  /** What is, or may be, polypropylene gets promoter before its first coat. */
  #needsPromoter(placed: PlacedLayer, doneCoats: number): boolean {
    const onBare = doneCoats === 0 && !this.#on.keepsPaint && this.#films.under(placed).some(({ film }) => film === null);
    return onBare && wantsPromoter(this.#chain.of.part.material);
  }

  /** Where people sleep no solvent dries, and celluloid takes none. */
  #stopForPeople(family: Family): void {
    const { facts, workshop } = this.#context;
    if (!isSolventBorne(family)) return;
    if (this.#chain.of.part.stops?.includes('celluloid')) this.#chain.stop('Celluloid takes no solvent: a water-borne paint only.');
    if (facts.places.some((place) => place.id === workshop.dryPlaceId && place.sleptIn))
      this.#chain.stop('Solvent and 2K films never dry where people sleep: choose another place to dry.');
  }

  /** Verdicts against each film below; a stop ends the scheduling of this part here. */
  #judge(placed: PlacedLayer, laid: boolean): void {
    const { part } = this.#chain.of;
    for (const { film } of this.#films.under(placed)) {
      const joint = inService(part, placed, this.#jointOn(film, placed));
      if (!this.#isJudged(placed, film))
        this.#joints.push({
          partId: part.id,
          layerId: placed.resolved.layer.id,
          belowLayerId: film?.layerId ?? null,
          joint,
          laid,
          ...(film === null && this.#on.keepsPaint ? { onOldPaint: true } : {}),
          ...(film && !laid ? thisMinute(part, film, placed, this.#context) : {}),
        });
      if (joint.verdict === 'stop' && !laid) this.#chain.stop(joint.answer.because);
    }
  }

  /** The same layer on the same film, on the other side of the part. */
  #isJudged({ resolved }: PlacedLayer, film: PlannedFilm | null): boolean {
    return this.#joints.some(({ layerId, belowLayerId }) => layerId === resolved.layer.id && belowLayerId === (film?.layerId ?? null));
  }

  /** A layer on a film, on the paint that is kept, or on the bare part. */
  #jointOn(film: PlannedFilm | null, placed: PlacedLayer): StackJoint {
    const { part } = this.#chain.of;
    const under = film ? aged(film, this.#context.now) : this.#on.keepsPaint ? keptUnder(part) : null;
    return stackJoint(part.material, under, placed.resolved, true, this.#context.evidence);
  }

  #worst(placed: PlacedLayer): StackJoint | undefined {
    const rank = { sits: 0, care: 1, stop: 2 };
    return this.#joints
      .filter((entry) => entry.layerId === placed.resolved.layer.id)
      .map((entry) => entry.joint)
      .sort((a, b) => rank[b.verdict] - rank[a.verdict])[0];
  }

  /** What the first coat of a layer waits for below it. */
  #belowFirst(placed: PlacedLayer): Constraint[] {
    return this.#films.under(placed).flatMap(({ film }) => (film ? [this.#onFilm(film, placed)] : this.#on.onSurface));
  }

  #onFilm(film: PlannedFilm, placed: PlacedLayer): Constraint {
    const { material } = this.#chain.of.part;
    const pair = { below: paintKey(film), above: paintKey({ ...placed.resolved, productId: placed.resolved.product?.id }), material };
    return onFilm(film, this.#jointOn(film, placed), heldLatest(this.#context.evidence, pair));
  }
}
