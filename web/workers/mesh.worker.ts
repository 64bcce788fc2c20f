import { measureMesh, type MeshMeasure, MeshProblem } from '#core/survey/index';
import { expose } from 'comlink';

type Answer =
  | { readonly ok: true; readonly measure: MeshMeasure; readonly hash: string }
  | { readonly ok: false; readonly error: string; readonly mend: string };

/** A mesh is measured here, away from the page; only its figures come back. */
const api = {
  async measure(file: File, progress: (share: number) => void): Promise<Answer> {
    const bytes = new Uint8Array(await file.arrayBuffer());
    try {
      const measure = measureMesh(file.name, bytes, (share) => progress(share));
      const digest = await crypto.subtle.digest('SHA-256', bytes);
      const hash = [...new Uint8Array(digest)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
      return { ok: true, measure, hash };
    } catch (error) {
      if (error instanceof MeshProblem) return { ok: false, error: error.message, mend: error.mend };
      return { ok: false, error: 'This file could not be read as a mesh.', mend: 'Export it again as STL or OBJ.' };
    }
  },
};
export type MeshApi = typeof api;
expose(api);
