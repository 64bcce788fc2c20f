import type { LogEvent } from '#core/facts/index';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** Entries not yet answered by the server: they count in the plan at once. Those it refused wait for the person. */

export type Refused = {
  readonly id: string;
  /** As it was to be sent; unknown where even the browser cannot read it. */
  readonly event: LogEvent | null;
  readonly title: string;
  readonly mend: string;
};

type Outbox = {
  events: LogEvent[];
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

const initialState: Outbox = { events: [], refused: [], away: false, reason: null, keeps: true, known: false };

const slice = createSlice({
  name: 'outbox',
  initialState,
  reducers: {
    /** What the browser keeps now, with what other tabs have added and sent. */
    read(state, action: PayloadAction<{ events: readonly LogEvent[]; refused: readonly Refused[]; keeps: boolean }>) {
      state.events = [...action.payload.events];
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
