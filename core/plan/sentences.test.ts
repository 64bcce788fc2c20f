import { checkRows, planJson } from '#core/ask/index';
import { newWorkshop, starterShelf } from '#core/buying/index';
import { knownIn, remediesFor } from '#core/coats/index';
import { conditionsOf } from '#core/drying/index';
import { EMPTY_FACTS, type Facts } from '#core/facts/index';
import { dressedPiece } from '#core/invented/index';
import { draftPiece, plan, planView, type QuickAnswers } from '#core/plan/index';
import { describe, expect, it } from 'vitest';

/** Six jobs of very different kind and size, each planned from an empty workshop: every sentence they make is read here. */

const NOW = Date.UTC(2026, 11, 1, 18) / 60_000;
const red = [{ name: 'red', hex: '#c23a2a' }];
const JOBS: readonly (readonly [string, Pick<QuickAnswers, 'looksLike' | 'longestMm' | 'aim' | 'colours'>])[] = [
  ['a 60 mm casting', { looksLike: 'cast-body', longestMm: 60, aim: 'own-scheme', colours: red }],
  ['a perforated case', { looksLike: 'sheet-case', longestMm: 320, aim: 'as-original', colours: red }],
  ['a panel a metre wide', { looksLike: 'large-panel', longestMm: 1300, aim: 'serviceable', colours: red }],
  [
    'a kit with clear parts',
    { looksLike: 'clear-kit', longestMm: 240, aim: 'own-scheme', colours: [...red, { name: 'cream', hex: '#e6dcc0' }] },
  ],
  ['a grained trim', { looksLike: 'grained-trim', longestMm: 600, aim: 'serviceable', colours: [{ name: 'black', hex: '#1e1f20' }] }],
  ['a tinplate toy to preserve', { looksLike: 'tinplate-toy', longestMm: 150, aim: 'preserve', colours: [] }],
];

function planned(answers: (typeof JOBS)[number][1]) {
  const { workshop, places } = newWorkshop('Europe/Lisbon');
  let ids = 0;
  const newId = () => `raw-${++ids}-id`;
  const base: Facts = { ...EMPTY_FACTS, ...starterShelf(), workshop: [{ ...workshop, started: true }], places };
  const { piece, events } = draftPiece(
    { name: 'Job', whereNow: 'untouched', ...answers },
    NOW,
    workshop.hands,
    newId,
    [],
    workshop.dryPlaceId,
  );
  return readable({ ...base, pieces: [piece], events: [...events] });
}

function readable(facts: Facts) {
  const result = plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW) });
  const rows = checkRows(result, facts, ({ joint }) => remediesFor(joint.below, joint.above, knownIn(joint.answer)).map((own) => own.text));
  return { view: planView(result), json: planJson(result, facts, rows) };
}

/** Fields that hold names for the program, not for a person. */
const NOT_READ =
  /^(id|.*Ids?|keys|key|mix|want|rule|kind|with|treatment|batch|at|from|to|step|stepKeys|nextStepId|layerIds|together|method|stage|family|role|hand|spec|outcome|by|unit)$/;

/** Every text with a space in it that a person may come to read, with where it stands. */
function texts(value: unknown, path = ''): [string, string][] {
  if (typeof value === 'string') return value.includes(' ') ? [[path, value]] : [];
  if (value instanceof Map) return [...value.values()].flatMap((own) => texts(own, path));
  if (Array.isArray(value)) return value.flatMap((own) => texts(own, path));
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, own]) => (NOT_READ.test(key) ? [] : texts(own, `${path}.${key}`)));
}

const WRONG: readonly (readonly [string, RegExp])[] = [
  ['one of many', /(?<![\d.,:–-])1 (?!(?:as|is|has|this|was|less|plus|of|lens|glass|gloss)\b)[a-z]{2,}s\b/],
  ['a word twice', /\b([a-z]{2,}) \1\b/i],
  ['a unit twice', /(µm|mm|mL|min|°C|EUR|%|h) \1(?![a-z])/],
  ['a raw id', /raw-\d+-id|starter-/],
  ['a value that is none', /undefined|NaN|null|\[object|Infinity/],
  ['two marks', /[.,;:]{2}|\.\s*\.|,\s*\./],
  ['a space before a mark', / [.,;:](?!\d)/],
  ['a bare fraction of money or minutes', /\d\.\d{3,}/],
  [
    'a name for the program',
    /\b(own-scheme|as-original|pressed-toy|rust-light|metal-prep|strip-off|fine-primer|acrylic-lacquer|lacquer-primer)\b/,
  ],
];
/** Fields that hold whole sentences: each has a verb. */
const SENTENCES = /\.(because|noDateWhy|undecided|why)$/;
const VERB =
  /\b(is|are|was|be|been|has|have|had|do|does|may|can|must|will|would|goes|go|takes?|needs?|wants?|holds?|keeps?|stays?|comes?|lets?|gives?|shows?|makes?|lies|lie|waits?|rests?|sits?|dries|fuses?|softens?|lifts?|wrinkles?|bites?|crazes?|clouds?|serves?|tells?|costs?|counts?|follows?|gains?|hides?|leaves?|brings?|rusts?|asks?|starts?|ends?|turns?|fits?|raises?|cleans?|grips?|carry|carries|stands?|reaches|reach|levels?|opens?|shuts?|bears?|eats?|attacks?|ruins?|works?|protects?|looks?|reads?|speaks?|loses?|opens|swells?|beats?|stops?|planned|use[sd]?|rub|wash|mist|flat|key|scuff|put|try|say|choose|prime|clear|spray|judge|press|dissolves?|hardens?|names?|fills?|removes?|runs?|seals?|spread|spreads|shrinks?|settles?|see[ns]?|found|cures?|evaporates?|drinks?|pulls?|tears?|scratches|passes|pass|saves?|begins?|fails?)\b/i;

function dressed() {
  const { workshop, places } = newWorkshop('Europe/Lisbon');
  return readable({ ...EMPTY_FACTS, ...starterShelf(), workshop: [{ ...workshop, started: true }], places, pieces: [dressedPiece(NOW)] });
}

describe('every sentence of seven jobs', () => {
  it.each([...JOBS.map(([name, answers]) => [name, () => planned(answers)] as const), ['a tram with everything on it', dressed] as const])(
    '%s',
    (_name, made) => {
      const { view, json } = made();
      const read = [...texts(view), ...texts(json)];
      expect(read.length).toBeGreaterThan(20);
      const faults = read.flatMap(([path, text]) =>
        WRONG.flatMap(([what, wrong]) => (wrong.test(text) ? [`${what} in ${path}: ${text}`] : [])),
      );
      expect([...new Set(faults)]).toEqual([]);
      const verbless = read.flatMap(([path, text]) =>
        SENTENCES.test(path)
          ? text
              .split(/(?<=[.!?])\s+/)
              .filter((sentence) => !VERB.test(sentence))
              .map((sentence) => `${path}: ${sentence}`)
          : [],
      );
      expect([...new Set(verbless)]).toEqual([]);
    },
  );
});
