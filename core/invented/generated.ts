import { EMPTY_FACTS, type Facts } from '#core/facts/index';
import { newWorkshop, starterShelf } from '#core/buying/index';
import { draftPiece, type QuickAnswers, seededRandom } from '#core/plan/index';

/** Workshops made up from a seed, for property tests and the benchmark: the same seed, the same workshop. */

const LOOKS = ['cast-body', 'pressed-toy', 'wheels-axles', 'wire-cage', 'sheet-case', 'plastic-shell', 'bracket-set'] as const;
const WHERE = ['untouched', 'bare', 'primed', 'coloured'] as const;
const SYSTEMS = ['quickest', 'hardest', 'cheapest'] as const;
const HEXES = ['#e6dcc0', '#1d4b78', '#2c6b3a', '#c23a2a', '#26282a', '#e8c020', '#f4f4f0'];

export function generatedFacts(pieces: number, seed: number, now: number): Facts {
  const random = seededRandom(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)];
  let ids = 0;
  const newId = () => `g${seed}-${++ids}`;
  const { workshop, places } = newWorkshop('Europe/Lisbon');
  const facts: Facts = {
    ...EMPTY_FACTS,
    ...starterShelf(),
    workshop: [{ ...workshop, started: true, hands: ['aerosol', 'airbrush', 'brush'] }],
    places,
    pieces: [],
    events: [],
  };
  for (let index = 0; index < pieces; index++) {
    const answers: QuickAnswers = {
      name: `Piece ${index + 1}`,
      looksLike: pick(LOOKS),
      longestMm: 40 + Math.floor(random() * 300),
      aim: 'own-scheme',
      whereNow: pick(WHERE),
      system: pick(SYSTEMS),
      colours: Array.from({ length: 1 + Math.floor(random() * 3) }, (_, at) => ({ name: `colour ${at + 1}`, hex: pick(HEXES) })),
    };
    const createdAt = now - Math.floor(random() * 5000);
    const drafted = draftPiece({ ...answers, since: createdAt - 2880 }, createdAt, workshop.hands, newId, [], workshop.dryPlaceId);
    facts.pieces.push(drafted.piece);
    facts.events.push(...drafted.events);
  }
  return facts;
}
