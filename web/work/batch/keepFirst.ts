import { call, isProblem } from '#client/api';
import type { BatchSetup } from '#core/batch';

/** Keeps how the letters of a new batch are made. Where that was done before its answer was lost, it stays as it is. */
export async function keepFirst(of: string, setup: BatchSetup): Promise<void> {
  try {
    await call('keepBatch', { params: { case: of }, version: 0, body: { setup } });
  } catch (error) {
    if (!isProblem(error, 'moved-on')) throw error;
  }
}
