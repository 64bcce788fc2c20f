import { detailOn, glossOf, overDecal, overDetail, solventOn } from '#core/coats/index';
import type { Decal, Detail, DetailWay, Part } from '#core/facts/index';
import { HOUR } from '#core/units/index';
import type { PartFilms, PlacedLayer, PlanContext, PlannedFilm, Ref } from '../../films/index.ts';
import type { StepChain, StepDraft } from '../chain.ts';
import type { Constraint } from '../constraint.ts';
import { dwell, onceReached } from '../constraints.ts';

/** Details and decals: steps of their own between the layers, and joints in the stack like any other. */

/** How one of them sits: on what is below it, and under the first layer over it. */
export type Dressing = {
  readonly id: string;
  readonly partId: string;
  readonly below: { readonly verdict: 'sits' | 'care' | 'stop'; readonly because: string };
  readonly above: { readonly verdict: 'sits' | 'care' | 'stop'; readonly because: string; readonly layerId: string } | null;
};

export type Dressed = {
  readonly stop: string | null;
  readonly care: boolean;
  readonly constraints: readonly Constraint[];
  /** What lies open there: a scuff goes round it. */
  readonly names: readonly string[];
};

const MINUTES_EACH: Record<DetailWay, number> = {
  brush: 2,
  pen: 1,
  'small-mask': 5,
  wash: 4,
  'wipe-back': 3,
  'worn-edge': 2,
  drybrush: 2,
};

const HOW: Record<DetailWay, string> = {
  brush: 'fine brush, one pass only: a second wets the first',
  pen: 'a marker, one pass only: a second wets the first',
  'small-mask': 'a mask round it, a mist coat, tape off while soft',
  wash: 'thinned, into the recesses; the rest wiped off',
  'wipe-back': 'over it, then wiped back from what stands proud',
  'worn-edge': 'edges and handholds only, hardly any paint on the brush',
  drybrush: 'nearly dry brush across what stands proud',
};

const DETAIL_SETUP = 2;
const DECAL_MINUTES = 8;
const DECAL_SETUP = 4;
const SEAL_MINUTES = 6;
/** Two water-type coats over a home-printed sheet, dry before it is soaked. */
const SEAL_DRIES = 3 * HOUR;
/** A decal dries a day before anything goes over it (trade §9). */
const DECAL_DRIES = 24 * HOUR;

type Laid = { readonly zone: number; readonly ref: Ref } & (
  | { readonly detail: Detail; readonly film: PlannedFilm }
  | { readonly decal: Decal }
);

export class Dressings {
  readonly #chain: StepChain;
  readonly #context: PlanContext;
  readonly #laid: Laid[] = [];
  readonly #judged = new Map<string, Dressing>();

  constructor(chain: StepChain, context: PlanContext) {
    this.#chain = chain;
    this.#context = context;
  }

