import { isPreserved, type Material, type Part, type Piece, staysOf } from '#core/facts/index';

/**
 * The walk round a piece with it in hand: the questions that matter most first, each asked once. What stops the work comes
 * before what it costs, and what it costs before what is only good to know.
 */
export type WalkQuestion = {
  readonly key: string;
  readonly topic:
    | 'stops'
    | 'lead'
    | 'repaint'
    | 'limit'
    | 'material'
    | 'finish'
    | 'old-paint'
    | 'marks'
    | 'features'
    | 'joined'
    | 'pictures'
    | 'service'
    | 'missing'
    | 'belongs';
  readonly part?: Part;
  readonly question: string;
  /** How a person finds out. */
  readonly how: string;
};

type Topic = WalkQuestion['topic'];

const WHOLE_FIRST: readonly { readonly topic: Topic; readonly question: string; readonly how: string }[] = [
  { topic: 'stops', question: 'Is any of this on it?', how: 'Look inside and underneath before anything is opened.' },
  {
    topic: 'lead',
    question: 'Was it made before 1990, or do you not know?',
    how: 'Home swabs miss lead; only a laboratory or XRF clears it.',
  },
  {
    topic: 'repaint',
    question: 'Is repainting right at all?',
    how: 'Some pieces lose value and character with their paint. Clean a corner first and look.',
  },
  { topic: 'limit', question: 'How far will you go?', how: 'Written down now, the job does not grow.' },
];

const WHOLE_LAST: readonly { readonly topic: Topic; readonly question: string; readonly how: string }[] = [
  { topic: 'marks', question: 'What is damaged?', how: 'Turn it under a lamp from the side; a fingernail finds what the eye misses.' },
  { topic: 'joined', question: 'How is it held together?', how: 'Screws, tabs, riveted posts, glue: what comes off, and what stays.' },
  {
    topic: 'pictures',
    question: 'Is every side photographed?',
    how: 'Before-pictures of every side; after-pictures come in the same views.',
  },
  { topic: 'missing', question: 'Is anything missing?', how: 'What takes long to come is ordered now.' },
  {
    topic: 'belongs',
    question: 'Does it belong to others, and who wants what?',
    how: 'Pieces seen together get one mix and the same coats.',
  },
];

const OF_PART: readonly {
  readonly topic: Topic;
  readonly question: (part: Part) => string;
  readonly how: string;
  /** Absent: asked of every part that is worked on. */
  readonly asked?: (part: Part) => boolean;
}[] = [
  {
    topic: 'material',
    question: (part) => `${part.name}: what is it made of?`,
    how: 'Magnet first, then a scratch on a hidden face: plated plastic passes for metal. Never a hot needle.',
  },
  {
    topic: 'finish',
    question: (part) => `${part.name}: does the old paint hold?`,
    how: 'Press tape on and pull; look at a chip for the layers below.',
  },
  {
    topic: 'old-paint',
    question: (part) => `${part.name}: what is the old paint?`,
    how: 'Rub a hidden spot for 30 seconds with a cloth wet with lacquer thinner: lacquer dissolves, enamel wrinkles, baked enamel stays.',
    asked: (part) => part.finish !== 'bare' && !staysOf(part),
  },
  {
    topic: 'features',
    question: (part) => `${part.name}: what has to be keyed by hand?`,
    how: 'Paint pops first where paper does not reach.',
  },
  {
    topic: 'service',
    question: (part) => `${part.name}: what must the paint bear?`,
    how: 'Only what is out of the ordinary: it decides which paints may go on.',
  },
];

/** Asked of old paint alone: a piece that is bare all over has none. */
const OF_OLD_PAINT: readonly Topic[] = ['lead', 'repaint'];

const BEFORE_MARKS: readonly Topic[] = ['material', 'finish', 'old-paint'];

function isBareAllOver({ parts }: Pick<Piece, 'parts'>): boolean {
  return parts.length > 0 && parts.every(({ finish }) => finish === 'bare');
}

/** Guesses of a piece that something hangs on: of old paint only where there is some. */
export function openGuesses(piece: Piece): readonly string[] {
  const [bare, preserved] = [isBareAllOver(piece), isPreserved(piece)];
  return piece.guesses.filter((guess) => !(bare && guess === 'lead') && !(preserved && guess.startsWith('coats:')));
}

/** All questions of a piece in order; nothing is asked of parts that stay bare or are not worked on. */
export function walkQuestions(piece: Piece, isWorkedOn: (part: Part) => boolean): WalkQuestion[] {
  const parts = piece.parts.filter((part) => isWorkedOn(part) && part.zones.some((zone) => zone.bare === undefined));
  const isBare = isBareAllOver({ parts });
  const whole = (list: typeof WHOLE_FIRST): WalkQuestion[] => list.map((item) => ({ ...item, key: item.topic }));
  const ofParts = (wanted: (topic: Topic) => boolean): WalkQuestion[] =>
    parts.flatMap((part) =>
      OF_PART.filter(({ topic, asked }) => wanted(topic) && (asked?.(part) ?? true)).map(({ topic, question, how }) => ({
        key: `${topic}:${part.id}`,
        topic,
        part,
        question: question(part),
        how,
      })),
    );
  return [
    ...whole(WHOLE_FIRST.filter(({ topic }) => !OF_OLD_PAINT.includes(topic) || !isBare)),
    ...ofParts((topic) => BEFORE_MARKS.includes(topic)),
    ...whole(WHOLE_LAST),
    ...ofParts((topic) => !BEFORE_MARKS.includes(topic)),
  ];
}

/** Answered: said so, or a draft's guess that is settled. What was passed over is not. */
export function isAnswered(piece: Piece, { key, topic, part }: Pick<WalkQuestion, 'key' | 'topic' | 'part'>): boolean {
  if (isPassedOver(piece, key)) return false;
  if (piece.surveyed?.includes(key)) return true;
  if (topic === 'old-paint') return part?.oldPaint !== undefined;
  const guessed = topic === 'lead' || topic === 'material' || topic === 'finish';
  return guessed && !piece.guesses.includes(key);
}

/** Put off, or not known: it stays open and is listed. */
export function isPassedOver(piece: Piece, key: string): boolean {
  return piece.passedOver?.includes(key) === true;
}

/** The piece with a question answered, and its guess settled. */
export function answered(piece: Piece, key: string): Piece {
  return {
    ...piece,
    guesses: piece.guesses.filter((guess) => guess !== key),
    surveyed: [...new Set([...(piece.surveyed ?? []), key])],
    ...(piece.passedOver ? { passedOver: piece.passedOver.filter((own) => own !== key) } : {}),
  };
}

/** The piece with a question left open: passed over, or answered *not known*. No guess is settled by it. */
export function leftOpen(piece: Piece, key: string): Piece {
  return {
    ...piece,
    ...(piece.surveyed ? { surveyed: piece.surveyed.filter((own) => own !== key) } : {}),
    passedOver: [...new Set([...(piece.passedOver ?? []), key])],
  };
}

/** Materials by the test that tells them, for one press. */
export const MATERIAL_GROUPS: readonly { readonly told: string; readonly materials: readonly Material[] }[] = [
  { told: 'A magnet sticks', materials: ['steel', 'cast-iron', 'tinplate', 'galvanised'] },
  { told: 'Bright metal, no magnet', materials: ['zinc', 'aluminium', 'magnesium', 'brass'] },
  { told: 'A scratch gives plastic dust', materials: ['abs', 'polystyrene', 'resin', 'clear', 'pp', 'plated-plastic'] },
  { told: 'Bends, or is wood', materials: ['vinyl', 'rubber', 'wood', 'unknown'] },
];
