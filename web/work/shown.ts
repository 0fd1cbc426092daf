import { lazy, type ComponentType, type LazyExoticComponent } from 'react';
import type { UseQueryOptions } from '@tanstack/react-query';
import { call } from '#client/api';
import type { Assignment } from '#contracts';
import type { KindId } from '#core/work';
import { KEYS } from '../api';
import { bundleArrival } from './admission/bundleArrival';
import type { Arrival, DocumentWork } from './arrival';
import type { CaseGroup } from './caseGroup';
import { tableArrival } from './batch/tableArrival';
import { messageArrival } from './reply/messageArrival';
import { subtitlesArrival } from './transcript/subtitlesArrival';
import { recordingWork } from './transcript/recordingWork';
import { submissionWork } from './feedback/submissionWork';
import { markWork } from './marking/markWork';
import { trayWork } from './naming/trayWork';
import { caseGroups } from './feedback/assignment/caseGroups';

/** Draws a case of one kind of work, by its id: all that is beneath the page's head. */
type CaseScreen = ComponentType<{ id: string }>;

/** How a page shows one kind of work. */
interface Shown {
  /** Fetches what draws its cases. */
  load: () => Promise<CaseScreen>;
  /** Files that become cases of it where they are dropped on the desk. */
  arrivals: readonly Arrival[];
  /** What becomes of documents that can be written on as well. */
  documents?: DocumentWork;
  /** Stands beside the desk of a team that does this work. */
  onDesk?: LazyExoticComponent<ComponentType>;
  /** Which of its cases belong together. */
  groups?: UseQueryOptions<unknown, Error, CaseGroup[]>;
}

const onLeaf = () => import('../leaf').then(({ LeafOfCase }) => LeafOfCase);

/** How each kind of work is shown: a kind that is forgotten does not compile. */
export const SHOWN: Record<KindId, Shown> = {
  admission: {
    load: () => import('./admission/AdmissionLeaf').then(({ AdmissionLeaf }) => AdmissionLeaf),
    arrivals: [bundleArrival],
  },
  feedback: {
    load: () => import('./feedback/FeedbackLeaf').then(({ FeedbackLeaf }) => FeedbackLeaf),
    arrivals: [],
    documents: submissionWork,
    onDesk: lazy(() =>
      import('./feedback/assignment/AssignmentsOnDesk').then(({ AssignmentsOnDesk }) => ({
        default: AssignmentsOnDesk,
      })),
    ),
    groups: {
      queryKey: KEYS.assignments,
      queryFn: () => call('assignments'),
      select: (found) => caseGroups(found as Assignment[]),
      staleTime: 0,
    },
  },
  transcript: {
    load: () => import('./transcript/TranscriptLeaf').then(({ TranscriptLeaf }) => TranscriptLeaf),
    arrivals: [subtitlesArrival],
    documents: recordingWork,
  },
  reply: {
    load: () => import('./reply/ReplyLeaf').then(({ ReplyLeaf }) => ReplyLeaf),
    arrivals: [messageArrival],
    onDesk: lazy(() =>
      import('./reply/queue/QueueOnDesk').then(({ QueueOnDesk }) => ({ default: QueueOnDesk })),
    ),
  },
  batch: {
    load: () => import('./batch/BatchLeaf').then(({ BatchLeaf }) => BatchLeaf),
    arrivals: [tableArrival],
  },
  naming: {
    load: () => import('./naming/TrayLeaf').then(({ TrayLeaf }) => TrayLeaf),
    arrivals: [],
    documents: trayWork,
  },
  marking: {
    load: () => import('./marking/MarkedPageLeaf').then(({ MarkedPageLeaf }) => MarkedPageLeaf),
    arrivals: [],
    documents: markWork,
  },
  leaf: { load: onLeaf, arrivals: [] },
};

/** What files become where they are dropped on the desk, kind by kind. */
export const ARRIVALS_OF_KINDS: readonly Arrival[] = Object.values(SHOWN).flatMap(({ arrivals }) => arrivals);
