import { AS_TYPED, joinerOf, splitName, stemOf, type NamingStyle } from './fileName';

/** What is wrong with a name, on at least one of the families of systems that files travel between. */
export type NameFault =
  | { code: 'empty' }
  | { code: 'forbidden'; characters: string }
  | { code: 'unseen' }
  | { code: 'reserved'; name: string }
  | { code: 'ends-badly'; by: 'dot' | 'space' }
  | { code: 'hidden' }
  | { code: 'long'; over: number }
  | { code: 'long-path'; over: number }
  | { code: 'alike'; name: string }
  | { code: 'exists'; name: string };

/** Forbidden in the names of files: on Windows all of these, on macOS the colon, on all of them the slash. */
const FORBIDDEN = /[<>:"/\\|?*]/gu;
/** Control characters, and those of no width that a reader cannot see. */
const UNSEEN = /[\u0000-\u001F\u007F-\u009F\u200B-\u200F\u2028-\u202E\u2060-\u2064\uFEFF]/gu;
/** Names that Windows keeps for devices, whatever their ending. */
const RESERVED = /^(?:con|prn|aux|nul|conin\$|conout\$|com[0-9¹²³]|lpt[0-9¹²³])$/i;

/** So long may one name be: 255 bytes of UTF-8 on Linux; 255 units of UTF-16 elsewhere, which are never more. */
const MOST_BYTES = 255;
/** So long may a name with its folders be, where no long paths are switched on: 260 units of UTF-16 with the nought at its end (Windows). */
const MOST_PATH = 259;

const encoder = new TextEncoder();
const bytesOf = (name: string): number => encoder.encode(name).length;

/** By what two names are the same file: Windows and macOS take capitals for small letters, and macOS all forms of Unicode for one. */
export const alikeKey = (name: string): string => name.normalize('NFC').toLowerCase().normalize('NFC');

/** Where a name is to stand. */
export interface NamePlace {
  /** The path of the folder, as far as it is known; '' for not. */
  folder: string;
  /** Who has a name already, or is to have it: the name as it is written, by `alikeKey`. Without the file that is being named. */
  taken: Pick<ReadonlyMap<string, { name: string; isNew: boolean }>, 'get' | 'has'>;
}

const unique = (found: readonly string[]): string => [...new Set(found)].join(' ');

/** What is wrong with a name as it is spelt, wherever it stands. */
function faultsOfSpelling(name: string): NameFault[] {
  const { stem } = splitName(name);
  if (stem.trim() === '') return [{ code: 'empty' }];
  const faults: NameFault[] = [];
  const forbidden = unique(name.match(FORBIDDEN) ?? []);
  if (forbidden) faults.push({ code: 'forbidden', characters: forbidden });
  if (name.search(UNSEEN) >= 0) faults.push({ code: 'unseen' });
  const first = name.split('.')[0]!.trimEnd();
  if (RESERVED.test(first)) faults.push({ code: 'reserved', name: first });
  const last = /[. ]$/.exec(stem);
  if (last) faults.push({ code: 'ends-badly', by: last[0] === '.' ? 'dot' : 'space' });
  if (name.startsWith('.')) faults.push({ code: 'hidden' });
  return faults;
}

/** All that is wrong with the name of a file, ending and all, in the order in which it is best mended; nothing for a name that every system takes. */
export function nameFaults(name: string, { folder, taken }: NamePlace): NameFault[] {
  const faults = faultsOfSpelling(name);
  if (faults.some(({ code }) => code === 'empty')) return faults;
  const over = bytesOf(name) - MOST_BYTES;
  if (over > 0) faults.push({ code: 'long', over });
  const path = folder === '' ? name.length : folder.replace(/[\\/]+$/, '').length + 1 + name.length;
  if (over <= 0 && path > MOST_PATH) faults.push({ code: 'long-path', over: path - MOST_PATH });
  const other = taken.get(alikeKey(name));
  if (other) faults.push({ code: other.isNew ? 'alike' : 'exists', name: other.name });
  return faults;
}

const PUT_FOR: Record<string, string> = { '"': "'", '?': '', '*': '', '<': '(', '>': ')' };

/** Cuts a stem at the end of a word, so that the whole is no longer than it may be; within a word where that is all there is. */
function cutTo(stem: string, fits: (stem: string) => boolean): string {
  if (fits(stem)) return stem;
  const letters = [...stem];
  let most = letters.length;
  while (most > 1 && !fits(letters.slice(0, most).join(''))) most -= 1;
  const cut = letters.slice(0, most).join('');
  const word = cut.replace(/[\s_-]+[^\s_-]*$/u, '');
  return word.length >= cut.length / 2 ? word : cut;
}

/** A stem that every system takes, but for its length: what is forbidden put otherwise, nothing unseen, no device's name. '' where nothing is left. */
const spelt = (stem: string, put: (sign: string) => string): string =>
  stem
    .replace(UNSEEN, '')
    .replace(FORBIDDEN, put)
    .replace(/^[. ]+|[. ]+$/g, '')
    .replace(/^([^.]*)/, (first: string) => (RESERVED.test(first.trimEnd()) ? `${first.trimEnd()}_` : first));

/**
 * What a file is called that is made here, without its ending: the words of its title as far as every system takes them, in at most
 * so many units of UTF-16; '' where none of them can be in a name.
 */
export function safeStem(title: string, most: number): string {
  // Where words are read as a title a space is less in the way than another sign.
  const words = spelt(stemOf(title.replace(/\p{Cc}/gu, ' ').replace(FORBIDDEN, ' '), AS_TYPED), () => '');
  return cutTo(words, (one) => one.length <= most).replace(/[. ]+$/, '');
}

/**
 * The nearest name without a fault: forbidden characters replaced, what ends badly taken away, cut where it is too long, and with the
 * first free number behind it where it is taken; null where nothing is left to name it by.
 */
export function proposedName(
  name: string,
  place: NamePlace,
  style: Pick<NamingStyle, 'spaces'>,
): string | null {
  const { stem, ending } = splitName(name);
  const free = spelt(stem, (sign) => PUT_FOR[sign] ?? '-');
  if (free === '') return null;
  const plainEnding = ending.replace(FORBIDDEN, '').replace(UNSEEN, '');
  const folder = place.folder === '' ? 0 : place.folder.replace(/[\\/]+$/, '').length + 1;
  const join = joinerOf({ spaces: style.spaces, capitals: 'kept', accents: 'kept' });
  for (let count = 1; ; count += 1) {
    const behind = `${count === 1 ? '' : `${join}${count}`}${plainEnding}`;
    const fits = (one: string) =>
      bytesOf(one + behind) <= MOST_BYTES && folder + one.length + behind.length <= MOST_PATH;
    const whole = cutTo(free, fits).replace(/[. ]+$/, '') + behind;
    if (!place.taken.has(alikeKey(whole))) return whole;
  }
}

const counted = (count: number) => `${count.toLocaleString('en-GB')} character${count === 1 ? '' : 's'}`;

/** What is wrong with a name, in a sentence. */
export function nameFaultInWords(fault: NameFault): string {
  switch (fault.code) {
    case 'empty':
      return 'There is no name yet.';
    case 'forbidden':
      return `Not every system takes ${fault.characters} in a name.`;
    case 'unseen':
      return 'It holds a character that nobody sees.';
    case 'reserved':
      return `Windows keeps ${fault.name} for a device.`;
    case 'ends-badly':
      return `It ends with a ${fault.by === 'dot' ? 'full stop' : 'space'}, which not every system keeps.`;
    case 'hidden':
      return 'It begins with a full stop: macOS and Linux hide such files.';
    case 'long':
      return `It is ${counted(fault.over)} too long.`;
    case 'long-path':
      return `With its folder it is ${counted(fault.over)} too long for Windows.`;
    case 'alike':
      return `Another file here is to be called ${fault.name}.`;
    case 'exists':
      return `There is a file called ${fault.name} already.`;
  }
}
