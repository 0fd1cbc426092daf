/** What a file is called, by its media type or else by how its name ends; with an article, since it stands in a sentence. */
const WORDS: readonly (readonly [media: RegExp, ending: RegExp, words: string])[] = [
  [/^image\//, /\.(png|jpe?g|gif|webp|avif|tiff?|heic)$/, 'a picture'],
  [/^audio\//, /\.(mp3|m4a|ogg|opus|wav|flac|aac)$/, 'a sound recording'],
  [/^video\//, /\.(mp4|mov|webm|avi|mkv)$/, 'a film'],
  [/^application\/pdf$/, /\.pdf$/, 'a PDF document'],
  [/wordprocessingml|opendocument\.text|msword/, /\.(docx?|odt)$/, 'a document'],
  [/spreadsheetml|opendocument\.spreadsheet|ms-excel|^text\/csv$/, /\.(xlsx?|ods|csv)$/, 'a table'],
  [/^message\/rfc822$/, /\.eml$/, 'an email'],
  [/zip|x-tar|gzip|x-7z/, /\.(zip|tar|gz|7z)$/, 'an archive'],
  [/^text\/|json$/, /\.(txt|md|json|html?)$/, 'a text file'],
];

/** What is said of a file where nothing is known of it. */
const UNKNOWN = /^(application\/octet-stream)?$/;

/**
 * What a file is, for people: "a picture", "a PDF document"; "a file" where nothing more is known. Browsers know no media type
 * of many files: then the ending of the name, if given, tells.
 */
export const mediaInWords = (media: string, name = ''): string =>
  WORDS.find(([of, ending]) =>
    UNKNOWN.test(media) ? ending.test(name.toLowerCase()) : of.test(media),
  )?.[2] ?? 'a file';
