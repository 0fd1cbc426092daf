/** The window that says where a page is: of a frame without an address of its own that of the page it is in. */
function placeOf(page: Document): Location | null {
  const window = page.defaultView!;
  try {
    return window.location.host === '' ? window.parent.location : window.location;
  } catch {
    return null;
  }
}

/** The host of a page; '' where it is not told. */
export const hostOf = (page: Document): string => placeOf(page)?.host ?? '';

/** Host and path of a page, as wordings name it; '' where it is not told. */
export function addressOf(page: Document): string {
  const place = placeOf(page);
  return place ? place.host + place.pathname.replace(/\/+$/, '') : '';
}
