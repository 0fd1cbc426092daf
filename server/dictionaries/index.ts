import type { Router } from 'express';
import type { Context } from '../context';
import { bind, notFound } from '../http';
import { dictionariesIn, readDictionary } from './dictionaryFolder';

/** Dictionaries for spelling that the team has put in its folder, besides the one that comes along with the pages. */
export function dictionaryRoutes(router: Router, context: Context): void {
  const folder = context.settings.dictionaryFolder;

  bind(router, context, 'dictionaries', async () => [...(await dictionariesIn(folder)).keys()]);

  bind(router, context, 'dictionary', async ({ params }) => {
    const base = (await dictionariesIn(folder)).get(params.language);
    if (base === undefined) throw notFound();
    return readDictionary(folder, base);
  });
}
