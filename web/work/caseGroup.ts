/** Cases that belong together as a kind of work has it: the submissions of an assignment. On the desk many of them are one line. */
export interface CaseGroup {
  id: string;
  title: string;
  /** Where all of it is seen at once, and what the way there is called. */
  to: string;
  open: string;
  /** The cases, by their ids. */
  cases: readonly string[];
}
