import { finestRelief } from '#core/coats/index';
import { airAt, airVerdict, type Conditions, familyDrying, sprayRange } from '#core/drying/index';
import { type Act, type Material, type Part, staysOf, type StripMethod } from '#core/facts/index';
import { dwellOn, dwells, FLASH_RUSTING, stripQuestionOf, stripVerdict } from '#core/strip/index';
import { DAY, durationText, listed } from '#core/units/index';
import { TOLERANCE } from '../verified.ts';
import { keyOf } from './keys.ts';
import { does, type Found, laterOn, type Rule, startOf, topsOf, zonesOf } from './scene.ts';
import { ASKS_MATERIAL, BARES, DOING } from './table.ts';

/** What the material itself does not bear, and what must not be left lying (trade §3, §4, §6). */

/** Unknown is the worst of all it may be: finding out comes first. */
export const unknownMaterial: Rule = ({ part, step, state }) => {
  const act = does(step, ASKS_MATERIAL);
  if (part.material !== 'unknown' || state.tested || !act) return [];
  return [
    {
      rule: 'unknown-material',
      because: `Nobody knows what ${part.name} is made of, and it is ${DOING[act]}: it may be what bears that least.`,
      mend: { text: 'Test it first: magnet, scratch, float.' },
    },
  ];
};

type Nature = { readonly is: (part: Part) => boolean; readonly acts: readonly Act[]; readonly why: string };

const STRIPS: readonly Act[] = [
  'strip-gel',
  'strip-chlorinated',
  'strip-caustic',
  'strip-alkaline',
  'strip-alcohol',
  'strip-brush',
  'strip-blast',
  'strip-heat',
  'bath',
];

const NATURES: readonly Nature[] = [
  {
    is: ({ material }) => material === 'wood',
    acts: ['water-wash', 'bath'],
    why: 'wet wood swells and raises its grain: brush it and wipe it with spirit',
  },
  {
    is: (part) => staysOf(part) === 'clear',
    acts: [...STRIPS, 'scuff', 'dry-sand', 'wet-sand', 'solvent-wipe', 'spray', 'heat'],
    why: 'it stays clear and is only cleaned',
  },
  {
    is: (part) => staysOf(part) === 'plated' || staysOf(part) === 'printed',
    acts: [...STRIPS, 'scuff', 'dry-sand', 'wet-sand', 'solvent-wipe', 'spray'],
    why: 'its face stays as it is and is only cleaned',
  },
  {
    is: ({ material, staysPlated }) => material === 'plated-plastic' && staysPlated === undefined,
    acts: ['strip-gel', 'strip-chlorinated', 'strip-caustic', 'strip-alkaline', 'strip-brush', 'strip-blast', 'strip-heat'],
    why: 'nobody has said that its plating goes',
  },
  {
    is: ({ surface }) => surface === 'grained',
    acts: ['dry-sand', 'wet-sand', 'strip-brush', 'strip-blast'],
    why: 'paper levels the grain: prep cleaner and a grey pad',
  },
  {
    is: ({ material }) => material === 'magnesium',
    acts: ['dry-sand', 'heat', 'acid-prep', 'strip-caustic', 'strip-alkaline', 'strip-brush', 'strip-blast'],
    why: 'magnesium burns and gasses: a wash, gel and wet scuffing by hand, nothing else',
  },
  {
    is: ({ stops }) => stops?.includes('celluloid') === true,
    acts: ['solvent-wipe', 'heat', 'strip-gel', 'strip-chlorinated', 'strip-alcohol'],
    why: 'celluloid takes no heat, spark or solvent',
  },
];

const METHOD_OF: Partial<Record<Act, StripMethod>> = {
  'strip-gel': 'gel',
  'strip-chlorinated': 'chlorinated',
  'strip-caustic': 'caustic',
  'strip-alkaline': 'alkaline',
  'strip-alcohol': 'alcohol',
  'strip-brush': 'brush',
  'strip-blast': 'blast',
  'strip-heat': 'heat',
};

/** What the material never bears. */
export const harmsMaterial: Rule = ({ part, piece, step }) => {
  if (step.stage === 'look') return [];
  const natures = NATURES.filter(({ is }) => is(part)).flatMap(({ acts, why }) => {
    const act = does(step, acts);
    return act ? [{ act, why }] : [];
  });
  const methods = step.acts.flatMap((act) => {
    const method = METHOD_OF[act];
    const verdict = method && stripVerdict(stripQuestionOf(part, piece), method);
    // Bare metal that is brushed or blasted clean loses nothing; what melts is never bathed, whatever lies on it.
    return verdict?.verdict === 'never' && part.material !== 'unknown' && part.finish !== 'bare'
      ? [{ act, why: verdict.because.replace(/\.$/, '') }]
      : verdict?.verdict === 'never' && MELTS.includes(part.material)
        ? [{ act, why: verdict.because.replace(/\.$/, '') }]
        : [];
  });
  const [worst] = [...natures, ...methods];
  if (!worst) return [];
  const method = METHOD_OF[worst.act];
  return [
    {
      rule: 'harms-material',
      because: `${part.name} is ${DOING[worst.act]}: ${worst.why}.`,
      mend: { text: 'Wash it only, or choose a method it bears under Strip and prep.' },
      ...(method && part.stripMethod === method ? { chosenBy: 'person' as const } : {}),
    },
  ];
};

