import type { Cue } from '#core/cue';
import { valueOf } from './escapes';

/** A cue as its line: the rules it settles for itself, and what is typed. */
export function cueLine({ as, text, rules = {} }: Cue): string {
  const settled = Object.entries({ ...(as && { as }), ...rules }).flatMap(([rule, value]) => {
    if (value === undefined) return [];
    const said = typeof value === 'boolean' ? (value ? 'yes' : 'no') : value;
    return [` ${rule}=${Array.isArray(said) ? said.join(',') : said}`];
  });
  return `cue${settled.join('')}: ${valueOf(text)}`;
}
