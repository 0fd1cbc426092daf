import { meeting } from './contract';
import { PageWatch } from './watch';

// Begun twice where a page was granted while it was open: once is enough.
if (!meeting().watching) new PageWatch(document);
