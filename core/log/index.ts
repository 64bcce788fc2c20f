export { entriesOf, type LogEntry } from './entries.ts';
export { ENTRY_KINDS, type EntryKind, entryKind, filtered, type LogFilter } from './filter.ts';
export { type EntryWords, entryText } from './entryText.ts';
export { type Searchable, searchableEntry, searchableFact, searchWords } from './searchable.ts';
export { STAGE_NAMES } from './stageNames.ts';
