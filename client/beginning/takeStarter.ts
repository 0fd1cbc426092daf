import type { Collection } from '#contracts';
import { call } from '#client/api';
import { starterFile, type Starter } from '#core/starters';
import { ImportSending } from '#client/imports';
import { planTakeOver } from '#core/takeover';

/**
 * Makes a starter collection the team's own: all may use it and propose changes. Gives the id of the collection. Throws what
 * `call` does; made but not shared, it is told as a collection of one's own, and can be shared on its page.
 */
export async function takeStarter(starter: Starter, leadIn: string): Promise<Collection['id']> {
  const { body } = planTakeOver(starterFile(starter, leadIn), new Map(), [], new Map());
  const { collection } = (await new ImportSending(body, starter.name).run())!;
  const params = { collection };
  const { version, grants } = await call('sharing', { params });
  await call('share', {
    params,
    version,
    body: { grants: [...grants, { to: { kind: 'team' }, right: 'contribute' }] },
  });
  return collection;
}
