/** A text of a kind, about so many characters long. */
export type TextOf = (length: number) => string;

const row =
  (piece: string): TextOf =>
  (length) =>
    piece.repeat(Math.ceil(length / piece.length)).slice(0, length);

const numbered =
  (piece: (at: number) => string): TextOf =>
  (length) => {
    let text = '';
    for (let at = 0; text.length < length; at += 1) text += piece(at);
    return text.slice(0, length);
  };

const NAMES = ['Bramble', 'Keel', 'Moss', 'Odile', 'Desta', 'Penhaligon', 'Tarrow', 'Sedge'];
const name = (at: number) => NAMES[at % NAMES.length]!;

/**
 * Kinds of text on which careless patterns and searches take time by the square of the length: rows of one sign, near misses of
 * what is looked for, much of what is looked for, and ordinary writing.
 */
export const KINDS_OF_TEXT: Record<string, TextOf> = {
  ...Object.fromEntries(
    [
      ...[
        'a',
        'A',
        '1',
        '0 ',
        '１',
        '-',
        '- ',
        '.',
        '. ',
        ',',
        ', ',
        '@',
        '+',
        '(',
        ')',
        '[',
        '{',
        '"',
        "'",
        '’',
        ':',
        ';',
        '/',
      ],
      ...[
        '\\',
        '#',
        '%',
        '_',
        '*',
        '~',
        '|',
        '<',
        '&',
        '$',
        '€',
        ' ',
        '  \n',
        '\n',
        '\t',
        '\u00a0',
        'é',
        '́',
        '中',
        '😀',
      ],
      ...[
        'a@',
        'a.',
        'a@a',
        'a@a.',
        '1/',
        '1-1',
        '12:',
        '+44 ',
        '0191 ',
        'Mr ',
        'Mr. A ',
        'Dr ',
        'a1',
        'aA',
        'Aa ',
        'A.',
      ],
      ...[
        'http://',
        'https:// ',
        'www.',
        '1 March ',
        'born ',
        'born in ',
        'No. ',
        'he ',
        'she said ',
        'of the ',
        'word ',
      ],
    ].map((piece) => [`row of ${JSON.stringify(piece)}`, row(piece)]),
  ),
  'different words': numbered((at) => `word${at.toString(36)} `),
  'long words': numbered((at) => `${at.toString(36)}${'x'.repeat(200)} `),
  names: numbered((at) => `${name(at)} ${name(at + 3)} `),
  'names and titles': numbered((at) => `Mrs ${name(at)} rang Dr ${name(at + 1)}. `),
  dates: numbered((at) => `${(at % 28) + 1} March ${1950 + (at % 70)}, `),
  'dates in figures': numbered((at) => `${(at % 28) + 1}/03/20${10 + (at % 20)} `),
  phones: numbered((at) => `01632 960${100 + (at % 900)}, `),
  addresses: numbered((at) => `${at % 99} Heron Lane, HM${at % 9} 4QZ; `),
  mail: numbered((at) => `keeper${at}@hollin.example, `),
  amounts: numbered((at) => `weighed ${400 + (at % 90)} g, took ${at % 40} ml. `),
  sentences: numbered((at) => `${name(at)} ate well and slept for ${at % 12} hours in pen ${at % 30}. `),
  'the same sentence': row('The wound was cleaned with warm saline and she was fed. '),
  lines: numbered((at) => `line ${at}\n`),
  'a list': numbered((at) => `- item ${at % 7}\n`),
  'a table': row('0\t0\t0\t0\n'),
};
