import { configureStore } from '@reduxjs/toolkit';
import { useSelector } from 'react-redux';
import { workshopApi } from '../api/workshopApi.ts';
import { outbox } from './writing/outbox.ts';

export const store = configureStore({
  reducer: { [workshopApi.reducerPath]: workshopApi.reducer, outbox },
  middleware: (defaults) => defaults().concat(workshopApi.middleware),
});

export type RootState = ReturnType<typeof store.getState>;
export const useAppSelector = useSelector.withTypes<RootState>();
