import type { ReactNode } from 'react';
import type { Case } from '#contracts';
import { PartsHead } from '../PartsHead';

/** The parts of a batch, in the order they are worked through. */
export const VIEWS = ['rows', 'decision', 'letters', 'out'] as const;
export type View = (typeof VIEWS)[number];

const CALLED: Record<View, string> = {
  rows: 'Table',
  decision: 'Who gets what',
  letters: 'Letters',
  out: 'Going out',
};

/** What stands above each part of a batch. */
export const BatchHead = (props: { one: Case; view: View; children?: ReactNode }) => (
  <PartsHead called="batch" parts={CALLED} filesAt="parts" {...props} />
);
