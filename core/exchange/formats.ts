/** A format of files. */
export interface FileFormat {
  /** Its media type. */
  media: string;
  /** The ending of its files' names, without the dot. */
  ending: string;
  /** What it is called where one chooses among formats. */
  label: string;
  /** Compressed by itself: packing it into an archive makes it no smaller. */
  compressed?: true;
}

/** All formats that files are taken away in, a row for each. */
export const FILE_FORMATS = {
  docx: {
    media: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
    ending: 'docx',
    label: 'Word document (docx)',
    compressed: true,
  },
  pdf: { media: 'application/pdf', ending: 'pdf', label: 'PDF', compressed: true },
  markdown: { media: 'text/markdown', ending: 'md', label: 'Markdown' },
  html: { media: 'text/html', ending: 'html', label: 'Web page (HTML)' },
  text: { media: 'text/plain', ending: 'txt', label: 'Plain text' },
  csv: { media: 'text/csv', ending: 'csv', label: 'Table (CSV)' },
  tsv: { media: 'text/tab-separated-values', ending: 'tsv', label: 'Table (tabs)' },
  xlsx: {
    media: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
    ending: 'xlsx',
    label: 'Table (xlsx)',
    compressed: true,
  },
  json: { media: 'application/json', ending: 'json', label: 'JSON' },
  yaml: { media: 'application/yaml', ending: 'yaml', label: 'YAML' },
  plist: { media: 'application/xml', ending: 'plist', label: 'XML property list' },
  fhir: { media: 'application/fhir+json', ending: 'json', label: 'Record system (FHIR R4)' },
  vtt: { media: 'text/vtt', ending: 'vtt', label: 'WebVTT subtitles' },
  srt: { media: 'application/x-subrip', ending: 'srt', label: 'SubRip subtitles (SRT)' },
  eml: { media: 'message/rfc822', ending: 'eml', label: 'E-mail' },
  png: { media: 'image/png', ending: 'png', label: 'Picture (PNG)', compressed: true },
  sh: { media: 'text/x-shellscript', ending: 'sh', label: 'Script for macOS and Linux' },
  ps1: { media: 'text/plain', ending: 'ps1', label: 'Script for Windows' },
  zip: { media: 'application/zip', ending: 'zip', label: 'Archive (zip)', compressed: true },
} as const satisfies Record<string, FileFormat>;
/** The name of a format of files. */
export type FormatName = keyof typeof FILE_FORMATS;

/** What is to be known of a format. */
export const fileFormat = (name: FormatName): FileFormat => FILE_FORMATS[name];
