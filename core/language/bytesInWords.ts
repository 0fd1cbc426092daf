const UNITS = ['kB', 'MB', 'GB'] as const;

/**
 * How large a file is, for people: "812 bytes", "1.2 MB". Units are decimal, as disks and browsers count.
 *
 * @param locale whose numbers are written, as a BCP 47 tag
 */
export function bytesInWords(bytes: number, locale: string): string {
  if (bytes < 1000) return bytes === 1 ? '1 byte' : `${bytes} bytes`;
  let amount = bytes / 1000;
  let unit = 0;
  // From 999.5 up it would be written as 1,000 of the unit below.
  while (amount >= 999.5 && unit < UNITS.length - 1) {
    amount /= 1000;
    unit += 1;
  }
  const digits = { maximumFractionDigits: amount < 10 ? 1 : 0 };
  return `${amount.toLocaleString(locale, digits)} ${UNITS[unit]}`;
}
