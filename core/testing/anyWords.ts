import fc from 'fast-check';

const piece = fc.oneof(
  fc.constantFrom(
    '**',
    '[',
    ']',
    '{',
    '}',
    '|',
    '\\',
    '\n',
    '\t',
    ' ',
    '- ',
    '> ',
    '1. ',
    '# ',
    ':',
    '---',
    '==',
  ),
  fc.constantFrom(
    'a',
    'Its weight',
    'was',
    '.',
    'éclair',
    '😀',
    '\u00a0',
    '"',
    "'",
    '=',
    ',',
    '(',
    ')',
    ';',
    '*',
    '#',
  ),
  fc.string({ maxLength: 6 }),
);
/** Any words, with what is awkward in them more often than it is in life. */
export const words = fc.array(piece, { maxLength: 7 }).map((some) => some.join(''));
/** Any words but none at all. */
export const someWords = words.filter((text) => text !== '');
