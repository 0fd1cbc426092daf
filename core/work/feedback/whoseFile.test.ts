import { describe, expect, test } from '@jest/globals';
import { nameFromFile, peopleFromLines, whoseFile } from './whoseFile';

const CLASS = ['Tomos Hale', 'Ingrid Vale', 'Zoë Marsh', 'Ann Lee', 'Mary Ann Lee'].map((name, at) => ({
  name,
  number: `FS-0${at}`,
}));

describe('whose a file is', () => {
  test.each([
    ['the name, as it is', 'Tomos Hale.docx', '', true, ['Tomos Hale']],
    ['run together, turned round, with more', '03_HaleTomos_saltmarsh_v2.docx', '', true, ['Tomos Hale']],
    ['without its accent', 'zoe-marsh.pdf', '', true, ['Zoë Marsh']],
    ['the number', 'report FS-01 final.md', '', true, ['Ingrid Vale']],
    [
      'the longer of two names of which one is within the other',
      'Mary Ann Lee.docx',
      '',
      true,
      ['Mary Ann Lee'],
    ],
    ['on the first page', 'report.docx', 'Bat roosts. By Ingrid Vale, second block.', true, ['Ingrid Vale']],
    ['the family name alone', 'vale bats.docx', '', false, ['Ingrid Vale']],
    ['two people', 'Tomos Hale and Ingrid Vale.docx', '', false, ['Tomos Hale', 'Ingrid Vale']],
    ['nobody', 'report.docx', 'We counted.', false, []],
  ])('%s', (_what, file, text, sure, likely) => {
    expect(whoseFile(file, text, CLASS)).toEqual({ sure, likely });
  });

  test('a name far down the text is no name of its writer', () => {
    expect(whoseFile('a.md', `${'word '.repeat(130)} Tomos Hale`, CLASS).likely).toEqual([]);
  });
});

test('a name from a file', () => {
  expect(nameFromFile('Tomos_Hale-report.v2.docx')).toBe('Tomos Hale report v2');
});

test('people from lines, each once', () => {
  expect(peopleFromLines('Tomos Hale\tFS-01\r\n\nIngrid Vale; FS-02\nTomos Hale')).toEqual([
    { name: 'Tomos Hale', number: 'FS-01' },
    { name: 'Ingrid Vale', number: 'FS-02' },
  ]);
});
