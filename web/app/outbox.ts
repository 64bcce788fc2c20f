import type { LogEvent } from '#core/facts/index';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** Events not yet answered by the server. They count in the plan at once and are kept in the browser until sent. */

const KEY = 'enamelos-outbox';

function kept(): LogEvent[] {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '[]') as LogEvent[];
  } catch {
    return [];
  }
}

export function keepOutbox(events: readonly LogEvent[]): void {
  if (events.length === 0) localStorage.removeItem(KEY);
  else localStorage.setItem(KEY, JSON.stringify(events));
}

const slice = createSlice({
  name: 'outbox',
  initialState: { events: kept(), away: false },
  reducers: {
    queued(state, action: PayloadAction<LogEvent[]>) {
      const known = new Set(state.events.map((event) => event.id));
      state.events.push(...action.payload.filter((event) => !known.has(event.id)));
    },
    sent(state, action: PayloadAction<readonly string[]>) {
      state.events = state.events.filter((event) => !action.payload.includes(event.id));
      state.away = false;
    },
    serverAway(state) {
      state.away = true;
    },
  },
});

export const { queued, sent, serverAway } = slice.actions;
export const outbox = slice.reducer;
