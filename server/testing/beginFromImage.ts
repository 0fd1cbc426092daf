/** Stores that a test makes begin from the image that was made for the run, as those of a built server do from the build's. */
import path from 'node:path';
import { beginFrom } from '../emptyStore';

const folder = process.env.TEST_DATABASE_IMAGES;
if (folder) beginFrom(path.join(folder, 'empty.tar'));
