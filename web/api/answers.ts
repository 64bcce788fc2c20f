import type { Collection, FactOf, Facts } from '#core/facts/index';
import type { Searchable } from '#core/log/index';

/** What the server answers, as the pages take it. */

export type Snapshot = {
  readonly facts: Facts;
  readonly revisions: Readonly<Record<string, number>>;
  readonly changes: number;
  readonly demo: boolean;
  /** Facts and entries the server could not read and has set aside. */
  readonly setAside: number;
  /** What the disk said to the latest write, where it said no. */
  readonly trouble?: string;
  /** This page is on a paired phone: bench, board, shelf and log alone. */
  readonly phone?: true;
  /** Not from the server just now, but as this browser saw it last. */
  readonly asLastSeen?: true;
};
export type Write = { [C in Collection]: { collection: C; value: FactOf<C>; revision: number } }[Collection];
export type ImportAnswer = {
  readonly applied: boolean;
  readonly counts: Readonly<Record<string, { now: number; file: number }>>;
  /** The copy that undoes it. */
  readonly before?: string;
  /** One piece that comes in beside what is here. */
  readonly piece?: BroughtPiece;
};
export type BroughtPiece = {
  readonly id: string;
  readonly name: string;
  readonly matched: readonly string[];
  readonly brought: readonly string[];
  readonly otherCurrency: string | null;
  readonly placesUnknown: readonly string[];
  readonly entries: number;
  readonly pictures: number;
};
export type Copy = {
  readonly name: string;
  readonly at: string;
  readonly bytes: number;
  readonly holds: { readonly pieces: number; readonly events: number; readonly pictures: number } | null;
};
export type SetAside = { readonly collection: string; readonly id: string; readonly why: string; readonly body: string };
export type ProblemDetails = { readonly title: string; readonly mend: string; readonly at?: string; readonly status: number };

/** What was found by words; what matched stands between U+E000 and U+E001. */
export type Found = Searchable & { readonly shownTitle: string; readonly shownBody: string };

/** The door to the home network, and the phones that may come in. */
export type PhoneState = {
  readonly url: string | null;
  readonly until: string | null;
  readonly code: { readonly code: string; readonly until: string } | null;
  readonly names: readonly string[];
  readonly devices: readonly { readonly id: string; readonly name: string; readonly pairedAt: string }[];
};
