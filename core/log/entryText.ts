import { supplyName, supplyText } from '#core/amounts/index';
import { type Facts, type LogEvent, type Piece, plain, standingZones, type WarmBy, type WorkStage } from '#core/facts/index';
import { capital, counted, durationText, listed, toMinute } from '#core/units/index';
import { STAGE_NAMES } from './stageNames.ts';

const OUTCOMES = { clean: 'came off clean', most: 'most came off', little: 'hardly anything came off', harmed: 'it harmed the part' };

const INSPECTED = { accepted: 'Accepted as it is', 'one-more': 'One more coat', 'sent-back': 'Sent back' };
const SPOILED = { curdled: 'It curdled', 'wrong-colour': 'The wrong colour', dried: 'Dried up', spilt: 'Spilt' };
const PARTED = {
  'came-off': 'A fastening came off',
  'would-not': 'A fastening would not come off',
  broke: 'A fastening broke',
  left: 'A fastening was left',
};

/** How moments, money and volumes are said here. */
export type EntryWords = {
  readonly moment: (at: number) => string;
  readonly money: (minor: number) => string;
  readonly volume: (ml: number) => string;
  readonly temperature: (celsius: number) => string;
};

const WARMED: Readonly<Record<WarmBy, string>> = {
  oven: 'In the low oven',
  sun: 'In full sun',
  'warm-room': 'In the warm room',
};

/** Zones of a part by name, where a coat went on some of them only. */
function zonesNamed(
  piece: Piece | undefined,
  { partId, zoneIds }: { readonly partId: string; readonly zoneIds: readonly string[] },
): string[] {
  const part = piece?.parts.find((own) => own.id === partId);
  const painted = part ? standingZones(part).filter((zone) => zone.bare === undefined) : [];
  const own = painted.filter((zone) => zoneIds.includes(zone.id));
  return own.length === 0 || own.length === painted.length ? [] : own.map((zone) => zone.name.toLowerCase());
}

/** What is, or was, in a can: entered by hand, bought, or the jar of a mix. */
function paintInCan(canId: string, { cans, events, products }: Facts): string {
  const made = events.find((event) => (event.kind === 'bought' || event.kind === 'mixed') && canId.startsWith(`${event.id}-`));
  const productId = cans.find((can) => can.id === canId)?.productId ?? (made && 'productId' in made ? made.productId : undefined);
  return products.find((product) => product.id === productId)?.name ?? '';
}

