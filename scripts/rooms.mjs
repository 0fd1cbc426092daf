/**
 * Rooms are the folders of a root. None may need another that needs it back, through however many others: such rooms can only be
 * understood, moved and tested all at once. What the check of imports cannot say, since it sees files, or every folder within one.
 */
import { cruise } from 'dependency-cruiser';

const ROOTS = ['core', 'contracts', 'client', 'server', 'web'];

/** The room of a file: the first folder below its root; null for files that stand in the root itself, and for tests. */
function roomOf(file) {
  const [root, room, ...rest] = file.split('/');
  const isTest = /\.test\.tsx?$/.test(file) || room === 'testing';
  return ROOTS.includes(root) && rest.length > 0 && !isTest ? `${root}/${room}` : null;
}

/** Which rooms each room needs, with the first import that says so. */
function needsOf(modules) {
  const needs = new Map();
  for (const { source, dependencies } of modules) {
    const from = roomOf(source);
    if (!from) continue;
    for (const { resolved } of dependencies) {
      const to = roomOf(resolved);
      if (!to || to === from) continue;
      if (!needs.has(from)) needs.set(from, new Map());
      if (!needs.get(from).has(to)) needs.get(from).set(to, `${source} imports ${resolved}`);
    }
  }
  return needs;
}

/** A way through the rooms that ends where it began; null where there is none. */
function ringIn(needs) {
  const done = new Set();
  const walk = (room, way) => {
    if (way.includes(room)) return [...way.slice(way.indexOf(room)), room];
    if (done.has(room)) return null;
    for (const next of needs.get(room)?.keys() ?? []) {
      const ring = walk(next, [...way, room]);
      if (ring) return ring;
    }
    done.add(room);
    return null;
  };
  for (const room of needs.keys()) {
    const ring = walk(room, []);
    if (ring) return ring;
  }
  return null;
}

const { output } = await cruise(ROOTS, {
  doNotFollow: { path: 'node_modules' },
  tsPreCompilationDeps: true,
  ruleSet: { options: {} },
  enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types', 'node'] },
  tsConfig: { fileName: 'tsconfig.json' },
});
const needs = needsOf(output.modules);
if (needs.size < 10) throw new Error('The rooms could not be read.');
const ring = ringIn(needs);
if (ring) {
  const steps = ring.slice(1).map((to, at) => `  ${needs.get(ring[at]).get(to)}`);
  process.stderr.write(`Rooms need each other in a ring: ${ring.join(' → ')}\n${steps.join('\n')}\n`);
  process.exitCode = 1;
} else process.stdout.write(`${needs.size} rooms, and no ring among them.\n`);
