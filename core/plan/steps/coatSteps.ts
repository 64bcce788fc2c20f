import { coatAmount, coatMinutes } from '#core/amounts/index';
import { type StackJoint, stackJoint, wantsPromoter } from '#core/coats/index';
import { familyDrying } from '#core/drying/index';
import type { Family } from '#core/facts/index';
import { maskMinutes, type OrderAnswer } from '#core/masking/index';
import { coatHazards, type Hazard, isSolventBorne } from '#core/safety/index';
import { areaMm2, paintedFaces } from '#core/survey/index';
import type { Gap } from '#core/schedule/index';
import { HOUR } from '#core/units/index';
import {
  layersInOrder,
  PartFilms,
  type PartGroup,
  type PlacedLayer,
  type PlanContext,
  type PlannedFilm,
  type Ref,
} from '../films/index.ts';
import { aged, inService, type JointOfPart, KEPT_PAINT, thisMinute } from '../verdicts/index.ts';
import type { StepChain } from './chain.ts';
import { dwell, nextCoat, onceReached, onFilm, soonAfter, tapeOff, whilePromoterWorks, withinPotLife } from './gaps.ts';
import { addMask, type Keepers, keepersOf } from './maskSteps.ts';
import { addMix, addPromoter } from './readying.ts';
import type { CoatOfStep } from './step.ts';

const TACK_MINUTES = 3;
const MIST_MINUTES = 3;
const FLAT_MINUTES_PER_100CM2 = 3;
const SCUFF_MINUTES_PER_100CM2 = 2;
const FLASH_RUST_MINUTES = 4 * HOUR;
const KEPT_CLEAN_MINUTES = 24 * HOUR;
const TAPE_STAYS_MINUTES = 24 * HOUR;

type Tail = Omit<Gap, 'to'>;

/** Builds masks, coats, flatting and unmasking of one group of parts, layer by layer. */
export class CoatBuilder {
  readonly joints: JointOfPart[] = [];
  masking: OrderAnswer | null = null;
  readonly #context: PlanContext;
  readonly #group: PartGroup;
  readonly #chain: StepChain;
  readonly #films: PartFilms;
  readonly #keepsPaint: boolean;

  constructor(context: PlanContext, group: PartGroup, chain: StepChain, keepsPaint: boolean) {
    this.#context = context;
    this.#group = group;
    this.#chain = chain;
    this.#keepsPaint = keepsPaint;
    this.#films = new PartFilms(context, group, (layerIndex) => chain.isDone({ stage: 'flat', layerIndex }));
  }

  get tops(): PlannedFilm[] {
    return this.#films.tops;
  }

  build(): void {
    const { layers, masking } = layersInOrder(this.#group.lead, this.#context);
    this.masking = masking;
    this.#lookAtTrouble();
    const keptFree = this.#keptFree();
    const bare = keptFree.length > 0;
    if (bare && layers.length > 0)
      this.#chain.add({
        stage: 'mask',
        subject: 'bare',
        title: 'Mask what takes no paint',
        minutes: 3 * keptFree.length * this.#group.parts.reduce((sum, part) => sum + part.copies, 0),
        detail: keptFree.join('; '),
        because: 'Paint here would bind, insulate or flake.',
        consumables: 20,
      });
    for (const layer of layers) this.#addLayer(layer, layers);
    const top = this.tops[0];
    if (bare && top)
      this.#chain.add(
        {
          stage: 'unmask',
          subject: 'bare',
          title: 'Unmask what takes no paint',
          minutes: 2,
          because: 'Tape comes off while the edge is soft.',
        },
        [tapeOff(top, this.#context.clocks)],
      );
  }

