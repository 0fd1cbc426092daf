import type { Router } from 'express';
import type { Step } from '#contracts';
import { backupBefore } from '../backup';
import type { Context } from '../context';
import { bind } from '../http';
import { takeSteps } from './steps';

/** Before an act on so many entries a backup is made. */
const MANY = 100;

/** How many entries steps change, move or delete. */
const entriesIn = (steps: readonly Step[]): number =>
  steps.reduce((sum, step) => {
    if (step.do === 'change') return sum + step.changes.length;
    if (step.do === 'delete' || step.do === 'move') return sum + step.entries.length;
    // A merge is a change and a deletion; a collection may hold any number.
    return step.do === 'drop' ? sum + MANY : sum;
  }, 0);

/** Acts on many entries, and what takes them back. */
export function stepRoutes(router: Router, context: Context): void {
  bind(router, context, 'takeSteps', async ({ member, body }) => {
    if (entriesIn(body.steps) >= MANY) await backupBefore(context, 'before change');
    return takeSteps(context, member, body.steps);
  });
}
