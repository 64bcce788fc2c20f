import type { Collection, LogEvent } from '#core/facts/index';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** Entries not yet answered by the server: they count in the plan at once. Those it refused wait for the person. */

export type Refused = {
  readonly id: string;
  /** As it was to be sent; unknown where even the browser cannot read it. */
  readonly event: LogEvent | null;
  readonly title: string;
  readonly mend: string;
};

/** A change of a fact that the server has not taken yet, in the order it was made. */
export type KeptEdit = {
  readonly id: string;
  readonly collection: Collection;
  readonly factId: string;
  /** What it was made of; null: the fact is new. */
  readonly base: { readonly id: string } | null;
  /** What it is to be; null: it is taken out. */
  readonly value: { readonly id: string } | null;
};

type Outbox = {
  events: LogEvent[];
  edits: KeptEdit[];
  refused: Refused[];
  /** The server did not take the latest try. */
  away: boolean;
  /** What it said, where it said something. */
  reason: string | null;
  /** False where this browser keeps nothing: the page must stay open. */
  keeps: boolean;
  /** What the browser keeps has been read once: before that the facts lack it. */
  known: boolean;
};

const initialState: Outbox = { events: [], edits: [], refused: [], away: false, reason: null, keeps: true, known: false };

const slice = createSlice({
  name: 'outbox',
  initialState,
  reducers: {
    /** What the browser keeps now, with what other tabs have added and sent. */
    read(state, action: PayloadAction<Pick<Outbox, 'keeps'> & { readonly [K in 'events' | 'edits' | 'refused']: Readonly<Outbox[K]> }>) {
      state.events = [...action.payload.events];
      state.edits = [...action.payload.edits];
      state.refused = [...action.payload.refused];
      state.keeps = action.payload.keeps;
      state.known = true;
    },
    answered(state) {
      state.away = false;
      state.reason = null;
    },
    serverAway(state, action: PayloadAction<string | null>) {
      state.away = true;
      state.reason = action.payload;
    },
  },
});

export const { read, answered, serverAway } = slice.actions;
export const outbox = slice.reducer;
