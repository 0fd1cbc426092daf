import { expect, test } from '@jest/globals';
import { emptyRecord, recordLine, USUAL_RULES } from './index';

const TELLING = { today: '2026-11-28', locale: 'en-GB', rules: USUAL_RULES };

const line = (details: Record<string, string>) => {
  const known = Object.entries(details).map(([path, text]) => ({
    ...{ path, value: { kind: 'text' as const, text }, source: 'Case details', asOf: '2026-11-27' },
  }));
  return recordLine({ ...emptyRecord(), details: known }, TELLING).map(({ words }) => words);
};

test.each<[string, Record<string, string>, string[]]>([
  ['an animal by what it is', { name: 'Dune', species: 'grey seal', sex: 'female' }, ['grey seal, female']],
  ['an enquiry by who asks', { customer: 'Petra Lindow', species: 'tawny owl' }, ['Petra Lindow, tawny owl']],
  [
    'a report by its first details, whose they are among them',
    { name: 'Tomos Hale', topic: 'saltmarsh transect', place: 'Hollin Creek', block: 'second' },
    ['Tomos Hale, saltmarsh transect, Hollin Creek'],
  ],
  ['nothing by nothing', {}, []],
])('one line tells %s', (_, details, words) => expect(line(details)).toEqual(words));
