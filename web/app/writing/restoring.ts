import { workshopApi } from '../../api/workshopApi.ts';
import { store } from '../store.ts';
import { tellProblem } from './useFacts.ts';

export type Restored = {
  /** The copy made of what stood before. */
  readonly before: string;
  /** Facts and entries of the copy that could not be read and lie aside. */
  readonly setAside: number;
};

/** The workshop becomes what a copy holds; null where it could not be done. */
export async function restoreCopy(name: string): Promise<Restored | null> {
  try {
    return await store.dispatch(workshopApi.endpoints.restoreCopy.initiate(name)).unwrap();
  } catch (error) {
    tellProblem(error);
    return null;
  }
}
