/** An integer programme written down for a solver, row by row, in the LP format. */

export type Term = readonly [factor: number, name: string];

export class Programme {
  readonly #rows: string[] = [];
  readonly #bounds: string[] = [];
  readonly #whole = new Set<string>();
  readonly #binary = new Set<string>();

  /** A variable that is 0 or 1. */
  binary(name: string): string {
    this.#binary.add(name);
    return name;
  }

  /** A whole variable between 0 and a bound. */
  whole(name: string, most: number): string {
    this.#whole.add(name);
    this.#bounds.push(` 0 <= ${name} <= ${most}`);
    return name;
  }

  /** A variable between two bounds. */
  between(name: string, least: number, most: number): string {
    this.#bounds.push(` ${least} <= ${name} <= ${most}`);
    return name;
  }

  row(terms: readonly Term[], sense: '<=' | '>=' | '=', right: number): void {
    const own = terms.filter(([factor]) => factor !== 0);
    if (own.length > 0) this.#rows.push(` c${this.#rows.length}: ${sumOf(own)} ${sense} ${right}`);
  }

  text(objective: readonly Term[], sense: 'Minimize' | 'Maximize'): string {
    return [
      sense,
      ` obj: ${sumOf(objective)}`,
      'Subject To',
      ...this.#rows,
      ...section('Bounds', this.#bounds),
      ...section('General', names(this.#whole)),
      ...section('Binary', names(this.#binary)),
      'End',
    ].join('\n');
  }
}

function section(title: string, lines: readonly string[]): string[] {
  return lines.length > 0 ? [title, ...lines] : [];
}

function names(variables: ReadonlySet<string>): string[] {
  return [...variables].map((name) => ` ${name}`);
}

function sumOf(terms: readonly Term[]): string {
  return terms.map(([factor, name]) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${name}`).join(' ');
}