  get all(): Dressing[] {
    return [...this.#judged.values()];
  }

  /** Those that come after a layer; null: before the first. */
  addAfter(layerId: string | null, films: PartFilms): void {
    const { part } = this.#chain.of;
    for (const detail of part.details ?? []) if (detail.after === layerId) this.#addDetail(detail, films);
    for (const decal of inOrder(part.decals ?? [])) if (decal.after === layerId) this.#addDecal(decal, films);
  }

  /** Those that lie open on any of these zones now, by name. */
  openOn(zones: readonly number[]): string[] {
    return [
      ...new Set(this.#laid.flatMap((laid) => (zones.includes(laid.zone) ? ['detail' in laid ? laid.detail.name : laid.decal.name] : []))),
    ];
  }

  /** What the first coat of a layer must know of those below it, once: later layers lie on that coat. */
  under(placed: PlacedLayer): Dressed {
    const here = this.#laid.filter(({ zone }) => placed.zones.includes(zone));
    const answers = here.map((laid) => this.#judgeOver(laid, placed));
    const stop = answers.find(({ verdict }) => verdict === 'stop');
    for (const laid of here) this.#laid.splice(this.#laid.indexOf(laid), 1);
    return {
      stop: stop ? `${placed.resolved.name} over ${stop.name}: ${stop.because}` : null,
      care: answers.some(({ verdict }) => verdict === 'care'),
      constraints: answers.map(({ wait }) => wait),
      names: answers.map(({ name }) => name),
    };
  }

  #judgeOver(laid: Laid, { resolved }: PlacedLayer) {
    const { material } = this.#chain.of.part;
    const { id, name } = 'detail' in laid ? laid.detail : laid.decal;
    const { verdict, because, onceCured } =
      'detail' in laid ? overDetail(laid.detail, resolved, material) : { ...overDecal(laid.decal, resolved, material), onceCured: false };
    const known = this.#judged.get(id);
    if (known && known.above === null) this.#judged.set(id, { ...known, above: { verdict, because, layerId: resolved.layer.id } });
    return { verdict, because, name, wait: dryFirst(laid, onceCured) };
  }

  #addDetail(detail: Detail, films: PartFilms): void {
    const { part } = this.#chain.of;
    const zone = placeOf(part, detail.zoneId);
    const top = films.on(zone).at(-1) ?? null;
    const below = this.#judgeDetail(detail, top);
    if (below.verdict === 'stop') this.#chain.stop(`${detail.name}: ${below.because}`);
    const ref = this.#chain.add(
      {
        stage: 'detail',
        subject: detail.id,
        zones: [zone],
        title: `${detail.name}${detail.count > 1 ? `, ${detail.count} of them` : ''}`,
        minutes: (detail.minutesEach ?? MINUTES_EACH[detail.way]) * detail.count * part.copies,
        setup: DETAIL_SETUP,
        detail: [HOW[detail.way], WIPED.includes(detail.way) || below.verdict !== 'sits' ? below.because : ''].filter(Boolean).join('; '),
        because: below.because,
        ...(detail.minutesEach === undefined ? {} : { source: 'own' as const }),
        treatment: `detail ${detail.way} ${detail.name}`,
      },
      top ? [onceReached(top, detail.way === 'small-mask' ? 'tape' : 'handle', `the ${top.name} must bear a hand`)] : [],
    );
    this.#laid.push({ zone, ref, detail, film: this.#filmOf(detail, ref) });
  }

