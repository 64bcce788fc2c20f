export {
  type Dimension,
  type Parsed,
  formatMoney,
  formatQuantity,
  typedMoney,
  typedNumber,
  typedQuantity,
  typedTime,
  parseAmount,
  parseMix,
  parseNumber,
  parseQuantity,
  heatText,
  parseMoney,
  parseRatio,
  weightText,
} from './quantities.ts';
export {
  addDays,
  atLocal,
  clockText,
  DAY,
  dateText,
  dayText,
  durationText,
  HOUR,
  localMoment,
  type Minute,
  minuteOfDay,
  momentText,
  monthsFrom,
  monthText,
  noonOf,
  toIso,
  toMinute,
} from './time.ts';
export { asSentence, capital, counted, listed, listedShort, plural, sentences } from './wording.ts';
export { clockFigures, dateFigures, parseClock, parseDate } from './dates.ts';
export { joinedSpans, type Span } from './spans.ts';
export { areaGrowth, quarterSheets, workGrowth, type WorkKind, type WorkSize, workMinutes } from './work.ts';
export { splitExactly } from './shares.ts';
export { FORMULA_LIKE, withoutGuard } from './tableCells.ts';
