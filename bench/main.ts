import fs from 'node:fs';
import { benchBackups } from './backups';
import { benchCompanion } from './companion';
import { benchCues } from './cues';
import { benchFiles } from './files';
import { benchFilling } from './filling';
import { benchLargeBank } from './largeBank';
import { benchLikeness } from './likeness';
import { benchOffers } from './offers';
import { benchPhrases } from './phrases';
import { benchRefilling } from './refilling';
import type { Measured } from './measure';
import { benchSigns } from './signs';
import { benchStart } from './start';
import { benchTeam } from './team';
import { benchMarking } from './marking';
import { benchTray } from './tray';
import { benchTranscript } from './transcript';
import { benchTyping } from './typing';
import { benchWaits } from './waits';

const SECTIONS: Record<string, () => Measured[] | Promise<Measured[]>> = {
  start: benchStart,
  cues: benchCues,
  offers: benchOffers,
  filling: benchFilling,
  refilling: benchRefilling,
  likeness: benchLikeness,
  phrases: benchPhrases,
  typing: benchTyping,
  transcript: benchTranscript,
  marking: benchMarking,
  tray: benchTray,
  team: benchTeam,
  bank: benchLargeBank,
  signs: benchSigns,
  waits: benchWaits,
  files: benchFiles,
  backups: benchBackups,
  companion: benchCompanion,
};
const RESULTS = 'bench/results.json';

const say = (line: string) => process.stdout.write(`${line}\n`);

const asked = process.argv.slice(2);
const unknown = asked.filter((name) => !(name in SECTIONS));
if (unknown.length > 0) {
  say(`There is no section ${unknown.join(', ')}. There are: ${Object.keys(SECTIONS).join(', ')}.`);
  process.exit(1);
}

const number = (value: number) => value.toLocaleString('en-GB', { maximumFractionDigits: 0 });

function table(measured: readonly Measured[]): void {
  for (const { contender, perSecond, p50, p95, p99, longest, buildMs, megabytes } of measured) {
    const figures = [
      `${number(perSecond)} a second`,
      `p50 ${number(p50)} ns`,
      ...(p95 === undefined ? [] : [`p95 ${number(p95)} ns`]),
      `p99 ${number(p99)} ns`,
      ...(longest === undefined ? [] : [`longest ${number(longest)} ns`]),
      ...(buildMs === undefined ? [] : [`built in ${number(buildMs)} ms`]),
      ...(megabytes === undefined ? [] : [`${number(megabytes)} MB`]),
    ];
    say(`  ${contender.padEnd(44)}${figures.map((figure) => figure.padStart(26)).join('')}`);
  }
}

const earlier = fs.existsSync(RESULTS)
  ? (JSON.parse(fs.readFileSync(RESULTS, 'utf8')) as { results: Measured[] }).results
  : [];
const names = asked.length > 0 ? asked : Object.keys(SECTIONS);
const results: Measured[] = [];
for (const name of names) {
  const measured = await SECTIONS[name]!();
  for (const work of new Set(measured.map((one) => one.work))) {
    say(`\n${name}: ${work}`);
    table(measured.filter((one) => one.work === work));
  }
  results.push(...measured);
}
// Sections that were not run keep the figures they had.
const kept = earlier.filter(({ section }) => !names.includes(section));
fs.writeFileSync(
  RESULTS,
  `${JSON.stringify({ node: process.version, results: [...kept, ...results] }, null, 2)}\n`,
);
say(`\nThe same figures are in ${RESULTS}.`);
