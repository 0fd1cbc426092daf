import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  treeBranches,
  droppedOver,
  rightsOf,
  stepped,
  within,
  type Goal,
  type Grant,
  type CollectionPlace,
  type TreeWay,
} from '.';

const PLACES: CollectionPlace[] = [
  { id: 'ward', parent: null, ownedBy: null },
  { id: 'birds', parent: 'ward', ownedBy: null },
  { id: 'owls', parent: 'birds', ownedBy: null },
  { id: 'mine', parent: null, ownedBy: 'imke' },
];
const member = (id: string) => ({ kind: 'member', id }) as const;
const group = (id: string) => ({ kind: 'group', id }) as const;
const team = { kind: 'team' } as const;
const rights = (...grants: Grant[]) => {
  const found = rightsOf({ id: 'imke', groups: new Set(['vets', 'night']) }, PLACES, grants);
  return ['ward', 'birds', 'owls'].map((id) => found.get(id) ?? '-').join(' ');
};

describe('what is granted passes down', () => {
  test.each<[string, Grant[], string]>([
    ['to nobody', [], '- - -'],
    ['to the team', [{ collection: 'ward', to: team, right: 'read' }], 'read read read'],
    ['to another', [{ collection: 'ward', to: member('odile'), right: 'keep' }], '- - -'],
    ['from the middle', [{ collection: 'birds', to: group('vets'), right: 'keep' }], '- keep keep'],
    [
      'and is narrowed further in',
      [
        { collection: 'ward', to: member('imke'), right: 'contribute' },
        { collection: 'birds', to: member('imke'), right: 'read' },
        { collection: 'owls', to: team, right: 'none' },
      ],
      'contribute read -',
    ],
    [
      'but whoever keeps it keeps all in it',
      [
        { collection: 'ward', to: group('vets'), right: 'keep' },
        { collection: 'owls', to: member('imke'), right: 'none' },
      ],
      'keep keep keep',
    ],
    [
      'by name before by group, and of groups the most',
      [
        { collection: 'ward', to: group('vets'), right: 'read' },
        { collection: 'ward', to: group('night'), right: 'contribute' },
        { collection: 'birds', to: member('imke'), right: 'read' },
        { collection: 'birds', to: team, right: 'keep' },
      ],
      'contribute read read',
    ],
  ])('%s', (_what, grants, wanted) => expect(rights(...grants)).toBe(wanted));

  test('what is one’s own is nobody else’s, whatever is granted', () => {
    const all: Grant[] = [{ collection: 'mine', to: team, right: 'keep' }];
    expect(rightsOf({ id: 'imke', groups: new Set() }, PLACES, all).get('mine')).toBe('keep');
    expect(rightsOf({ id: 'odile', groups: new Set() }, PLACES, all).has('mine')).toBe(false);
  });
});

/** A random tree, each node within an earlier one or within none, and what is granted in it. */
const anyTree = fc
  .array(fc.option(fc.nat(11), { nil: null }), { minLength: 1, maxLength: 12 })
  .map((parents) =>
    parents.map((parent, at): CollectionPlace & { position: number; name: string } => ({
      id: String(at),
      parent: parent === null || parent >= at ? null : String(parent),
      ownedBy: null,
      position: at % 3,
      name: String(at),
    })),
  );
const anyGrants = fc.array(
  fc.record({
    collection: fc.nat(11).map(String),
    to: fc.constantFrom(member('imke'), member('odile'), group('vets'), team),
    right: fc.constantFrom('none' as const, 'read' as const, 'contribute' as const, 'keep' as const),
  }),
  { maxLength: 14 },
);

