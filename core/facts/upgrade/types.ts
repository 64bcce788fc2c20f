export type Raw = Readonly<Record<string, unknown>>;

/** What a version changed: one fact, one event, and what only the whole can give. */
export type Upgrade = {
  readonly fact: (collection: string, fact: Raw) => Raw;
  readonly event: (event: Raw) => Raw;
  /** Facts that did not exist before, made from the old ones by collection. */
  readonly added: (facts: Readonly<Record<string, readonly Raw[]>>) => Readonly<Record<string, readonly Raw[]>>;
};
