import { type Collection, EMPTY_FACTS, type LogEvent, type Offer, type Shop } from '#core/facts/index';
import { keepSeen, lastSeen } from '../app/writing/keptHere.ts';
import type { Snapshot, Write, ImportAnswer, Copy, SetAside, Found, PhoneState } from './answers.ts';
import { watchChanges } from './changeStream.ts';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';

export const NO_SNAPSHOT: Snapshot = { facts: EMPTY_FACTS, revisions: {}, changes: -1, demo: false, setAside: 0 };

/** Everything the pages ask of the server. */
export const workshopApi = createApi({
  reducerPath: 'workshop',
  baseQuery: fetchBaseQuery({ baseUrl: '/api' }),
  tagTypes: ['Workshop', 'Copies', 'Phone'],
  endpoints: (build) => ({
    workshop: build.query<Snapshot, void>({
      async queryFn(_arg, _api, _options, ask) {
        const answer = await ask('/workshop');
        if (!answer.error) {
          const snapshot = answer.data as Snapshot;
          void keepSeen(snapshot);
          return { data: snapshot };
        }
        const seen = answer.error.status === 'FETCH_ERROR' ? await lastSeen() : undefined;
        return seen ? { data: { ...seen, asLastSeen: true } } : { error: answer.error };
      },
      providesTags: ['Workshop'],
      keepUnusedDataFor: 3600,
      // Other tabs' writes arrive as a count; only a new one is worth a fetch.
      async onCacheEntryAdded(_arg, { cacheDataLoaded, cacheEntryRemoved, dispatch, getCacheEntry }) {
        await cacheDataLoaded.catch(() => undefined);
        const stop = watchChanges((count) => {
          const data = getCacheEntry().data;
          if (count !== data?.changes || data.asLastSeen) dispatch(workshopApi.util.invalidateTags(['Workshop']));
        });
        await cacheEntryRemoved;
        stop();
      },
    }),
    putFact: build.mutation<{ revision: number }, Write>({
      query: ({ collection, value, revision }) => ({ url: `/facts/${collection}/${value.id}`, method: 'PUT', body: { revision, value } }),
      invalidatesTags: ['Workshop'],
    }),
    putTogether: build.mutation<
      { written: number },
      {
        readonly collection: 'offers' | 'goods' | 'cans';
        readonly writes: readonly { readonly revision: number; readonly value: { readonly id: string } }[];
      }
    >({
      query: ({ collection, writes }) => ({ url: `/facts/${collection}`, method: 'PUT', body: { writes } }),
      invalidatesTags: ['Workshop'],
    }),
    shopPrices: build.query<{ readonly shops: readonly Shop[]; readonly offers: readonly Offer[] } | null, string>({
      query: (today) => ({ url: '/shops/prices', params: { today } }),
      keepUnusedDataFor: 0,
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
      invalidatesTags: (answer) => (answer?.applied ? ['Workshop', 'Copies', 'Phone'] : []),
    }),
    importZip: build.mutation<ImportAnswer, { zip: Blob; apply: boolean }>({
      query: ({ zip, apply }) => ({
        url: `/import-zip?apply=${apply ? 'yes' : 'no'}`,
        method: 'POST',
        body: zip,
        headers: { 'content-type': 'application/zip' },
      }),
      invalidatesTags: (answer) => (answer?.applied ? ['Workshop', 'Copies', 'Phone'] : []),
    }),
    copies: build.query<readonly Copy[], void>({ query: () => '/copies', providesTags: ['Copies'] }),
    restoreCopy: build.mutation<{ before: string; setAside: number }, string>({
      query: (name) => ({ url: `/copies/${name}/restore`, method: 'POST' }),
      invalidatesTags: ['Workshop', 'Copies', 'Phone'],
    }),
    search: build.query<readonly Found[], { q: string; kind?: Found['kind']; most?: number }>({
      query: (params) => ({ url: '/search', params }),
      providesTags: ['Workshop'],
      keepUnusedDataFor: 20,
    }),
    phone: build.query<PhoneState, void>({ query: () => '/phone', providesTags: ['Phone'] }),
    openPhone: build.mutation<PhoneState, { name: string; hours: number }>({
      query: (body) => ({ url: '/phone/open', method: 'POST', body }),
      invalidatesTags: ['Phone'],
    }),
    closePhone: build.mutation<PhoneState, void>({ query: () => ({ url: '/phone/close', method: 'POST' }), invalidatesTags: ['Phone'] }),
    newPhoneCode: build.mutation<PhoneState, void>({ query: () => ({ url: '/phone/code', method: 'POST' }), invalidatesTags: ['Phone'] }),
    revokePhone: build.mutation<PhoneState, string>({
      query: (id) => ({ url: `/phone/devices/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Phone'],
    }),
    setAside: build.query<readonly SetAside[], void>({ query: () => '/set-aside' }),
  }),
});

export const {
  useCopiesQuery,
  useSetAsideQuery,
  useWorkshopQuery,
  useImportFileMutation,
  useImportZipMutation,
  useSearchQuery,
  useClosePhoneMutation,
  useNewPhoneCodeMutation,
  useOpenPhoneMutation,
  usePhoneQuery,
  usePutTogetherMutation,
  useLazyShopPricesQuery,
  useRevokePhoneMutation,
} = workshopApi;
