import type { z } from 'zod';

/**
 * Who may call a route. `anyone`: also without being signed in. `member`: whoever is signed in, seeing only
 * what is theirs. `given`: members to whom the case or draft in the path was given. `reader`, `keeper`:
 * members with that right on the collection; to others the entry does not exist. `listKeeper`: who made a glossary,
 * and owners; others are told so. `owner`: owners of the team. `self`: the member in the path, and owners.
 */
export type Access = 'anyone' | 'member' | 'given' | 'reader' | 'keeper' | 'listKeeper' | 'owner' | 'self';

/** What the answers of a route are to a page that opens without its server: the team's, a case's, or a draft. */
export type AtHand = 'team' | 'case' | 'draft';

/** One route of the API: where it is, who may call it, what it takes and what it answers. */
export interface Route {
  method: 'get' | 'post' | 'put' | 'delete';
  path: string;
  access: Access;
  summary: string;
  status: 200 | 201 | 204;
  /** True when `If-Match` must carry the version the change was made to. */
  guarded?: boolean;
  body?: z.ZodType;
  /** The most bytes of its body, where it takes whole files; else `MOST_SENT_BYTES`. */
  mostBytes?: number;
  /** Media type of the body where it is bytes and no JSON: the handler reads it as it comes. */
  sends?: string;
  response?: z.ZodType;
  /** Media type of the response when it is not JSON. */
  stream?: string;
  /**
   * What a page keeps of its answers on the computer, to open with while the server cannot be reached. `team`: the answer; it holds
   * no personal details. `case`: the answer, as long as the team lets cases stay on computers. `draft`: the draft that it answers with.
   */
  atHand?: AtHand;
  /** True where the token of a joined browser may call it: the bank, and counting uses. */
  forCompanion?: boolean;
}

/** Gives routes back with their exact types, held against `Route`. */
export const define = <const T extends Record<string, Route>>(routes: T) => routes;