  /** Zones that stay bare, and fragile parts that are masked where they sit. */
  #keptFree(): string[] {
    const { piece, lead } = this.#group;
    const zones = lead.zones.flatMap((zone) => (zone.bare === undefined ? [] : [`${zone.name}: ${zone.bare}`]));
    const inPlace = piece.parts
      .filter((part) => part.maskedInPlace && part.within === lead.id)
      .map((part) => `${part.name}: masked in place`);
    return [...zones, ...inPlace];
  }

  /** After trouble the coats above wait: let the film cure, then look again. */
  #lookAtTrouble(): void {
    for (const trouble of this.#group.parts.flatMap((part) => this.#context.history.troubles(part.id)).slice(-1)) {
      const top = this.tops[0];
      this.#chain.add(
        {
          stage: 'look',
          subject: trouble.id,
          title: 'Look at it again',
          minutes: 3,
          detail: `after the ${trouble.sign} of ${trouble.at.slice(0, 10)}; flat it if it has cured`,
          because: 'Trouble stops the coats above until the film has hardened.',
        },
        top
          ? [
              onceReached(
                top,
                familyDrying(top.family).flat === null ? 'fit' : 'flat',
                this.#context.clocks,
                'the film must be hard before it is mended',
              ),
            ]
          : [],
      );
    }
  }

  #addLayer(placed: PlacedLayer, all: readonly PlacedLayer[]): void {
    const { resolved, index, zones } = placed;
    const laid = this.#films.on(zones[0]).find((film) => film.layerId === resolved.layer.id);
    const doneCoats = laid?.coats ?? 0;
    this.#judge(placed, doneCoats > 0);
    if (this.#group.lead.stops?.includes('celluloid') && isSolventBorne(resolved.family))
      this.#chain.stop('Celluloid takes no solvent: a water-borne paint only.');
    if (this.#sleepersBreatheIt(resolved.family))
      this.#chain.stop('Solvent and 2K films never dry where people sleep: choose another place to dry.');
    const keepers = keepersOf(this.#group.lead, placed, all);
    if (doneCoats >= resolved.layer.coats) {
      this.#finishLayer(
        placed,
        keepers,
        doneCoats > 0 && zones.every((zone) => this.#films.on(zone).at(-1)?.layerId === resolved.layer.id),
      );
      return;
    }
    addMask(
      { chain: this.#chain, group: this.#group, films: this.#films, clocks: this.#context.clocks },
      placed,
      keepers,
      this.#areaCm2(keepers.zones),
      this.masking?.because ?? '',
    );
    const faces = this.#group.parts.flatMap((part) =>
      paintedFaces(
        part,
        zones.map((zone) => part.zones[zone].id),
      ),
    );
    const amount = coatAmount(faces, resolved, resolved.hand);
    const mixed = addMix(this.#chain, this.#context, placed, amount.mlPerCoat, doneCoats);
    const promoted = this.#promoted(placed, doneCoats);
    for (let number = doneCoats + 1; number <= resolved.layer.coats; number++) {
      const first = number === 1;
      const mist =
        first && (resolved.layer.mistFirst || resolved.label?.pattern === 'mist-then-wet' || this.#joint(placed)?.verdict === 'care');
      const coat: CoatOfStep = {
        layerId: resolved.layer.id,
        ...(resolved.product ? { productId: resolved.product.id } : {}),
        name: resolved.name,
        family: resolved.family,
        role: resolved.role,
        lab: resolved.lab,
        hand: resolved.hand,
        filmUm: resolved.filmUm,
        number,
        of: resolved.layer.coats,
        ml: amount.mlPerCoat,
        mix: resolved.mix,
        holds: amount.holds,
      };
      const masked =
        this.#chain.last && keepers.zones.length > 0
          ? [dwell(this.#chain.last, [0, TAPE_STAYS_MINUTES], 'tape must not stay on for days')]
          : [];
      const ref = this.#chain.add(
        {
          stage: 'coat',
          layerIndex: index,
          number,
          zones,
          title: `Coat ${number} of ${resolved.layer.coats}, ${resolved.name}`,
          coat,
          minutes:
            coatMinutes(faces, resolved.hand, this.#group.parts.length) +
            (first ? TACK_MINUTES * this.#group.parts.length : 0) +
            (mist ? MIST_MINUTES : 0),
          scuffMinutes: 3 + (SCUFF_MINUTES_PER_100CM2 * this.#areaCm2(zones)) / 100,
          detail: this.#coatDetail(placed, mist ?? false),
          hazards: coatHazards(resolved.family, resolved.hand, resolved.isocyanate),
          because: amount.holds === 'sweeps' ? 'A can empties by time: the sweeps decide the amount.' : 'The film decides the amount.',
          source: resolved.filmSource,
        },
        [
          ...(first ? [...this.#firstCoatGaps(placed), ...masked] : [nextCoat(this.#films.top(placed), this.#context.clocks)]),
          ...(mixed ? [withinPotLife(mixed, resolved.label ?? {}, this.#context)] : []),
          ...(first && promoted ? [whilePromoterWorks(promoted)] : []),
        ],
      );
      this.#films.lay(placed, ref, first);
    }
    this.#finishLayer(placed, keepers, true);
  }

  /** What is, or may be, polypropylene gets promoter before its first coat. */
  #promoted(placed: PlacedLayer, doneCoats: number): Ref | null {
    const onBare = doneCoats === 0 && !this.#keepsPaint && this.#films.under(placed).some(({ film }) => film === null);
    return onBare && wantsPromoter(this.#group.lead.material) ? addPromoter(this.#chain, this.#context, this.#group, placed) : null;
  }

  #sleepersBreatheIt(family: Family): boolean {
    const { facts, workshop } = this.#context;
    return isSolventBorne(family) && facts.places.some((place) => place.id === workshop.dryPlaceId && place.sleptIn);
  }

  #coatDetail(placed: PlacedLayer, mist: boolean): string {
    const names =
      placed.zones.length === this.#group.lead.zones.length
        ? ''
        : `${placed.zones.map((zone) => this.#group.lead.zones[zone].name).join(', ')}; `;
    const way =
      placed.resolved.hand === 'aerosol'
        ? 'one even coat, 20 cm off, overlap half'
        : placed.resolved.hand === 'brush'
          ? 'thin, one way'
          : 'even passes, overlap half';
    return `${names}${mist ? 'mist coats first, let them flash, then ' : ''}${way}`;
  }

  /** Verdicts against each film below; a stop ends the scheduling of this part here. */
  #judge(placed: PlacedLayer, laid: boolean): void {
    for (const { film } of this.#films.under(placed)) {
      const joint = inService(this.#group.lead, placed, this.#jointOn(film, placed));
      for (const part of this.#group.parts) {
        const ownLayer = (id: string) => part.layers[this.#group.lead.layers.findIndex((layer) => layer.id === id)]?.id ?? id;
        this.joints.push({
          partId: part.id,
          layerId: ownLayer(placed.resolved.layer.id),
          belowLayerId: film ? ownLayer(film.layerId) : null,
          joint,
          laid,
          ...(film && !laid ? thisMinute(this.#group.lead, film, placed, this.#context) : {}),
        });
      }
      if (joint.verdict === 'stop' && !laid) this.#chain.stop(joint.answer.because);
    }
  }

  /** A layer on a film, on the paint that is kept, or on the bare part. */
  #jointOn(film: PlannedFilm | null, placed: PlacedLayer): StackJoint {
    const under = film ? aged(film, this.#context.now) : this.#keepsPaint ? KEPT_PAINT : null;
    return stackJoint(this.#group.lead.material, under, placed.resolved, true, this.#context.evidence);
  }

  #joint(placed: PlacedLayer) {
    return this.joints
      .filter((entry) => entry.layerId === placed.resolved.layer.id)
      .map((entry) => entry.joint)
      .sort((a, b) => RANK[b.verdict] - RANK[a.verdict])[0];
  }

  #firstCoatGaps(placed: PlacedLayer): Tail[] {
    return this.#films.under(placed).flatMap(({ film }) => {
      if (film) return [onFilm(film, this.#jointOn(film, placed), this.#context.clocks)];
      const { material } = this.#group.lead;
      const rusts = material === 'steel' || material === 'cast-iron' || material === 'tinplate';
      const last = this.#chain.last;
      if (!last || this.#keepsPaint) return [];
      return [
        soonAfter(
          last,
          rusts ? FLASH_RUST_MINUTES : KEPT_CLEAN_MINUTES,
          rusts ? 'bare steel flash-rusts within hours' : 'a wiped surface stays clean a day',
        ),
      ];
    });
  }

  #areaCm2(zones: readonly number[]): number {
    return this.#group.parts.reduce(
      (sum, part) =>
        sum + (areaMm2(part.faces.filter((face) => zones.some((zone) => part.zones[zone].id === face.zoneId))) * part.copies) / 100,
      0,
    );
  }

  #finishLayer(placed: PlacedLayer, keepers: Keepers, onTop: boolean): void {
    const { resolved, index, zones } = placed;
    const masked =
      keepers.zones.length > 0 &&
      (this.#chain.isDone({ stage: 'mask', layerIndex: index }) ||
        this.#chain.steps.some(
          (step) => step.stage === 'mask' && step.coat === undefined && step.id.includes(`.mask.${resolved.layer.id}.`),
        ));
    if (masked) {
      const minutes = maskMinutes(keepers.edges, 0);
      this.#chain.add(
        {
          stage: 'unmask',
          layerIndex: index,
          zones: keepers.zones,
          title: `Tape off, ${resolved.name}`,
          minutes: minutes.unmask,
          detail: 'low, pulled back on itself',
          because: 'Left through full cure tape tears the edge and leaves glue.',
        },
        [tapeOff(this.#films.top(placed), this.#context.clocks)],
      );
    }
    if (resolved.layer.flatAfter === undefined || !onTop) return;
    const film = this.#films.top(placed);
    const hazards: Hazard[] = ['dust'];
    this.#chain.add(
      {
        stage: 'flat',
        layerIndex: index,
        zones,
        grit: resolved.layer.flatAfter,
        title: `Flat with P${resolved.layer.flatAfter}, wet`,
        minutes: 2 + (FLAT_MINUTES_PER_100CM2 * this.#areaCm2(zones)) / 100,
        hazards,
        because: 'Under side light: pits, seams and scratches show now or never.',
        consumables: 60,
      },
      [onceReached(film, 'flat', this.#context.clocks, `the ${resolved.name} must be hard enough to sand`)],
    );
    this.#films.flat(zones);
  }
}

const RANK = { sits: 0, care: 1, stop: 2 };