const MELTS: readonly Material[] = ['abs', 'polystyrene', 'resin', 'clear', 'vinyl', 'rubber', 'plated-plastic'];

/** A patch, a gel or a bath is looked at within its longest dwell. */
export const watched: Rule = (scene) => {
  const { step, part } = scene;
  if (step.stage !== 'strip-on' || !step.method || !dwells(step.method)) return [];
  const off = laterOn(scene).find((own) => own.stage === 'strip-off' && own.method === step.method);
  const { most } = dwellOn(step.method, part.material);
  const lay = off?.placed && step.placed ? off.placed.start - step.placed.end : null;
  if (off && (lay === null || lay <= most + TOLERANCE)) return [];
  return [
    {
      rule: 'watched',
      because:
        lay === null
          ? `Nobody takes off what “${step.title}” puts on.`
          : `What “${step.title}” puts on lies for ${durationText(lay)}; ${durationText(most)} is the longest.`,
      mend: { text: 'Put it on in another stay, or take a method that can wait.' },
    },
  ];
};

/** Plain tape stays its day; what lasts longer is plugged, papered or painted with liquid mask. */
export const lastingCover: Rule = ({ step, state }) => {
  const on = state.taped.get(keyOf(step).subject);
  const start = startOf(step);
  if (!step.acts.includes('untape') || !on || on.since === null || start === null || on.acts.includes('cover')) return [];
  return start - on.since <= DAY + TOLERANCE
    ? []
    : [
        {
          rule: 'lasting-cover',
          because: `Plain tape stays on for ${durationText(start - on.since)}: after a day it lets go at the edge, or leaves its glue.`,
          mend: { text: 'Paper over low-tack, a plug or liquid mask, and the edge taped anew.' },
        },
      ];
};

const CAST: readonly Material[] = ['zinc', 'abs', 'polystyrene', 'resin', 'magnesium', 'pp'];
const FINEST_FACE_GRIT = 400;
const FINE_RELIEF_UM = 300;
const SMALL_MM = 150;

/** The paper fits the relief: coarse grit belongs to plain faces and marked damage (trade §4). */
export const paperFits: Rule = ({ step, part, piece }) => {
  if (step.stage !== 'prep' && step.stage !== 'flat' && step.stage !== 'strip') return [];
  // Layer lines of a printed part are marked damage all over.
  if (!CAST.includes(part.material) || part.surface === '3d-printed') return [];
  const relief = finestRelief(piece.scale);
  const fine = (relief !== null && relief < FINE_RELIEF_UM) || piece.longestMm < SMALL_MM;
  const coarse = step.supplies
    .filter(({ kind }) => kind === 'paper')
    .map(({ spec }) => Number(spec?.replace(/^P/, '')))
    .filter((grit) => grit < FINEST_FACE_GRIT);
  if (!fine || coarse.length === 0) return [];
  return [
    {
      rule: 'paper-fits',
      because: `${listed([...new Set(coarse)].map((grit) => `P${grit}`))} goes over a face with relief ${relief === null ? `of ${Math.round(piece.longestMm)} mm` : `of ${relief} µm`}: edges and detail go with it.`,
      mend: { text: 'Brush it, or once over with P600; P320 or a file only where a line or pit is marked.' },
    },
  ];
};

/** Families that may lie on bare wood. */
const ON_WOOD = ['wood-sealer', 'waterborne-sealer'];

/** Bare wood takes a sealer or its own primer first (trade §6, rule 6). */
export const sealedWood: Rule = (scene) => {
  const { part, step, state } = scene;
  if (part.material !== 'wood' || !step.coat || part.finish === 'sound' || ON_WOOD.includes(step.coat.family)) return [];
  if (!zonesOf(scene).some((zone) => state.films.on(zone).length === 0)) return [];
  return [
    {
      rule: 'sealed-wood',
      layerId: step.coat.layerId,
      because: `“${step.title}” goes on bare wood: it drinks the first coat and its grain stands up.`,
      mend: { text: 'A sanding sealer below it.' },
      chosenBy: 'person',
    },
  ];
};

const WATER = ['water-acrylic', 'waterborne-base', 'waterborne-sealer', 'latex'];

