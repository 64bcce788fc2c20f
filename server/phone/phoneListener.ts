import { networkInterfaces } from 'node:os';
import { BadSetting } from '../badSetting.ts';
import { rightNow } from '../clock.ts';
import type { FastifyInstance } from 'fastify';
import { Pairing } from './pairing.ts';
import { buildPhoneApp, type PhoneOptions } from './phoneApp.ts';

/** A name phones reach this machine by, and the address it is bound to. */
export type PhoneAddress = { readonly name: string; readonly bind: string };
export type PhoneState = {
  /** Where phones find it; null while it is off. */
  readonly url: string | null;
  readonly until: string | null;
  readonly code: { readonly code: string; readonly until: string } | null;
};

type Open = { readonly app: FastifyInstance; readonly url: string; readonly until: number; readonly timer: NodeJS.Timeout };

/** The one more listener on the home network: off until it is opened, and off again after the time chosen. */
export class PhoneListener {
  readonly #parts: Omit<PhoneOptions, 'pairing' | 'host'>;
  readonly #addresses: readonly PhoneAddress[];
  readonly #pairing = new Pairing(() => rightNow().getTime());
  #open: Open | null = null;

  constructor(parts: Omit<PhoneOptions, 'pairing' | 'host'>, addresses: readonly PhoneAddress[]) {
    this.#parts = parts;
    this.#addresses = addresses;
  }

  get names(): string[] {
    return this.#addresses.map(({ name }) => name);
  }

  state(): PhoneState {
    const open = this.#open;
    if (!open) return { url: null, until: null, code: null };
    return { url: open.url, until: new Date(open.until).toISOString(), code: this.#pairing.current() };
  }

  /** @throws BadSetting for a name that is not this machine's, or an address that cannot be listened on */
  async open(name: string, hours: number, port = 0): Promise<void> {
    const address = this.#addresses.find((own) => own.name === name);
    if (!address) throw new BadSetting(`${name} is no address of this machine on a home network. Choose one of those offered.`);
    await this.close();
    let host = '';
    const app = await buildPhoneApp({ ...this.#parts, pairing: this.#pairing, host: () => host });
    try {
      await app.listen({ host: address.bind, port });
    } catch (error) {
      await app.close();
      throw new BadSetting(`${name} cannot be listened on: ${(error as Error).message}. Is this machine still on that network?`);
    }
    const bound = app.server.address();
    host = `${name}:${typeof bound === 'object' && bound ? bound.port : port}`;
    const forMs = hours * 3_600_000;
    const until = rightNow().getTime() + forMs;
    const timer = setTimeout(() => void this.close(), forMs);
    timer.unref();
    this.#open = { app, url: `http://${host}`, until, timer };
    this.#pairing.renew();
  }

  /** A code for one more phone. */
  renewCode(): void {
    if (this.#open) this.#pairing.renew();
  }

  async close(): Promise<void> {
    const open = this.#open;
    if (!open) return;
    this.#open = null;
    clearTimeout(open.timer);
    this.#pairing.end();
    await open.app.close();
  }
}

/** Addresses of this machine on networks of its own, IPv4. */
export function homeAddresses(): PhoneAddress[] {
  return Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter((own) => own.family === 'IPv4' && !own.internal)
    .map((own) => ({ name: own.address, bind: own.address }));
}

/** Further names, as `name=address` with commas between: what a router calls this machine. @throws BadSetting */
export function namedAddresses(text: string): PhoneAddress[] {
  return text
    .split(',')
    .filter(Boolean)
    .map((pair) => {
      const [name, bind] = pair.split('=');
      if (!name || !bind) throw new BadSetting(`ENAMELOS_PHONE reads name=address, not "${pair}".`);
      return { name: name.toLowerCase(), bind };
    });
}
