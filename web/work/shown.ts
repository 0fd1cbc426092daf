import { lazy, type ComponentType, type LazyExoticComponent } from 'react';
import type { KindId } from '#core/work';
import { bundleArrival } from './admission/bundleArrival';
import type { Arrival } from './arrival';

/** Draws a case of one kind of work, by its id: all that is beneath the page's head. */
type CaseScreen = ComponentType<{ id: string }>;

/** How a page shows one kind of work. */
interface Shown {
  /** Fetches what draws its cases. */
  load: () => Promise<CaseScreen>;
  /** Files that become cases of it where they are dropped on the desk. */
  arrivals: readonly Arrival[];
  /** Stands beside the desk of a team that does this work. */
  onDesk?: LazyExoticComponent<ComponentType>;
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
    onDesk: lazy(() =>
      import('./feedback/assignment/AssignmentsOnDesk').then(({ AssignmentsOnDesk }) => ({
        default: AssignmentsOnDesk,
      })),
    ),
  },
  transcript: { load: onLeaf, arrivals: [] },
  reply: { load: onLeaf, arrivals: [] },
  leaf: { load: onLeaf, arrivals: [] },
};

/** What files become where they are dropped on the desk, kind by kind. */
export const ARRIVALS_OF_KINDS: readonly Arrival[] = Object.values(SHOWN).flatMap(({ arrivals }) => arrivals);
