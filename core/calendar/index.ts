export { type BusyQuestion, type BusyRead, type BusySpan, MOST_BUSY_SPANS, readBusy } from './busy.ts';
export { calendarText } from './written.ts';
