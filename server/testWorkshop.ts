import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { FastifyInstance } from 'fastify';
import { afterEach, beforeEach } from 'vitest';
import { buildApp } from './app.ts';
import { Changes } from './changes.ts';
import { type Opened, openWorkshop } from './workshopFolder.ts';

/** What tests of the server share: a workshop in a folder of its own, and requests to it as a page sends them. */

export const host = { host: '127.0.0.1:4180' };
export const demoText = readFileSync(new URL('../demo/breakwater.json', import.meta.url), 'utf8');

export type TestWorkshop = {
  folder: string;
  opened: Opened;
  app: FastifyInstance;
  changes: Changes;
  get: (url: string) => Promise<{ status: number; body: unknown }>;
  send: (
    method: 'PUT' | 'POST' | 'DELETE',
    url: string,
    payload?: object | Buffer,
    type?: string,
  ) => Promise<{ status: number; body: Answer }>;
  /** Closes the workshop and opens its folder again, as a restart does. */
  restart: () => Promise<void>;
};
// biome-ignore lint/suspicious/noExplicitAny: answers are looked at field by field.
export type Answer = any;

/** A fresh workshop before every test of the file. */
export function testWorkshop(): TestWorkshop {
  const own = {} as TestWorkshop;
  const open = async () => {
    own.opened = openWorkshop(own.folder);
    own.changes = new Changes();
    own.app = await buildApp({ ...own.opened, changes: own.changes });
  };
  own.get = async (url) => answered(await own.app.inject({ url, headers: host }));
  own.send = async (method, url, payload, type) =>
    answered(
      await own.app.inject({
        method,
        url,
        headers: { ...host, ...(type ? { 'content-type': type } : {}) },
        ...(payload ? { payload } : {}),
      }),
    );
  own.restart = async () => {
    await own.app.close();
    own.opened.close();
    await open();
  };
  beforeEach(async () => {
    own.folder = mkdtempSync(join(tmpdir(), 'enamelos-test-'));
    await open();
  });
  afterEach(async () => {
    await own.app.close();
    own.opened.close();
    rmSync(own.folder, { recursive: true, force: true });
  });
  return own;
}

function answered(reply: { statusCode: number; body: string }): { status: number; body: Answer } {
  return { status: reply.statusCode, body: reply.body.startsWith('{') || reply.body.startsWith('[') ? JSON.parse(reply.body) : reply.body };
}

export const note = (id: string, text = 'x') => ({ id, at: '2026-12-01T19:00:00Z', kind: 'note', text });
export const shop = (name: string, id = 'quay') => ({ id, name, delivery: 0, leadDays: 1 });
