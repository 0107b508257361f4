import { format } from 'date-fns';
import Papa from 'papaparse';
import type { LogEntry } from './log-entries';

const round = (n: number) => Math.round(n * 100) / 100;

/** The Log as a table for a spreadsheet, a session a line. */
export const logTable = (entries: readonly LogEntry[]): string =>
  Papa.unparse(
    entries.map(({ session: { content, study }, course, at, painted, check, mistakes }) => ({
      date: format(at, 'yyyy-MM-dd HH:mm'),
      title: content.title,
      model: study.title,
      maker: study.maker,
      course,
      aim: content.aim,
      'second aim': content.second,
      medium: content.medium,
      ground: content.ground,
      'minutes planned': content.minutes,
      'minutes painted': Math.round(painted / 60_000),
      'value off': check?.finding?.shift ? round(check.finding.shift.value) : '',
      'value gain': check?.finding?.shift ? round(check.finding.shift.valueGain) : '',
      'intensity gain': check?.finding?.shift ? round(check.finding.shift.chromaGain) : '',
      'hue turn': check?.finding?.shift ? Math.round(check.finding.shift.hueTurn) : '',
      mistakes: (mistakes ?? []).map(({ kind }) => kind).join('; '),
      'aim met': check?.goal ?? '',
      'try next': check?.next ?? '',
      allowed: content.limits
        .map(({ text, kept }) => `${text}${kept === null ? '' : kept ? ' (kept)' : ' (not kept)'}`)
        .join('; '),
      notes: content.notes.map(({ words }) => words).join('; '),
    })),
    // A spreadsheet must not take a note for a formula.
    { newline: '\r\n', escapeFormulae: true },
  ) + '\r\n';

/** The Log in our JSON: each session whole, with what its study is called. */
export const logJson = (entries: readonly LogEntry[]): string =>
  `${JSON.stringify(
    {
      format: 'bold-prism-log',
      version: 1,
      sessions: entries.map(({ session: { id, studyId, createdAt, study, content } }) => ({
        id,
        studyId,
        createdAt,
        study: { title: study.title, maker: study.maker },
        ...content,
      })),
    },
    null,
    2,
  )}\n`;
