import { type Collection, EMPTY_FACTS, type FactOf, type Facts, type LogEvent } from '#core/facts/index';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';

export type Snapshot = {
  readonly facts: Facts;
  readonly revisions: Readonly<Record<string, number>>;
  readonly changes: number;
  readonly demo: boolean;
};
export type Write = { [C in Collection]: { collection: C; value: FactOf<C>; revision: number } }[Collection];
export type ImportAnswer = { readonly applied: boolean; readonly counts: Readonly<Record<string, { now: number; file: number }>> };
export type ProblemDetails = { readonly title: string; readonly mend: string; readonly at?: string; readonly status: number };

export const NO_SNAPSHOT: Snapshot = { facts: EMPTY_FACTS, revisions: {}, changes: -1, demo: false };

/** Everything the pages ask of the server. */
export const workshopApi = createApi({
  reducerPath: 'workshop',
  baseQuery: fetchBaseQuery({ baseUrl: '/api' }),
  tagTypes: ['Workshop'],
  endpoints: (build) => ({
    workshop: build.query<Snapshot, void>({
      query: () => '/workshop',
      providesTags: ['Workshop'],
      keepUnusedDataFor: 3600,
      // Other tabs' writes arrive as a count; only a new one is worth a fetch.
      async onCacheEntryAdded(_arg, { cacheDataLoaded, cacheEntryRemoved, dispatch, getCacheEntry }) {
        await cacheDataLoaded.catch(() => undefined);
        const source = new EventSource('/api/changes');
        source.onmessage = (message) => {
          if (Number(message.data) !== getCacheEntry().data?.changes) dispatch(workshopApi.util.invalidateTags(['Workshop']));
        };
        await cacheEntryRemoved;
        source.close();
      },
    }),
    putFact: build.mutation<{ revision: number }, Write>({
      query: ({ collection, value, revision }) => ({ url: `/facts/${collection}/${value.id}`, method: 'PUT', body: { revision, value } }),
      invalidatesTags: ['Workshop'],
    }),
    removeFact: build.mutation<{ revision: number }, { collection: Collection; id: string; revision: number }>({
      query: ({ collection, id, revision }) => ({ url: `/facts/${collection}/${id}?revision=${revision}`, method: 'DELETE' }),
      invalidatesTags: ['Workshop'],
    }),
    undoFact: build.mutation<{ revision: number }, { collection: Collection; id: string; revision: number }>({
      query: ({ collection, id, revision }) => ({ url: `/undo/${collection}/${id}`, method: 'POST', body: { revision } }),
      invalidatesTags: ['Workshop'],
    }),
    appendEvents: build.mutation<{ added: number }, readonly LogEvent[]>({
      query: (events) => ({ url: '/events', method: 'POST', body: { events } }),
      invalidatesTags: ['Workshop'],
    }),
    importFile: build.mutation<ImportAnswer, { text: string; apply: boolean }>({
      query: (body) => ({ url: '/import', method: 'POST', body }),
      invalidatesTags: (answer) => (answer?.applied ? ['Workshop'] : []),
    }),
    importZip: build.mutation<ImportAnswer, { zip: Blob; apply: boolean }>({
      query: ({ zip, apply }) => ({
        url: `/import-zip?apply=${apply ? 'yes' : 'no'}`,
        method: 'POST',
        body: zip,
        headers: { 'content-type': 'application/zip' },
      }),
      invalidatesTags: (answer) => (answer?.applied ? ['Workshop'] : []),
    }),
  }),
});

export const { useWorkshopQuery, useImportFileMutation, useImportZipMutation } = workshopApi;