  #judgeDetail(detail: Detail, top: PlannedFilm | null): Dressing['below'] {
    const { part } = this.#chain.of;
    const under = top?.family ?? null;
    const { verdict, because } = WIPED.includes(detail.way)
      ? solventOn(detail.family, under, part.material)
      : detailOn(detail, under, part.material);
    this.#judged.set(detail.id, { id: detail.id, partId: part.id, below: { verdict, because }, above: null });
    return { verdict, because };
  }

  /** A detail as a film, for the clock: thin, one pass, on its own. */
  #filmOf(detail: Detail, ref: Ref): PlannedFilm {
    return {
      family: detail.family,
      role: 'colour',
      name: detail.name,
      lab: detail.lab,
      layerId: detail.id,
      placeId: this.#context.workshop.dryPlaceId,
      first: ref,
      last: ref,
      coats: 1,
      filmUm: 1,
      normalUm: 1,
      flatted: false,
    };
  }

  #addDecal(decal: Decal, films: PartFilms): void {
    const { part } = this.#chain.of;
    const zone = placeOf(part, decal.zoneId);
    const top = films.on(zone).at(-1) ?? null;
    const below = this.#judgeDecal(decal, top);
    const sealed = decal.kind === 'printed' ? this.#addSeal(decal) : null;
    const ref = this.#chain.add(decalDraft(decal, part, zone, below.because), [
      ...(top
        ? [
            onceReached(
              top,
              decal.kind === 'vinyl' ? 'cured' : 'handle',
              `the ${top.name} must ${decal.kind === 'vinyl' ? 'have cured under vinyl' : 'bear water and a finger'}`,
            ),
          ]
        : []),
      ...(sealed ? [dwell(sealed, [SEAL_DRIES, null], 'the sealing coats on the sheet must be dry')] : []),
    ]);
    this.#laid.push({ zone, ref, decal });
  }

  #addSeal(decal: Decal): Ref {
    return this.#chain.add({
      stage: 'decal',
      subject: `${decal.id}-seal`,
      // The sheet is sealed on the table, not on the part.
      acts: [],
      title: `Seal the printed sheet, ${decal.name}`,
      minutes: SEAL_MINUTES,
      setup: DECAL_SETUP,
      detail: 'two thin water-type coats on the sheet, the first dry before the second',
      because: 'Ink from a home printer runs in water until it is sealed.',
      treatment: `seal ${decal.name}`,
    });
  }

  /** Silvering comes from a rough ground: a gloss film below, or a setting solution. */
  #judgeDecal(decal: Decal, top: PlannedFilm | null): Dressing['below'] {
    const { part } = this.#chain.of;
    const gloss = top && glossOf(top.family, top.role, top.label).gloss;
    const rough = decal.kind !== 'vinyl' && (gloss === null || gloss < GLOSS_ENOUGH);
    const below = rough
      ? {
          verdict: 'care' as const,
          because: `${top ? `The ${top.name} below is not glossy` : 'The bare part is rough'}: air under the film shows silver. Lay a gloss coat first, or use setting solution.`,
        }
      : { verdict: 'sits' as const, because: 'A gloss ground lets it lie without silvering.' };
    this.#judged.set(decal.id, { id: decal.id, partId: part.id, below, above: null });
    return below;
  }
}

/** Ways whose solvent is wiped over the film below. */
const WIPED: readonly DetailWay[] = ['wash', 'wipe-back'];
/** A duller ground keeps air under the film. */
const GLOSS_ENOUGH = 50;

function placeOf(part: Part, zoneId: string): number {
  return Math.max(
    0,
    part.zones.findIndex((zone) => zone.id === zoneId),
  );
}

/** The one with a spare first, the unseen side first, pairs after single ones. */
function inOrder(decals: readonly Decal[]): Decal[] {
  const rank = (decal: Decal) => (decal.spare ? 0 : 2) + (decal.unseen ? 0 : 1);
  return [...decals].sort((a, b) => rank(a) - rank(b) || a.count - b.count);
}

function decalDraft(decal: Decal, part: Part, zone: number, because: string): StepDraft {
  const pair = decal.count === 2 ? ', left and right alike' : decal.count > 1 ? `, ${decal.count} of them` : '';
  return {
    stage: 'decal',
    acts: [decal.kind === 'vinyl' ? 'press-on' : 'decal'],
    subject: decal.id,
    zones: [zone],
    title: `Decal ${decal.name}${pair}`,
    minutes: DECAL_MINUTES * decal.count * part.copies,
    setup: DECAL_SETUP,
    detail: [
      decal.at ? `sits ${decal.at}` : '',
      decal.unseen ? 'the side that is hardly seen first' : '',
      decal.spare ? 'there is a spare: start with it' : '',
      decal.kind === 'vinyl'
        ? 'check length and wrap dry; one edge down, squeegee from the middle'
        : 'check length and wrap dry; cut one by one; soak 20–60 s at 25–30 °C; squeeze from the middle; setting solution over relief',
    ]
      .filter(Boolean)
      .join('; '),
    because,
    treatment: `decal ${decal.name}`,
  };
}

function dryFirst(laid: Laid, onceCured: boolean): Constraint {
  if ('decal' in laid) return dwell(laid.ref, [DECAL_DRIES, null], `the decal ${laid.decal.name} dries a day before anything goes over it`);
  return onceCured
    ? onceReached(laid.film, 'cured', `${laid.detail.name} must have cured: younger it would lift`)
    : onceReached(laid.film, 'handle', `${laid.detail.name} must be dry`);
}