/** An entry of the log in plain words: what, and to what. */
export function entryText(event: LogEvent, facts: Facts, words: EntryWords): { readonly what: string; readonly who: string } {
  const piece = 'pieceId' in event && event.pieceId ? facts.pieces.find((own) => own.id === event.pieceId) : undefined;
  const parts = (ids: readonly string[]) =>
    ids.map((id) => piece?.parts.find((part) => part.id === id)?.name.toLowerCase() ?? 'a part since taken out').join(', ');
  const name = piece?.name ?? '';
  const paint = (id: string, otherwise = 'paint') => facts.products.find((product) => product.id === id)?.name ?? otherwise;
  const zones = (on: readonly { readonly partId: string; readonly zoneIds: readonly string[] }[]) =>
    on.flatMap((own) => zonesNamed(piece, own));
  switch (event.kind) {
    case 'done': {
      const [, , stage] = event.stepKeys[0].split('.');
      const coat = event.coat ? `Coat of ${event.coat.name}, ${event.coat.filmUm} µm` : (STAGE_NAMES[stage as WorkStage] ?? 'Done');
      const wide = event.on.length === (piece?.parts.length ?? 0);
      const where = [...(wide ? [] : [parts(event.on.map((on) => on.partId))]), ...(event.coat ? zones(event.on) : [])];
      return {
        what: coat,
        who: `${[name, ...where].join(', ')}${event.between ? ' (recalled, the day is doubtful)' : event.recalled ? ' (recalled)' : ''}${event.minutes ? `; took ${durationText(event.minutes)}` : ''}`,
      };
    }
    case 'dryness':
      return { what: event.seen === 'dry' ? 'Already dry' : 'Still tacky', who: `${name}, ${parts([event.partId])}` };
    case 'wait':
      return { what: `Put off until ${words.moment(toMinute(event.until))}`, who: name };
    case 'trouble':
      return { what: `Trouble: ${plain(event.sign).replace('-', ' ')}`, who: `${name}, ${parts(event.partIds)}` };
    case 'patch':
      return { what: `Test patch, ${plain(event.method)}: ${OUTCOMES[event.outcome]}`, who: `${name}, ${parts(event.partIds)}` };
    case 'stripped':
      return {
        what: `${capital(plain(event.method))}, time ${event.application}: ${OUTCOMES[event.outcome]}`,
        who: `${name}, ${parts(event.partIds)}`,
      };
    case 'warmed':
      return {
        what: `${WARMED[event.by]}: ${words.temperature(event.surfaceC)} for ${durationText(event.minutes)}`,
        who: `${name}, ${parts(event.partIds)}`,
      };
    case 'tile':
      return { what: `Tile: ${event.outcome}`, who: `${name}, ${parts([event.partId])}` };
    case 'forget':
      return {
        what: 'Learned drying forgotten',
        who: paint(event.productId, ''),
      };
    case 'ticked':
      return { what: `${event.off ? 'No longer ticked' : 'Ticked'}: ${event.item}`, who: `${name}, ${parts(event.partIds)}` };
    case 'failed-check':
      return { what: `Did not pass: ${event.item}`, who: `${name}, ${parts(event.partIds)}` };
    case 'bought':
      return { what: `Bought ${event.count} × ${paint(event.productId)}`, who: words.money(event.paid) };
    case 'stocked':
      return {
        what: `Bought ${supplyText(event.amount, event.unit)} of ${supplyName({ kind: event.supply, spec: event.spec })}`,
        who: words.money(event.paid),
      };
    case 'let-down':
      return { what: `A promise not kept: ${event.text}`, who: paint(event.productId) };
    case 'mixed':
      return {
        what: `${event.intoCanId ? 'Put right' : 'Mixed'} ${paint(event.productId)}`,
        who: listed(event.parts.map((part) => `${paint(part.productId)} ${words.volume(part.ml)}`)),
      };
    case 'spoiled':
      return { what: `${SPOILED[event.why]}: thrown away`, who: paintInCan(event.canId, facts) };
    case 'cup-test':
      return {
        what: event.outcome === 'smooth' ? 'Cup test: it stays smooth' : 'Cup test: it curdles',
        who: `${paint(event.productId)} with ${plain(event.thinner)} thinner`,
      };
    case 'colour-read':
      return { what: `Colour read after ${counted(event.coats, 'coat')}`, who: [paint(event.productId), name].filter(Boolean).join(', ') };
    case 'sheen-read':
      return { what: `${event.when === 'wet' ? 'Wet' : 'Dried down'} it looks ${event.looks}`, who: `${name}, ${parts([event.partId])}` };
    case 'weighed':
      return {
        what: `${event.by === 'eye' ? 'Seen by eye' : 'Weighed'}: ${words.volume(event.leftMl)} left`,
        who: paintInCan(event.canId, facts),
      };
    case 'inspected':
      return { what: `${INSPECTED[event.outcome]}: ${event.reason}`, who: `${name}, ${parts(event.partIds)}` };
    case 'parted':
      return { what: PARTED[event.outcome], who: name };
    case 'treated':
      return { what: `${capital(plain(event.mend))}: ${OUTCOMES[event.outcome]}`, who: `${name}, ${parts(event.partIds)}` };
    case 'corner':
      return { what: event.outcome === 'go-on' ? 'The corner came up well: go on' : 'The corner says: leave it as it is', who: name };
    case 'amend':
      return { what: `The time of an entry corrected to ${words.moment(toMinute(event.to))}`, who: '' };
    case 'counted':
      return { what: `Counted: ${event.left} left`, who: facts.stock.find((row) => row.id === event.stockId)?.spec ?? '' };
    case 'note':
      return { what: event.text, who: name };
    case 'undo':
      return { what: 'Taken back', who: '' };
  }
}
