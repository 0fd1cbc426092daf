// A backslash is a slash to browsers.
const SAFE_LINK = /^(https?:|mailto:|tel:|#|\/(?![/\\]))/i;
/** Line ends and other signs that no address has, and that some readers of Markdown end a link at. */
const CONTROL = /\p{Cc}/u;

/** True for a link that may stand in a passage: to http, https, mailto or tel, or within the page. */
export function isSafeLink(href: string): boolean {
  return href.length <= 2000 && SAFE_LINK.test(href) && !CONTROL.test(href);
}
