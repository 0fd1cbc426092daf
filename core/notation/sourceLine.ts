import { NotationFault, type NotationError } from './notationError';

/** A line of the source, or what is left of it within an indented block: its words, and where they begin. */
export interface SourceLine {
  text: string;
  line: number;
  column: number;
}

/** The lines of a source; any of the usual line ends parts them. */
export const sourceLines = (source: string): SourceLine[] =>
  source.split(/\r\n|\n|\r/).map((text, at) => ({ text, line: at + 1, column: 1 }));

/** True for a line with nothing on it; a space that does not break is something. */
export const isBlank = ({ text }: SourceLine): boolean => /^[ \t]*$/.test(text);

/** A line without its first characters. */
export const after = ({ text, line, column }: SourceLine, count: number): SourceLine => ({
  text: text.slice(count),
  line,
  column: column + count,
});

type WithoutPlace<T> = T extends unknown ? Omit<T, 'line' | 'column'> : never;

/** Ends the reading with an error at a character of a line. */
export function refuse(at: SourceLine, offset: number, fault: WithoutPlace<NotationError>): never {
  throw new NotationFault({ line: at.line, column: at.column + offset, ...fault });
}
