import type { Router } from 'express';
import type { Context } from '../context';
import { bind } from '../http';
import { takeSteps } from './steps';

/** Acts on many entries, and what takes them back. */
export function stepRoutes(router: Router, context: Context): void {
  bind(router, context, 'takeSteps', ({ member, body }) => takeSteps(context, member, body.steps));
}
