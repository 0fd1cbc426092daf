import { MOST_FHIR_BYTES } from '#contracts';
import { call, UnreadableFile } from '#client/api';
import { endsIn, type Arrival, type Dropped } from '../arrival';
import { newsInWords } from './newsInWords';

/** What a file holds: one JSON value, or one a line (NDJSON). Throws an UnreadableFile, with the line. */
function valuesIn({ file, text }: Dropped): unknown[] {
  const whole = parsed(text ?? '');
  if ('value' in whole) return [whole.value];
  const lines = (text ?? '').split(/\r?\n/).filter((line) => line.trim() !== '');
  const values = lines.map(parsed);
  const at = values.findIndex((one) => 'error' in one);
  if (at < 0) return values.map((one) => ('value' in one ? one.value : null));
  const place = lines.length > 1 && at > 0 ? `, line ${at + 1}` : '';
  const error = at > 0 ? (values[at] as { error: string }).error : whole.error;
  throw new UnreadableFile(`${file.name}${place} is not JSON: ${error}. No case was made.`);
}

function parsed(text: string): { value: unknown } | { error: string } {
  try {
    return { value: JSON.parse(text) as unknown };
  } catch (error) {
    return { error: (error as Error).message };
  }
}

/** Throws an UnreadableFile where files are together larger than can be sent. */
function mustBeSendable(dropped: readonly Dropped[]): void {
  const size = dropped.reduce((sum, { bytes }) => sum + bytes.length, 0);
  if (size <= MOST_FHIR_BYTES) return;
  const what = dropped.length === 1 ? `${dropped[0]!.file.name} is` : 'These files are together';
  throw new UnreadableFile(`${what} larger than 20 MB. No case was made; export fewer patients at once.`);
}

/** Files of a record system become admissions, all that were dropped at once together: the server says what is wrong with them. */
export const bundleArrival: Arrival = {
  isOf: (dropped) =>
    endsIn(dropped, ['.json', '.ndjson', '.jsonl']) || /^\s*[[{]\s*[{"]/.test(dropped.text ?? ''),
  areOne: true,
  take: async (dropped) => {
    mustBeSendable(dropped);
    const files = dropped.map((one) => ({ name: one.file.name.slice(0, 300), values: valuesIn(one) }));
    const { taken, remarks } = await call('takeBundle', { body: { files } });
    const cases = taken.map((one) => ({ case: one.case, news: one.isNew ? null : newsInWords(one) }));
    return { cases, remarks };
  },
};
