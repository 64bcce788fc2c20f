import type { Ref } from './ref.ts';

/** A spell of warmth from a moment on, or from the end of the step that puts the part into it. */
export type Warmed = { readonly since: Ref; readonly minutes: number; readonly surfaceC: number };
