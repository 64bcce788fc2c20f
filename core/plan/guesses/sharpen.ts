import type { Conditions } from '#core/drying/index';
import { type Facts, type Material, plain, type Part, type Piece } from '#core/facts/index';
import { scaledFaces, openGuesses } from '#core/survey/index';
import { counted, DAY, listed, type Minute, sentences } from '#core/units/index';
import { plan } from '../plan.ts';

/** The few guesses that matter most: each is put to its plausible other values and the plan is worked out again. */

export type SharpenAnswer = { readonly label: string; readonly piece: Piece };
export type SharpenQuestion = {
  readonly guess: string;
  readonly question: string;
  readonly answers: readonly SharpenAnswer[];
  /** What hangs on it, in words. */
  readonly stake: string;
  readonly weight: number;
};

type Outcome = { readonly stops: number; readonly end: Minute; readonly money: number; readonly minutes: number };

type Weighed = { readonly question: SharpenQuestion; readonly outcomes: readonly Outcome[] };

/** All open guesses of a piece, weightiest first; a guess that changes nothing is not asked. */
export function sharpen(piece: Piece, facts: Facts, now: Minute, conditions: Conditions): SharpenQuestion[] {
  return weighed(piece, facts, now, conditions).weighed.map(({ question }) => question);
}

export type Outlook = { readonly leastMoney: number; readonly mostMoney: number; readonly leastKnown: string | null };

/** What a piece may cost over the plausible values of each guess, one at a time, and the guess that matters most. */
export function outlook(piece: Piece, facts: Facts, now: Minute, conditions: Conditions): Outlook {
  const { asGuessed, weighed: guesses } = weighed(piece, facts, now, conditions);
  const money = [asGuessed, ...guesses.flatMap(({ outcomes }) => outcomes)].map((outcome) => outcome.money);
  return { leastMoney: Math.min(...money), mostMoney: Math.max(...money), leastKnown: guesses[0]?.question.question ?? null };
}

function weighed(piece: Piece, facts: Facts, now: Minute, conditions: Conditions): { asGuessed: Outcome; weighed: Weighed[] } {
  const alone = (changed: Piece): Outcome => {
    const result = plan({ facts: { ...facts, pieces: [changed] }, now, conditions });
    const own = result.pieces[0];
    return { stops: own.stopped ? 1 : 0, end: own.planned ?? now + 60 * DAY, money: own.money.total, minutes: own.attendedMinutes };
  };
  const asGuessed = alone(piece);
  const all = openGuesses(piece)
    .flatMap((guess): Weighed[] => {
      const asked = questionFor(guess, piece);
      if (!asked) return [];
      const outcomes = asked.answers.map((answer) => alone(answer.piece));
      const days = spread(outcomes.map((outcome) => outcome.end).concat(asGuessed.end)) / DAY;
      const money = spread(outcomes.map((outcome) => outcome.money).concat(asGuessed.money));
      const minutes = spread(outcomes.map((outcome) => outcome.minutes).concat(asGuessed.minutes));
      const turns = outcomes.some((outcome) => outcome.stops !== asGuessed.stops);
      const weight = (turns ? 100 : 0) + days * 5 + money / 100 + minutes / 20;
      return weight < 0.5 ? [] : [{ question: { guess, ...asked, weight, stake: stakeText(turns, days, money, minutes) }, outcomes }];
    })
    .sort((a, b) => b.question.weight - a.question.weight);
  return { asGuessed, weighed: all };
}

function spread(values: readonly number[]): number {
  return Math.max(...values) - Math.min(...values);
}

function stakeText(turns: boolean, days: number, money: number, minutes: number): string {
  const span = [
    days >= 1 ? counted(Math.round(days), 'day') : '',
    minutes >= 10 ? `${Math.round(minutes)} min at the bench` : '',
    money >= 100 ? `${(money / 100).toFixed(2)} of money` : '',
  ].filter((text) => text !== '');
  const decides = turns ? 'It decides whether it can be painted so at all.' : '';
  return (
    sentences(decides, span.length > 0 ? `The answer moves the plan by up to ${listed(span.slice(0, 2))}` : '') || 'It changes little.'
  );
}

function questionFor(guess: string, piece: Piece): Pick<SharpenQuestion, 'question' | 'answers'> | null {
  const settled = { ...piece, guesses: piece.guesses.filter((open) => open !== guess) };
  if (guess === 'lead') {
    return {
      question: 'Was it made before 1990, or do you not know?',
      answers: [
        { label: 'Before 1990', piece: { ...settled, leadExcluded: false } },
        { label: 'A laboratory cleared it', piece: { ...settled, leadExcluded: true } },
      ],
    };
  }
  const [kind, partId] = guess.split(':');
  const part = piece.parts.find((candidate) => candidate.id === partId);
  if (!part) return null;
  const withPart = (change: Partial<Part>): Piece => ({
    ...settled,
    parts: piece.parts.map((own) => (own.id === partId ? { ...own, ...change } : own)),
  });
  if (kind === 'material') return materialQuestion(part, withPart);
  if (kind === 'finish') {
    return {
      question: `${part.name}: is the old paint sound? Press tape on and pull.`,
      answers: [
        { label: 'Holds', piece: withPart({ finish: 'sound' }) },
        { label: 'Flakes', piece: withPart({ finish: 'flaking' }) },
        { label: 'Bare already', piece: withPart({ finish: 'bare' }) },
      ],
    };
  }
  if (kind === 'size') {
    const sized = (factor: number) =>
      withPart({
        faces: scaledFaces(part.faces, factor),
      });
    const longest = Math.max(...part.faces.map((face) => face.longMm));
    return {
      question: `${part.name}: is the longest face about ${Math.round(longest)} mm?`,
      answers: [
        { label: 'Smaller', piece: sized(0.75) },
        { label: 'About so', piece: settled },
        { label: 'Larger', piece: sized(1.3) },
      ],
    };
  }
  return null;
}

const ALTERNATIVES: Partial<Record<Material, readonly { label: string; material: Material }[]>> = {
  abs: [
    { label: 'Hard and tough', material: 'abs' },
    { label: 'Brittle, a kit', material: 'polystyrene' },
    { label: 'Waxy, floats', material: 'pp' },
  ],
};
const METALLIC_ALTERNATIVES = [
  { label: 'Magnet sticks', material: 'steel' as const },
  { label: 'No, and heavy', material: 'zinc' as const },
  { label: 'No, and light', material: 'aluminium' as const },
];

function materialQuestion(part: Part, withPart: (change: Partial<Part>) => Piece): Pick<SharpenQuestion, 'question' | 'answers'> {
  const options = ALTERNATIVES[part.material] ?? METALLIC_ALTERNATIVES;
  const question =
    part.material === 'unknown'
      ? `${part.name}: what is it made of? Try a magnet.`
      : `${part.name}: ${plain(part.material)}? ${options === METALLIC_ALTERNATIVES ? 'Try a magnet.' : 'Look at a hidden edge.'}`;
  return { question, answers: options.map(({ label, material }) => ({ label, piece: withPart({ material }) })) };
}
