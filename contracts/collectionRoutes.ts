import { z } from 'zod';
import { CollectionSchema } from '#core/bank';
import { CollectionFileSchema } from '#core/takeover';
import {
  CollectionRevisionSchema,
  MoveSchema,
  NewCollectionSchema,
  SavedCollectionSchema,
  SharedWithSchema,
  SharingSchema,
  TeamSchema,
} from './collections';
import { define } from './route';

/** Collections: making, changing, moving and sharing them. */
export const COLLECTION_ROUTES = define({
  team: {
    method: 'get',
    path: '/api/team',
    access: 'member',
    atHand: 'team',
    summary: 'Everyone of the team, and its groups.',
    status: 200,
    response: TeamSchema,
  },
  makeCollection: {
    method: 'post',
    path: '/api/collections',
    access: 'member',
    summary: 'Makes a collection, within one that the member keeps or at the top. Who makes it keeps it.',
    status: 201,
    body: NewCollectionSchema,
    response: CollectionSchema,
  },
  saveCollection: {
    method: 'put',
    path: '/api/collections/:collection',
    access: 'keeper',
    summary: 'Changes the settings of a collection.',
    status: 200,
    guarded: true,
    body: SavedCollectionSchema,
    response: CollectionSchema,
  },
  collectionRevisions: {
    method: 'get',
    path: '/api/collections/:collection/revisions',
    access: 'reader',
    summary: "A collection's settings, as they were at each version, newest first.",
    status: 200,
    response: z.array(CollectionRevisionSchema),
  },
  moveCollection: {
    method: 'post',
    path: '/api/collections/:collection/place',
    access: 'keeper',
    summary: 'Puts a collection, with all in it, somewhere else.',
    status: 200,
    body: MoveSchema,
    response: CollectionSchema,
  },
  dropCollection: {
    method: 'delete',
    path: '/api/collections/:collection',
    access: 'keeper',
    summary: 'Puts a collection, with all in it, into the wastebasket.',
    status: 204,
    guarded: true,
  },
  sharing: {
    method: 'get',
    path: '/api/collections/:collection/sharing',
    access: 'reader',
    summary: 'The sharing of a collection.',
    status: 200,
    response: SharingSchema,
  },
  share: {
    method: 'put',
    path: '/api/collections/:collection/sharing',
    access: 'keeper',
    summary: 'Sets the sharing of a collection.',
    status: 200,
    guarded: true,
    body: SharedWithSchema,
    response: SharingSchema,
  },
  handOn: {
    method: 'post',
    path: '/api/collections/:collection/file',
    access: 'keeper',
    summary: 'A collection with all in it, to be saved as a file for another team.',
    status: 200,
    response: CollectionFileSchema,
  },
});
