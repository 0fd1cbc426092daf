import path from 'node:path';
import { KIND_IDS, type KindId } from '#core/work';
import { admissions } from './admission/admissions';
import { casesFile } from './casesFile';
import type { DemoCase, ReadDemoCases } from './demoCase';

/** What reads the demo's cases of each kind of work, from a folder of the kind's name; null where the demo has none. */
const DEMO_WORK: Record<KindId, ReadDemoCases | null> = {
  admission: admissions,
  feedback: casesFile,
  transcript: casesFile,
  reply: casesFile,
  batch: null,
  naming: null,
  marking: null,
  leaf: null,
};

/** All cases of the demo, as they stand at `now`. Throws where a file is not right. */
export const demoCases = (folder: string, now: Date): (DemoCase & { kind: KindId })[] =>
  KIND_IDS.flatMap((kind) =>
    (DEMO_WORK[kind]?.(path.join(folder, kind), now) ?? []).map((one) => ({ ...one, kind })),
  );
