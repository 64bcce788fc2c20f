import type { ProblemDetails } from './answers.ts';

const MOST_BYTES = 20_000_000;

export type PictureSize = { readonly width: number; readonly height: number };
export type Sent =
  | { readonly ok: true; readonly size: PictureSize }
  | { readonly ok: false; readonly title: string; readonly mend: string };

/** Sends a picture under an id of its own; the server turns it upright, makes it small and drops its metadata. */
export async function sendPicture(id: string, file: Blob): Promise<Sent> {
  if (file.size > MOST_BYTES) return { ok: false, title: 'That picture is larger than 20 MB.', mend: 'Take it smaller, or crop it.' };
  try {
    const reply = await fetch(`/api/pictures/${id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/octet-stream' },
      body: file,
    });
    if (reply.ok) return { ok: true, size: (await reply.json()) as PictureSize };
    const problem = (await reply.json()) as ProblemDetails;
    return { ok: false, title: problem.title, mend: problem.mend };
  } catch {
    return {
      ok: false,
      title: 'The server does not answer.',
      mend: 'The picture is still where it was. Start the server and add it again.',
    };
  }
}

export function pictureUrl(id: string): string {
  return `/api/pictures/${id}`;
}
