import { z } from 'zod';
import { NoteClosedSchema, NoteSchema, WrittenNoteSchema } from './notes';
import { define } from './route';

/** Notes on entries, for their keepers. */
export const NOTE_ROUTES = define({
  notes: {
    method: 'get',
    path: '/api/notes',
    access: 'member',
    atHand: 'team',
    summary: "The open notes on entries that the member keeps, and the member's own, newest first.",
    status: 200,
    response: z.array(NoteSchema),
  },
  note: {
    method: 'post',
    path: '/api/entries/:entry/notes',
    access: 'reader',
    summary: 'Notes something on an entry, for its keepers.',
    status: 201,
    body: WrittenNoteSchema,
    response: NoteSchema,
  },
  answerNote: {
    method: 'post',
    path: '/api/notes/:note/answers',
    access: 'keeper',
    summary: 'Says something to a note. Who wrote it may, too.',
    status: 201,
    body: WrittenNoteSchema,
    response: NoteSchema,
  },
  closeNote: {
    method: 'put',
    path: '/api/notes/:note',
    access: 'keeper',
    summary: 'Closes a note, or opens it again. Who wrote it may, too.',
    status: 200,
    body: NoteClosedSchema,
    response: NoteSchema,
  },
});
