import { workshopApi } from '../../api/workshopApi.ts';
import { store } from '../store.ts';
import { tellProblem } from './useFacts.ts';

/** The workshop becomes what a copy holds. Returns the copy made of what stood before, or null where it could not be done. */
export async function restoreCopy(name: string): Promise<string | null> {
  try {
    return (await store.dispatch(workshopApi.endpoints.restoreCopy.initiate(name)).unwrap()).before;
  } catch (error) {
    tellProblem(error);
    return null;
  }
}
