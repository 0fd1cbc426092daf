export { NoteForm } from './NoteForm';
export { NotesOf } from './NotesOf';
export { NotesWaiting } from './NotesWaiting';
