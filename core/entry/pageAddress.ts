import { z } from 'zod';

/** A page of others that a wording is for: its host, with its port where it is not the usual one, and a path where one host has several. */
export const PageAddressSchema = z
  .string()
  .max(200)
  .regex(
    /^[a-z0-9-]+(\.[a-z0-9-]+)*(:\d{1,5})?(\/[^\s?#]*)?$/,
    'a page is named as in chat.example, or works.example/chat',
  );

/** A page as it was typed or copied from the line of a browser, named as a wording names it; null where it names none. */
export function pageAddress(typed: string): string | null {
  const [, host = '', path = ''] = /^(?:https?:\/\/)?([^/?#\s]*)([^?#\s]*)\S*$/i.exec(typed.trim()) ?? [];
  const found = PageAddressSchema.safeParse(host.toLowerCase() + path.replace(/\/+$/, ''));
  return found.success ? found.data : null;
}

/** Whether an address (host and path) is of a page that a wording names. */
export const isOnPage = (onPage: string, address: string): boolean =>
  address === onPage || address.startsWith(`${onPage}/`);
