/* Where the files of the book face are, as the build lays them out: each part of it in four looks. */
import latinNormal from '@fontsource/literata/files/literata-latin-400-normal.woff?url';
import latinBold from '@fontsource/literata/files/literata-latin-700-normal.woff?url';
import latinItalics from '@fontsource/literata/files/literata-latin-400-italic.woff?url';
import latinBolditalics from '@fontsource/literata/files/literata-latin-700-italic.woff?url';
import latinExtNormal from '@fontsource/literata/files/literata-latin-ext-400-normal.woff?url';
import latinExtBold from '@fontsource/literata/files/literata-latin-ext-700-normal.woff?url';
import latinExtItalics from '@fontsource/literata/files/literata-latin-ext-400-italic.woff?url';
import latinExtBolditalics from '@fontsource/literata/files/literata-latin-ext-700-italic.woff?url';
import cyrillicNormal from '@fontsource/literata/files/literata-cyrillic-400-normal.woff?url';
import cyrillicBold from '@fontsource/literata/files/literata-cyrillic-700-normal.woff?url';
import cyrillicItalics from '@fontsource/literata/files/literata-cyrillic-400-italic.woff?url';
import cyrillicBolditalics from '@fontsource/literata/files/literata-cyrillic-700-italic.woff?url';
import greekNormal from '@fontsource/literata/files/literata-greek-400-normal.woff?url';
import greekBold from '@fontsource/literata/files/literata-greek-700-normal.woff?url';
import greekItalics from '@fontsource/literata/files/literata-greek-400-italic.woff?url';
import greekBolditalics from '@fontsource/literata/files/literata-greek-700-italic.woff?url';
import type { Face } from './faces';

/** The address of each part of the book face, in each look. */
export const BOOK_FACES: Record<
  Face,
  { normal: string; bold: string; italics: string; bolditalics: string }
> = {
  latin: { normal: latinNormal, bold: latinBold, italics: latinItalics, bolditalics: latinBolditalics },
  'latin-ext': {
    normal: latinExtNormal,
    bold: latinExtBold,
    italics: latinExtItalics,
    bolditalics: latinExtBolditalics,
  },
  cyrillic: {
    normal: cyrillicNormal,
    bold: cyrillicBold,
    italics: cyrillicItalics,
    bolditalics: cyrillicBolditalics,
  },
  greek: { normal: greekNormal, bold: greekBold, italics: greekItalics, bolditalics: greekBolditalics },
};
