import type { LogEvent } from '#core/facts/index';
import type { Minute } from '#core/units/index';
import type { LogEntry } from './entries.ts';

/** What a person looks for in the log: any of these, all that are given hold together. */
export type LogFilter = {
  readonly pieceId?: string;
  readonly productId?: string;
  readonly kind?: EntryKind;
  readonly from?: Minute;
  /** Up to this moment, itself left out. */
  readonly until?: Minute;
  /** Ids that answer to words looked for. */
  readonly ids?: ReadonlySet<string>;
};

export const ENTRY_KINDS = ['coat', 'work', 'seen', 'trouble', 'put-off', 'stock', 'note'] as const;
/** Coats; other work done; what was seen of a film, a patch or a tile; trouble; put off; bought and counted; notes. */
export type EntryKind = (typeof ENTRY_KINDS)[number];

const KINDS: Readonly<Record<Exclude<LogEvent['kind'], 'done'>, EntryKind>> = {
  dryness: 'seen',
  patch: 'seen',
  tile: 'seen',
  inspected: 'seen',
  ticked: 'seen',
  corner: 'seen',
  'cup-test': 'seen',
  'let-down': 'seen',
  'colour-read': 'seen',
  'sheen-read': 'seen',
  wait: 'put-off',
  trouble: 'trouble',
  'failed-check': 'trouble',
  stripped: 'work',
  warmed: 'work',
  parted: 'work',
  treated: 'work',
  bought: 'stock',
  stocked: 'stock',
  mixed: 'stock',
  weighed: 'stock',
  counted: 'stock',
  spoiled: 'stock',
  forget: 'stock',
  note: 'note',
  amend: 'note',
  undo: 'note',
};

export function entryKind(event: LogEvent): EntryKind {
  if (event.kind === 'done') return event.coat ? 'coat' : 'work';
  return KINDS[event.kind];
}

export function filtered(entries: readonly LogEntry[], filter: LogFilter): LogEntry[] {
  return entries.filter(
    ({ event, at }) =>
      (filter.pieceId === undefined || ('pieceId' in event && event.pieceId === filter.pieceId)) &&
      (filter.productId === undefined || productOf(event) === filter.productId) &&
      (filter.kind === undefined || entryKind(event) === filter.kind) &&
      (filter.from === undefined || at >= filter.from) &&
      (filter.until === undefined || at < filter.until) &&
      (filter.ids === undefined || filter.ids.has(event.id)),
  );
}

function productOf(event: LogEvent): string | undefined {
  if (event.kind === 'done') return event.coat?.productId;
  return 'productId' in event ? event.productId : undefined;
}
