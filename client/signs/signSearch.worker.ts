import { expose } from 'comlink';
import { SignFinder, type EntrySigns, type SignPlace } from '#core/signs';
import type { Submission } from '#core/submission';

/** What is looked for, and in what: plain data, as it goes to another thread. */
export interface SignRequest {
  submission: Submission;
  entries: EntrySigns[];
  /** BCP 47: of the submission. */
  language: string;
  /** Words that the house avoids. */
  avoided: string[];
}

/** Looks for signs in a submission away from the thread that takes keys. */
export class SignSearch {
  find({ submission, entries, language, avoided }: SignRequest): SignPlace[] {
    return new SignFinder(entries, language, avoided).in(submission);
  }
}

expose(new SignSearch());
