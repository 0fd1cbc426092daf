import { z } from 'zod';
import { AS_TYPED, NamingStyleSchema } from './fileName';

/** How the files of a tray are named. */
export const TraySetupSchema = z.object({
  style: NamingStyleSchema,
  // The path of the folder that the files are in, as far as it is known: names with a long one must be shorter.
  folder: z.string().max(260),
  // Numbers of the team's own, one for each shape: "HM-2026-0042".
  numbers: z.array(z.string().trim().min(2).max(40)).max(10),
});
export type TraySetup = z.infer<typeof TraySetupSchema>;

/** How a tray is named as long as nobody said. */
export const newTraySetup = (): TraySetup => ({ style: AS_TYPED, folder: '', numbers: [] });

/** So many files a tray takes, and so long may what is said of one be. */
export const TRAY_LIMITS = { lines: 5000, name: 300, folder: 1000 } as const;

/** How a file came to its new name: in its own folder, in an archive, by a script or by hand after a table. */
export const WAYS_RENAMED = ['here', 'zip', 'script', 'table'] as const;
export type WayRenamed = (typeof WAYS_RENAMED)[number];
