import path from 'node:path';
import { expect, test } from '@jest/globals';
import { admissions } from './admissions';

const FOLDER = path.join(process.cwd(), 'demo/work/admission');

/** The day of the hedgehog's last weight, as its record says, when the demo is loaded at a moment. */
function lastWeighed(at: string): string | undefined {
  const bramble = admissions(FOLDER, new Date(at)).find(({ id }) => id === 'hedgehog-bramble')!;
  return bramble.record.measurements.find(({ value }) => value === 512)?.measured;
}

test.each(['2027-03-01T00:10:00Z', '2027-03-01T06:00:00Z', '2027-03-01T17:59:00Z', '2027-03-01T23:50:00Z'])(
  'at any hour the hedgehog was last weighed two days before: %s',
  (at) => expect(lastWeighed(at)).toBe('2027-02-27'),
);
