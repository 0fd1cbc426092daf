/** A word with its regular endings, as English spells them; what does not exist is left to the list to refuse. */
function spelled(word: string): string[] {
  const consonantY = /[^aeiou]y$/.test(word);
  const silentE = word.endsWith('e');
  const stem = silentE ? word.slice(0, -1) : word;
  // hop: hopped; but not after w, x or y, nor two vowels.
  const doubled = /(?:^|[^aeiou])[aeiouy][^aeiouwxy]$/.test(word) ? word + word.at(-1)! : null;
  const forms = consonantY
    ? [`${word.slice(0, -1)}ies`, `${word.slice(0, -1)}ied`, `${word}ing`]
    : [`${word}s`, `${word}es`, `${stem}ed`, `${stem}ing`];
  const more = consonantY
    ? [`${word.slice(0, -1)}ier`, `${word.slice(0, -1)}iest`, `${word.slice(0, -1)}ily`]
    : [`${stem}er`, `${stem}est`, `${word}ly`];
  const twice = doubled ? [`${doubled}ed`, `${doubled}ing`, `${doubled}er`, `${doubled}est`] : [];
  return [...forms, ...twice, ...more];
}

/**
 * The forms of an English word that a list knows ("bandage": bandages, bandaged, bandaging), in that order: by the
 * rules of spelling, so that nothing is stored for them, and only those that `has` knows, so that none is invented.
 */
export function endingsOf(word: string, has: (form: string) => boolean): string[] {
  return /^[a-z]{3,}$/.test(word) ? spelled(word).filter(has) : [];
}
