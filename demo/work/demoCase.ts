import type { CaseRecord } from '#core/record';

/** A case of the demo, with the ids of the members it is given to. */
export interface DemoCase {
  id: string;
  title: string;
  number: string | null;
  summary: string;
  record: CaseRecord;
  openedAt: Date;
  given: readonly string[];
}

/** Reads the cases of one kind of work: from its folder, dated so that they are of late at `now`. Throws where a file is not right. */
export type ReadDemoCases = (folder: string, now: Date) => DemoCase[];
