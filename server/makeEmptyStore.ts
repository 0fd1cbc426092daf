/** Makes the image that new stores begin from, in the file that is named: a step of the build. */
import type { PGlite } from '@electric-sql/pglite';
import { openStore } from './db';
import { writeImage } from './emptyStore';

const store = await openStore({ image: null });
await writeImage((store.db as unknown as { $client: PGlite }).$client, process.argv[2]!);
await store.close();
