import type { Import } from '#contracts';
import type { TakeOverBody } from '#core/takeover';
import type { Caller } from './testServer';

/** So many entries are sent at once: few, so that a short import comes in several pieces. */
const AT_ONCE = 50;

/** Sends an import in pieces as a page does, without finishing it; with the answer that refused it where one did. */
export async function sendImport(
  who: Caller,
  { entries, known, ...begun }: TakeOverBody,
  { name = 'night.json', atOnce = AT_ONCE } = {},
) {
  const begins = await who.post('/api/imports').send({ name, ...begun });
  const { id } = begins.body as Import;
  const coming = entries.filter(({ replaces }) => replaces === null).map((one) => one.id);
  for (let at = 0; begins.status === 201 && at < entries.length; at += atOnce) {
    const body = { entries: entries.slice(at, at + atOnce), known, coming };
    const sent = await who.post(`/api/imports/${id}/pieces`).send(body);
    if (sent.status !== 200) return { id, refused: sent };
  }
  return { id, refused: begins.status === 201 ? null : begins };
}

/** Makes all that was sent of an import seen. */
export const finishImport = (who: Caller, id: string) => who.post(`/api/imports/${id}/finish`);

/** Brings entries in as a page does; gives the last answer, which is what refused it where something did. */
export async function bringIn(who: Caller, body: TakeOverBody, how: { atOnce?: number } = {}) {
  const { id, refused } = await sendImport(who, body, how);
  return refused ?? finishImport(who, id);
}
