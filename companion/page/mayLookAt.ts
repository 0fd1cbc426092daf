/** Kinds of one-line boxes that hold words; a box that does not say is one. */
const WORDS = ['text', ''];
/** What a box says of itself by `autocomplete` that is nobody's but the page's: passwords, codes, cards. */
const SECRET =
  /(^|\s)(current-password|new-password|one-time-code|username|webauthn|cc-[a-z-]+|transaction-[a-z]+)(\s|$)/;
/** How boxes of payment and sign-in are named where they do not say what they are; words alone, so that a compass is no password. */
const NAMED_SECRET =
  /(^|[^a-z])(pass(word|code|phrase)?|pin|cvc|cvv|iban|otp|security code|card (number|no|holder))($|[^a-z])/;
const NAMED_SEARCH = /^(q|query|s|find|filter)$|(^|[^a-z])search($|[^a-z])/;

/** A name as words: `siteSearch` and `site-search` are both "site search". */
const asWords = (name: string): string =>
  name
    .replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2')
    .replace(/[-_\s]+/g, ' ')
    .trim()
    .toLowerCase();

const says = (element: HTMLElement, name: string): string => element.getAttribute(name) ?? '';

/** A form that signs in or pays holds a box for a secret; none of its one-line boxes is looked at. */
const holdsSecret = (form: HTMLFormElement | null): boolean =>
  form?.querySelector('input[type=password], [autocomplete*="cc-"], [autocomplete*="one-time-code"]') !==
    null && form !== null;

function isSearch(element: HTMLElement): boolean {
  if (says(element, 'role') === 'searchbox' || says(element, 'role') === 'combobox') return true;
  if (element.closest('[role=search], search')) return true;
  return (
    element.tagName !== 'DIV' &&
    [says(element, 'name'), element.id].some((name) => NAMED_SEARCH.test(asWords(name)))
  );
}

const isSecret = (element: HTMLElement): boolean =>
  SECRET.test(says(element, 'autocomplete')) ||
  [says(element, 'name'), element.id, says(element, 'aria-label')].some((name) =>
    NAMED_SECRET.test(asWords(name)),
  );

/**
 * Whether a box may be looked at: one for words, that can be written in. Never one for a password, a code, a card or a search, nor one
 * in a form that signs in or pays.
 */
export function mayLookAt(element: HTMLElement): boolean {
  if (isSearch(element) || isSecret(element)) return false;
  if (element instanceof HTMLTextAreaElement) return !element.readOnly && !element.disabled;
  if (!(element instanceof HTMLInputElement)) return element.isContentEditable;
  if (!WORDS.includes(says(element, 'type').toLowerCase())) return false;
  return !element.readOnly && !element.disabled && !holdsSecret(element.form);
}
