import { call, readJson } from '#client/api';
import { endsIn, type Arrival } from '../arrival';

/** A FHIR Bundle becomes an admission: whatever JSON it is, the server says what is wrong with it. */
export const bundleArrival: Arrival = {
  isOf: (dropped) => endsIn(dropped, ['.json']) || /^\s*\{\s*"/.test(dropped.text ?? ''),
  take: async ({ file }) => call('takeBundle', { body: await readJson(file, 'No case was made.') }),
};
