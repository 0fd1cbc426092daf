import { z } from 'zod';

const instant = z.iso.datetime();

/** A fault of an entry, or an idea about it, with what was said to it. */
export const NoteSchema = z.object({
  id: z.string(),
  entry: z.string(),
  text: z.string(),
  by: z.string(),
  at: instant,
  closed: z.boolean(),
  /** Whether it is one's own, and whether one keeps the entry. */
  own: z.boolean(),
  keeps: z.boolean(),
  answers: z.array(z.object({ text: z.string(), by: z.string(), at: instant })),
});
export type Note = z.infer<typeof NoteSchema>;

/** The words of a note or of an answer to one. */
export const WrittenNoteSchema = z.object({
  text: z.string().trim().min(1, 'write what is to be noted').max(2000),
});
/** Whether a note is closed, or opened again. */
export const NoteClosedSchema = z.object({ closed: z.boolean() });
