/**
 * `npm run soak -- fuzz [requests] [seed]`: requests of every shape to the built server, on both stores.
 * `npm run soak -- properties [rounds]`: all properties with other seeds than `npm test` takes.
 * `npm run soak -- kills [rounds]`: what brings in, backs up and restores is killed at any moment: before or after, never between.
 * `npm run soak -- writing [times] [seed]`: texts are written in while pages are left, opened again and crash, and the line and the server go.
 * `npm run soak -- linear`: whatever reads text, on 85 kinds of text, takes time in proportion to their length.
 */
import { build, install, run, tool } from './steps.mjs';

const [what, ...rest] = process.argv.slice(2);
install('whole');
if (what === 'fuzz') {
  build();
  run('Requests of every shape', tool('tsx'), ['soak/main.ts', ...rest]);
} else if (what === 'properties') {
  const rounds = Number(rest[0] ?? 5);
  for (let round = 0; round < rounds; round += 1) {
    const seed = String(Math.floor(Math.random() * 2 ** 31));
    run(`Seed ${seed}`, tool('jest'), ['core', 'contracts', 'client', 'web'], {
      env: { NODE_OPTIONS: '--experimental-vm-modules --no-warnings', SEED: seed },
    });
  }
} else if (what === 'kills') {
  build();
  run('Killed at any moment', tool('tsx'), ['soak/kills.ts', ...rest]);
} else if (what === 'writing') {
  build();
  run('Writing, whatever happens', tool('tsx'), ['soak/writing.ts', ...rest]);
} else if (what === 'linear') {
  run('Time in proportion to the length of a text', tool('tsx'), ['soak/linear.ts']);
} else {
  process.stdout.write('Say what to soak: fuzz, properties, kills, writing or linear.\n');
  process.exit(1);
}
