import { vi } from 'vitest';

/** What tests of saving put in place of the browser's fetch: relative addresses work, every request goes to `answer`. */
export function stubRequests(answer: (request: Request) => Promise<Response>): void {
  vi.stubGlobal(
    'Request',
    class extends Request {
      constructor(url: string, init?: RequestInit) {
        super(new URL(url, 'http://127.0.0.1'), init);
      }
    },
  );
  vi.stubGlobal('fetch', answer);
}

export function jsonAnswer(status: number, body: object): Response {
  return new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
}
