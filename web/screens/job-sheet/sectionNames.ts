/** The sections of a job sheet in order of work, by their addresses. */
export const SECTION_NAMES = [
  { key: 'survey', name: 'Survey' },
  { key: 'strip', name: 'Strip and prep' },
  { key: 'coats', name: 'Coats' },
  { key: 'masking', name: 'Masking' },
  { key: 'finish', name: 'Finish and fit' },
  { key: 'dates', name: 'Dates' },
  { key: 'money', name: 'Money' },
  { key: 'record', name: 'Record' },
] as const;
export type SectionKey = (typeof SECTION_NAMES)[number]['key'];
