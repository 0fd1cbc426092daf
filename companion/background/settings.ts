import { z } from 'zod';
import type { BoxName, Form } from '../messages';

/** The Elderleaf that this browser is joined to. */
const JoinedSchema = z.object({
  address: z.string(),
  token: z.string(),
  member: z.string(),
  name: z.string(),
});
export type Joined = z.infer<typeof JoinedSchema>;

const BoxNameSchema: z.ZodType<BoxName> = z.union([
  z.literal('nowhere'),
  z.object({ by: z.enum(['id', 'name', 'label']), value: z.string() }),
]);
const FormSchema: z.ZodType<Form> = z.enum(['by-box', 'plain', 'markdown']);

/** What one said of a page: whether it is looked at, how words go into its boxes, and where the parts of a wording go. */
const PageSchema = z.object({
  isOff: z.boolean().default(false),
  form: FormSchema.default('by-box'),
  boxes: z.record(z.string(), BoxNameSchema).default({}),
});
export type PageSettings = z.infer<typeof PageSchema>;
const PagesSchema = z.record(z.string(), PageSchema);

const read = async <T>(name: string, schema: z.ZodType<T>): Promise<T | null> => {
  const kept = await chrome.storage.local.get(name);
  const parsed = schema.safeParse(kept[name]);
  return parsed.success ? parsed.data : null;
};

/** The Elderleaf that this browser is joined to; null for none. */
export const joined = (): Promise<Joined | null> => read('joined', JoinedSchema);

/** Joins this browser, or null: it is joined to none any more. */
export const setJoined = (to: Joined | null): Promise<void> =>
  to ? chrome.storage.local.set({ joined: to }) : chrome.storage.local.remove('joined');

/** What one said of the page of a host. */
export async function pageSettings(host: string): Promise<PageSettings> {
  return (await read('pages', PagesSchema))?.[host] ?? PageSchema.parse({});
}

/** Whether entries are offered for what is typed behind a lead-in: so, until one says otherwise. */
export const offersWanted = async (): Promise<boolean> => (await read('offers', z.boolean())) ?? true;

/** Has entries offered on pages, or not. */
export const wantOffers = (on: boolean): Promise<void> => chrome.storage.local.set({ offers: on });

let changing = Promise.resolve();

/** Changes what is said of the page of a host, one change after the other. */
export function changePage(host: string, change: (before: PageSettings) => PageSettings): Promise<void> {
  changing = changing.then(async () => {
    const pages = (await read('pages', PagesSchema)) ?? {};
    const next = change(pages[host] ?? PageSchema.parse({}));
    await chrome.storage.local.set({ pages: { ...pages, [host]: next } });
  });
  return changing;
}

const ManagedSchema = z.object({
  address: z.string().optional(),
  leftAlone: z.array(z.string()).optional(),
});

type Managed = z.infer<typeof ManagedSchema>;

/** What whoever looks after this computer has set, as it was last read: address of Elderleaf, and pages that are left alone. */
export const managed = async (): Promise<Managed> => (await read('managed', ManagedSchema)) ?? {};

/**
 * Reads anew what whoever looks after this computer has set. Done beside all else: the first reading after a browser is opened can take
 * seconds. Gives whether it is another than before.
 */
export async function readManaged(): Promise<boolean> {
  const before = await managed();
  // A browser that nobody manages has nothing there, or no such place.
  const parsed = ManagedSchema.safeParse(await chrome.storage.managed.get().catch(() => ({})));
  const now = parsed.success ? parsed.data : {};
  if (JSON.stringify(now) === JSON.stringify(before)) return false;
  await chrome.storage.local.set({ managed: now });
  return true;
}
