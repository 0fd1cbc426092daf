import type { ReactNode } from 'react';
import type { Case } from '#contracts';
import { PartsHead } from '../PartsHead';

/** The parts of a tray, in the order they are worked through. */
export const VIEWS = ['names', 'how', 'out'] as const;
export type View = (typeof VIEWS)[number];

const CALLED: Record<View, string> = { names: 'Files', how: 'How they are named', out: 'Rename' };

/** What stands above each part of a tray. */
export const TrayHead = (props: { one: Case; view: View; children?: ReactNode }) => (
  <PartsHead called="tray" parts={CALLED} filesAt="about" {...props} />
);
