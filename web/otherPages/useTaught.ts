import { useEffect, useState } from 'react';
import { z } from 'zod';
import { PageCardSchema } from '#contracts';

/** Under this name the companion leaves what an owner showed on a page, in this tab alone, and by this it tells of it. */
const LEFT = 'companion.taught';
const TOLD = 'elderleaf-taught';

/** A page card that is not saved yet, with what stood at each place when it was shown. */
const TaughtSchema = z.object({
  host: PageCardSchema.shape.host,
  places: z.array(PageCardSchema.shape.places.element.extend({ says: z.string().max(400) })).min(1),
});
export type Taught = z.infer<typeof TaughtSchema>;

function left(): Taught | null {
  try {
    const read = TaughtSchema.safeParse(JSON.parse(sessionStorage.getItem(LEFT) ?? 'null'));
    return read.success ? read.data : null;
  } catch {
    return null;
  }
}

/** What an owner showed on a page just now, until it is let go of; null for nothing. */
export function useTaught(): [taught: Taught | null, drop: () => void] {
  const [taught, setTaught] = useState(left);
  useEffect(() => {
    const hear = () => setTaught(left());
    window.addEventListener(TOLD, hear);
    return () => window.removeEventListener(TOLD, hear);
  }, []);
  const drop = () => {
    sessionStorage.removeItem(LEFT);
    setTaught(null);
  };
  return [taught, drop];
}
