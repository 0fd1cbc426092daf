import { describe, expect, test } from '@jest/globals';
import { fileBoxFor, takes } from './fileBoxes';

const PDF = { name: 'First aid.PDF', type: 'application/pdf' };
const page = (html: string): Document => new DOMParser().parseFromString(html, 'text/html');

describe('a box for files', () => {
  test.each([
    ['', true],
    ['.pdf', true],
    ['.doc, .PDF', true],
    ['application/pdf', true],
    ['application/*', true],
    ['image/*', false],
    ['.doc', false],
    ['application/p', false],
  ])('that says it takes “%s” takes a PDF: %s', (accept, wanted) => {
    const input = page(`<input type="file" accept="${accept}" />`).querySelector('input')!;
    expect(takes(input, PDF)).toBe(wanted);
  });

  test.each([
    ['by its label', '<label for="f">Attachments</label><input id="f" type="file" />', 'Attachments'],
    ['hidden behind a button', '<input type="file" hidden aria-label="Upload" />', 'Upload'],
    ['without a name', '<input type="file" />', 'the box for files'],
    [
      'the first that takes it',
      '<input type="file" accept="image/*" name="photo" /><input type="file" name="paper" />',
      'paper',
    ],
    ['not one that is off', '<input type="file" name="off" disabled /><input type="file" name="on" />', 'on'],
  ])('is found %s', (_, html, label) => {
    expect(fileBoxFor([page(html)], PDF)?.label).toBe(label);
  });

  test('is none where the page shows none', () => {
    expect(fileBoxFor([page('<input type="text" />'), page('<p>No box</p>')], PDF)).toBeNull();
  });
});