/** Bright steel is covered or treated before it rusts (trade §3). */
export const bareSteel: Rule = (scene) => {
  const { part, step, state, clocks, facts } = scene;
  if (!FLASH_RUSTING.includes(part.material)) return [];
  const open = zonesOf(scene).some((zone) => state.films.on(zone).length === 0);
  if (step.coat && WATER.includes(step.coat.family) && open && part.finish === 'bare') return [onWater(step.title, step.coat.layerId)];
  const start = startOf(step);
  const covers = step.coat !== undefined || step.acts.includes('acid-prep');
  if (start === null || !covers || !open || step.placed?.scuff) return [];
  const bared = state.been.findLast((own) => does(own, BARES) || own.acts.includes('acid-prep') || own.coat);
  if (!bared?.placed || !does(bared, BARES)) return [];
  const boxed = state.been.some((own) => own.afterwards !== undefined && own.placed && own.placed.end >= (bared.placed?.end ?? 0));
  const rusts = clocks.flashRust(facts.workshop[0].sprayPlaceId, bared.placed.end);
  if (boxed || start <= rusts + TOLERANCE) return [];
  return [
    {
      rule: 'bare-steel',
      because: `The steel lies bright for ${durationText(start - bared.placed.end)} before “${step.title}”: it rusts meanwhile.`,
      mend: { text: 'Metal prep in the same stay, or the first coat.' },
      // A step of one’s own that stands behind the metal prep bares it again.
      ...(bared.stage === 'task' ? { chosenBy: 'person' as const } : {}),
    },
  ];
};

/** What was bared, by the log, and left so past its hours: its rust comes off first, and whose doing it was is said (trade §3). */
export const leftBright: Rule = ({ part, step, state, sensed }) => {
  const brushed = step.stage === 'prep' && step.acts.includes('strip-brush');
  if (!brushed || !FLASH_RUSTING.includes(part.material) || state.been.some((own) => does(own, BARES))) return [];
  if (state.workedAt === null) return [];
  return [
    {
      rule: 'bare-steel',
      chosenBy: 'person',
      because: `${part.name} was left bright for ${durationText(sensed.now - state.workedAt)}: out of a dry box it has rusted meanwhile.`,
      mend: { text: 'The rust is rubbed off first. Next time metal prep, or the first coat, in the same stay.' },
    },
  ];
};

function onWater(title: string, layerId: string): Found {
  return {
    rule: 'bare-steel',
    layerId,
    chosenBy: 'person',
    because: `“${title}” is water on bare steel: it flash-rusts under the film unless the label says inhibited.`,
    mend: { text: 'A lacquer or epoxy primer below it.' },
  };
}

/** A sprayed coat goes on in air that lets it (trade §8). */
export function airRule(conditions: Conditions): Rule {
  return ({ step, facts }) => {
    const air = conditions[facts.workshop[0].sprayPlaceId];
    if (!air || !step.coat || !step.placed || step.coat.hand === 'brush') return [];
    const { productId, family } = step.coat;
    const sheetId = facts.products.find(({ id }) => id === productId)?.sheetId;
    const label = facts.sheets.find(({ id }) => id === sheetId)?.label;
    const drying = familyDrying(family);
    const verdict = airVerdict(airAt(air, step.placed.start), sprayRange(drying.early ?? drying.mechanism, family, label));
    return verdict.verdict === 'stop'
      ? [{ rule: 'air', because: `“${step.title}”: ${verdict.because}`, mend: { text: 'Spray it when the air lets it, or elsewhere.' } }]
      : [];
  };
}

/** The same work twice with nothing between is work for nothing. */
export const doneAgain: Rule = (scene) => {
  const { step, state } = scene;
  const last = state.been.at(-1);
  if (!last || step.coat || last.coat || topsOf(scene).length > 0) return [];
  const twice = step.acts.length === 1 && last.acts.length === 1;
  // A sitting carries on the one before it.
  const carriesOn = keyOf(step).number >= 100;
  const [act] = step.acts;
  const [before] = last.acts;
  const sanded = (act === 'scuff' && (before === 'dry-sand' || before === 'wet-sand')) || (act === before && act === 'water-wash');
  const samePaper = act === before && (act === 'dry-sand' || act === 'scuff') && step.grit !== undefined && step.grit === last.grit;
  if (!twice || carriesOn || step.stage === 'repair' || !(sanded || samePaper)) return [];
  return [
    {
      rule: 'done-again',
      because: `“${step.title}” is done where “${last.title}” has just done it.`,
      mend: { text: 'Leave one of the two out.' },
    },
  ];
};

/** What has been taken out gets no work, and what stays bare no coat. */
export const gone: Rule = (scene) => {
  const { part, step } = scene;
  if (part.gone && step.acts.length > 0)
    return [
      {
        rule: 'gone',
        because: `“${step.title}” is planned on ${part.name}, which was taken out.`,
        mend: { text: 'Take the step out too.' },
      },
    ];
  const bare = zonesOf(scene).some((id) => part.zones.find((zone) => zone.id === id)?.bare !== undefined);
  if (!step.coat || !bare) return [];
  return [
    {
      rule: 'gone',
      layerId: step.coat.layerId,
      because: `“${step.title}” goes onto a zone of ${part.name} that stays bare.`,
      mend: { text: 'Mask that zone, or let the layer cover the others alone.' },
    },
  ];
};
