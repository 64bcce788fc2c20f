import { EventEmitter } from 'node:events';

/** Tells open tabs that facts have changed. */
export class Changes {
  readonly #emitter = new EventEmitter().setMaxListeners(0);

  announce(count: number): void {
    this.#emitter.emit('change', count);
  }

  subscribe(listener: (count: number) => void): () => void {
    this.#emitter.on('change', listener);
    return () => this.#emitter.off('change', listener);
  }
}
