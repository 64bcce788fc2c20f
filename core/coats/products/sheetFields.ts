import { familyDrying, ON_LABEL, referenceHours, type Stage, sprayRange } from '#core/drying/index';
import type { Label, Sheet, Source } from '#core/facts/index';
import { filmOfCoat } from '../film.ts';
import { glossOf } from '../looks/sheen.ts';

/** A product sheet as a person reads it: each line with its value, its unit, and whether the label or the family speaks. */

export type SheetField = {
  readonly key: keyof Label;
  readonly name: string;
  readonly unit: 'min' | 'µm' | '%' | '°C' | 'GU';
  /** In the unit above; null: the family has none, or never. */
  readonly value: number | null;
  readonly source: 'label' | 'default';
};

const STAGES: readonly (readonly [Stage, string])[] = [
  ['touch', 'touch dry'],
  ['coatFrom', 'next coat from'],
  ['layerFrom', 'another paint from'],
  ['again', 'again from, once shut'],
  ['flat', 'may be flatted'],
  ['tape', 'tape-safe'],
  ['handle', 'handle'],
  ['fit', 'fit, screws'],
  ['cure', 'cured'],
];

/** Every figure of a sheet: label first, the family's default where it says nothing. */
export function sheetFields(sheet: Pick<Sheet, 'family' | 'role' | 'hand' | 'label'>): SheetField[] {
  const { family, role, hand, label } = sheet;
  const drying = familyDrying(family);
  const film = filmOfCoat(family, role, hand, label);
  const range = sprayRange(drying.early ?? drying.mechanism, family, label);
  const from = (key: keyof Label) => (label[key] === undefined ? ('default' as const) : ('label' as const));
  const until = label.coatUntilMin ?? (drying.coatUntil === null ? null : drying.coatUntil * 60);
  const stages = STAGES.map(([stage, name]): SheetField => {
    const { hours, source } = referenceHours(drying, stage, label);
    // A window that never shuts never reopens.
    const none = hours === null || (stage === 'again' && until === null);
    return { key: ON_LABEL[stage], name, unit: 'min', value: none ? null : minutesOf(hours, source), source };
  });
  return [
    ...stages.slice(0, 2),
    { key: 'coatUntilMin', name: 'window shuts after', unit: 'min', value: until, source: from('coatUntilMin') },
    ...stages.slice(2, 3),
    said('layerUntilMin', 'another paint until', 'min', label),
    said('clearFromMin', 'a clear from', 'min', label),
    said('clearUntilMin', 'a clear until', 'min', label),
    ...stages.slice(3),
    { key: 'filmUm', name: 'film a coat', unit: 'µm', value: film.filmUm, source: from('filmUm') },
    { key: 'solids', name: 'solids as sprayed', unit: '%', value: film.solids * 100, source: from('solids') },
    { key: 'gloss', name: 'gloss', unit: 'GU', value: glossOf(family, role, label).gloss, source: from('gloss') },
    { key: 'minC', name: 'spray from', unit: '°C', value: range.minC, source: from('minC') },
    { key: 'maxC', name: 'spray to', unit: '°C', value: range.maxC, source: from('maxC') },
    { key: 'maxRh', name: 'humidity at most', unit: '%', value: range.maxRh, source: from('maxRh') },
    said('heatC', 'heat in service at most', '°C', label),
    said('potLifeMin', 'pot life', 'min', label),
    said('inductionMin', 'induction', 'min', label),
  ];
}

/** A label’s time stays as it was typed; what is usual is said in whole minutes. */
function minutesOf(hours: number, source: Source): number {
  return source === 'label' ? hours * 60 : Math.round(hours * 60);
}

type Said = 'layerUntilMin' | 'clearFromMin' | 'clearUntilMin' | 'heatC' | 'potLifeMin' | 'inductionMin';

/** A figure only the label can give: without its word there is none. */
function said(key: Said, name: string, unit: SheetField['unit'], label: Label): SheetField {
  return { key, name, unit, value: label[key] ?? null, source: label[key] === undefined ? 'default' : 'label' };
}

/** What label and family together make impossible: a window that shuts before it opens, a range upside down; null where they agree. */
export function oddLabel(sheet: Pick<Sheet, 'family' | 'role' | 'hand' | 'label'>): string | null {
  const fields = sheetFields(sheet);
  const figure = (key: keyof Label) => fields.find((field) => field.key === key)?.value ?? null;
  const [coldest, warmest] = [figure('minC'), figure('maxC')];
  if (coldest !== null && warmest !== null && coldest >= warmest)
    return `It could never be sprayed: from ${coldest} °C, to ${warmest} °C. Type both ends of the label’s range.`;
  const [from, until] = [figure('coatFromMin'), figure('coatUntilMin')];
  if (from === null || until === null || from < until) return null;
  return `The recoat window closes before it opens: next coat from ${from} min, shut after ${until} min. Type both times of the label.`;
}
