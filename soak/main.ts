import { withPostgres } from '../bench/postgres';
import { fuzz, type Fault } from './fuzz';

/** So many to each of the two stores. */
const REQUESTS = 105_000;

const say = (line: string) => process.stdout.write(`${line}\n`);
const [count = String(REQUESTS), seed = String(Date.now() % 1_000_000)] = process.argv.slice(2);

function tell(faults: readonly Fault[]): void {
  const seen = new Set<string>();
  for (const { status, sent, answer } of faults) {
    if (seen.has(sent.name)) continue;
    seen.add(sent.name);
    say(`\n${status} ${sent.name}: ${sent.method} ${sent.url} as ${sent.member}`);
    say(`  ${JSON.stringify(sent.headers['If-Match'])} ${(sent.body ?? '').slice(0, 1500)}`);
    say(`  ${answer}`);
  }
}

say(`Seed ${seed}, ${count} requests to each store.`);
say('On the embedded store');
const embedded = await fuzz(Number(count), Number(seed), '', say);
tell(embedded);
say('On a PostgreSQL server');
const served = await withPostgres((url) => fuzz(Number(count), Number(seed), url, say));
if (served) tell(served);
else say('  none can be started here');
const faults = embedded.length + (served?.length ?? 0);
say(faults === 0 ? 'No request was answered with 500 or more.' : `${faults} faults.`);
process.exit(faults === 0 ? 0 : 1);
