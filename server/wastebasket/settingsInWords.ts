import { USUAL_KEEPING, type TeamSettings } from '#contracts';

/** How each setting of the team is told in the trail: what it is about, and what it is now. A new one is a row. */
const ROWS: {
  [Name in keyof TeamSettings]: { subject: string; inWords: (now: TeamSettings[Name]) => string };
} = {
  wastebasketDays: {
    subject: 'The wastebasket is emptied',
    inWords: (days) => (days === null ? 'never' : `after ${days} days`),
  },
  kinds: {
    subject: 'Kinds of work',
    inWords: (kinds) => (kinds === null ? 'all' : kinds.map(({ work }) => work).join(', ')),
  },
  records: {
    subject: 'Rules for records',
    inWords: (records) =>
      records === null
        ? 'the usual'
        : records.care.map(({ label }) => label).join(', ') || 'nothing is due by rule',
  },
  backups: {
    subject: 'Backups of the last',
    inWords: (backups) => {
      const { days, weeks, months } = backups ?? USUAL_KEEPING;
      return `${days} days, ${weeks} weeks, ${months} months`;
    },
  },
  casesOnComputers: {
    subject: 'Cases on computers',
    inWords: (rule) => {
      if (rule === null) return 'while signed in';
      return rule === 'none' ? 'none' : `for ${rule} days`;
    },
  },
  pageCards: {
    subject: 'Page cards',
    inWords: (cards) => cards?.map(({ host }) => host).join(', ') || 'none',
  },
  leftAlone: { subject: 'Pages left alone', inWords: (pages) => pages?.join(', ') || 'none' },
};

/** What of the team's settings was changed, in words for the trail. */
export function settingsInWords(changed: Partial<TeamSettings>): [subject: string, detail: string][] {
  const tell = <Name extends keyof TeamSettings>(name: Name): [string, string][] => {
    const now = changed[name];
    return now === undefined ? [] : [[ROWS[name].subject, ROWS[name].inWords(now)]];
  };
  return (Object.keys(ROWS) as (keyof TeamSettings)[]).flatMap((name) => tell(name));
}
