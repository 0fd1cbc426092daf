import { z } from 'zod';
import { EntryFileSchema } from '#core/entry';
import { CaseFileSchema } from './files';
import { define } from './route';
import { DeletionSchema } from './wastebasket';

/** Files that are kept with a case, and those that go along with entries. */
export const FILE_ROUTES = define({
  fileLimits: {
    method: 'get',
    path: '/api/files/limits',
    access: 'member',
    atHand: 'team',
    summary: 'The most bytes that a file may have here.',
    status: 200,
    response: z.object({ mostBytes: z.number().int() }),
  },
  sendEntryFile: {
    method: 'post',
    path: '/api/files',
    access: 'member',
    summary:
      'Keeps a file for an entry that is being written: it waits some days for the entry to be saved with what is answered. Its name, percent-encoded, is in the header `Elderleaf-Name`.',
    status: 201,
    sends: 'application/octet-stream',
    response: EntryFileSchema,
  },
  entryFile: {
    method: 'get',
    path: '/api/entries/:entry/files/:hash',
    access: 'reader',
    summary: 'What a file that goes along with an entry holds, or a range of its bytes.',
    status: 200,
    stream: 'application/octet-stream',
    forCompanion: true,
  },
  draftFile: {
    method: 'get',
    path: '/api/drafts/:draft/files/:hash',
    access: 'given',
    summary: 'What a file that goes along with a draft holds, or a range of its bytes.',
    status: 200,
    stream: 'application/octet-stream',
  },
  addCaseFile: {
    method: 'put',
    path: '/api/cases/:case/files/:file',
    access: 'given',
    summary:
      'Keeps a file with a case, under an id of the sender’s own: sent again, it is one file. Its name, percent-encoded, is in the header `Elderleaf-Name`.',
    status: 201,
    sends: 'application/octet-stream',
    response: CaseFileSchema,
  },
  caseFile: {
    method: 'get',
    path: '/api/cases/:case/files/:file',
    access: 'given',
    summary: 'What a file of a case holds, or a range of its bytes.',
    status: 200,
    stream: 'application/octet-stream',
  },
  deleteCaseFile: {
    method: 'delete',
    path: '/api/cases/:case/files/:file',
    access: 'given',
    summary: 'Puts a file of a case into the wastebasket.',
    status: 200,
    response: DeletionSchema,
  },
});