describe('random trees', () => {
  test('a right is had exactly where the way up to the first word about one says so, or a keeper stands above', () => {
    fc.assert(
      fc.property(anyTree, anyGrants, (places, grants) => {
        const person = { id: 'imke', groups: new Set(['vets']) };
        const found = rightsOf(person, places, grants);
        const rank = (right: string) => ['none', 'read', 'contribute', 'keep'].indexOf(right);
        const saidAt = (id: string) => {
          const here = grants.filter(({ collection }) => collection === id);
          const named = here.find(({ to }) => to.kind === 'member' && to.id === 'imke');
          if (named) return named.right;
          const shared = here.filter(
            ({ to }) => to.kind === 'team' || (to.kind === 'group' && to.id === 'vets'),
          );
          return shared.map(({ right }) => right).sort((a, b) => rank(b) - rank(a))[0];
        };
        for (const place of places) {
          const way: string[] = [];
          for (let at: string | null = place.id; at !== null; at = places[Number(at)]!.parent) way.push(at);
          const said = way.map(saidAt);
          // The outermost keeper's word holds for all within, unless taken back before it is reached: it is never.
          const first = said.find((right) => right !== undefined) ?? 'none';
          const right = said.includes('keep') ? 'keep' : first;
          expect(found.get(place.id) ?? 'none').toBe(right);
        }
      }),
    );
  });

  test('a tree is written with each node once, beneath the one it is in', () => {
    fc.assert(
      fc.property(anyTree, fc.nat(11), (places, dropped) => {
        // One that is not seen: what is in it stands at the top.
        const seen = places.filter(({ id }) => id !== String(dropped));
        const branches = treeBranches(seen);
        expect(branches.map(({ node }) => node.id).sort()).toEqual(seen.map(({ id }) => id).sort());
        branches.forEach(({ node, depth }, at) => {
          const above = branches.slice(0, at).findLast((one) => one.depth === depth - 1);
          const isSeen = seen.some(({ id }) => id === node.parent);
          expect(above?.node.id ?? null).toBe(isSeen ? node.parent : null);
          const inside = within(node.id, seen);
          const beneath = branches.slice(at + 1);
          const end = beneath.findIndex((one) => one.depth <= depth);
          expect(inside.size).toBe((end < 0 ? beneath.length : end) + 1);
        });
      }),
    );
  });

  /** The tree with one node where a goal says. */
  const put = (nodes: typeof TREE, id: string, { parent, before }: Goal): typeof TREE => {
    const beside = treeBranches(nodes.filter((node) => node.parent === parent && node.id !== id)).map(
      ({ node }) => node,
    );
    const at = beside.findIndex((node) => node.id === before);
    beside.splice(at < 0 ? beside.length : at, 0, { ...nodes.find((node) => node.id === id)!, parent });
    const moved = new Map(beside.map((node, position) => [node.id, { ...node, position }]));
    return nodes.map((node) => moved.get(node.id) ?? node);
  };
  const written = (nodes: typeof TREE) =>
    treeBranches(nodes)
      .map(({ node, depth }) => '-'.repeat(depth) + node.id)
      .join(' ');
  const node = (id: string, parent: string | null, position: number) => ({
    id,
    parent,
    position,
    name: id,
    ownedBy: null as string | null,
  });
  const TREE = [
    node('a', null, 0),
    node('b', null, 1),
    node('c', 'b', 0),
    node('d', 'b', 1),
    node('e', null, 2),
  ];

  const step = (id: string, way: TreeWay) => ({ id, goal: stepped(treeBranches(TREE), id, way) });
  const drop = (id: string, over: string, depth: number) => ({
    id,
    goal: droppedOver(treeBranches(TREE), id, over, depth),
  });
  test.each([
    ['up', step('d', 'up'), 'a b -d -c e'],
    ['down', step('a', 'down'), 'b -c -d a e'],
    ['in', step('e', 'in'), 'a b -c -d -e'],
    ['out', step('c', 'out'), 'a b -d c e'],
    ['no further up', step('c', 'up'), 'nowhere'],
    ['not out of nothing', step('a', 'out'), 'nowhere'],
    ['dropped over one beneath', drop('a', 'c', 1), 'b -c -a -d e'],
    ['dropped as deep as can be', drop('a', 'e', 9), 'b -c -d e -a'],
    ['dropped over itself, deeper', drop('e', 'e', 1), 'a b -c -d -e'],
    ['dropped over itself', drop('e', 'e', 0), 'nowhere'],
    ['not into itself', drop('b', 'd', 2), 'nowhere'],
  ])('a line goes %s', (_way, { id, goal }, wanted) => {
    expect(goal ? written(put(TREE, id, goal)) : 'nowhere').toBe(wanted);
  });

  test('wherever a line is let go, the tree stays whole', () => {
    fc.assert(
      fc.property(
        anyTree,
        fc.nat(11),
        fc.nat(11),
        fc.integer({ min: -2, max: 5 }),
        (nodes, id, over, depth) => {
          const goal = droppedOver(treeBranches(nodes), String(id), String(over), depth);
          if (!goal) return;
          const after = put(nodes, String(id), goal);
          expect(treeBranches(after).length).toBe(nodes.length);
          const others = treeBranches(nodes).map((branch) => branch.node.id);
          const inside = within(String(id), nodes);
          const kept = (ids: string[]) => ids.filter((one) => !inside.has(one));
          expect(kept(treeBranches(after).map((branch) => branch.node.id))).toEqual(kept(others));
        },
      ),
    );
  });
});
