import { useMutation } from '@tanstack/react-query';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { Collection } from '#contracts';
import { treeBranches, droppedOver, stepped, type Branch, type Goal, type TreeWay } from '#core/rights';
import { call, inWords } from '#client/api';
import { KEYS, queryClient } from '../api';
import { Button, Key, Notice, Sortable, SortableRow, TextField } from '../ui';
import { rightInWords } from './rightInWords';
import { useFolding } from './useFolding';

const INDENT_PX = 18;

const WAYS: Record<string, TreeWay> = {
  ArrowUp: 'up',
  ArrowDown: 'down',
  ArrowLeft: 'out',
  ArrowRight: 'in',
};

const canMove = ({ own, parent, right }: Collection) => right === 'keep' && !(own && parent === null);

interface Move {
  id: string;
  goal: Goal;
}

/** Where a collection stands now, so that it can be put back. */
function placeOf(branches: readonly Branch<Collection>[], id: string): Goal {
  const { parent } = branches.find(({ node }) => node.id === id)!.node;
  const beside = branches.filter(({ node }) => node.parent === parent);
  const at = beside.findIndex(({ node }) => node.id === id);
  return { parent, before: beside[at + 1]?.node.id ?? null };
}

/** Moves collections, and puts the last one moved back. */
function useMoves(branches: readonly Branch<Collection>[]) {
  const [back, setBack] = useState<Move | null>(null);
  const move = useMutation({
    mutationFn: ({ id, goal }: Move) => call('moveCollection', { params: { collection: id }, body: goal }),
    onSuccess: () => queryClient.invalidateQueries({ queryKey: KEYS.bank }),
  });
  const nameOf = (id: string | null) => branches.find(({ node }) => node.id === id)?.node.name ?? '';
  const go = (id: string, goal: Goal | null) => {
    if (!goal || move.isPending) return;
    setBack({ id, goal: placeOf(branches, id) });
    move.mutate({ id, goal });
  };
  const undo = () => {
    if (!back) return;
    move.mutate(back);
    setBack(null);
  };
  const { variables } = move;
  const said =
    move.isSuccess && back && variables
      ? variables.goal.parent === back.goal.parent
        ? `“${nameOf(variables.id)}” has moved.`
        : variables.goal.parent === null
          ? `“${nameOf(variables.id)}” is at the top now. What was shared around it no longer applies.`
          : `“${nameOf(variables.id)}” is in “${nameOf(variables.goal.parent)}” now: what is shared there is shared here.`
      : null;
  return { go, undo, said, error: move.error };
}

interface LineProps {
  branch: Branch<Collection>;
  isShown: boolean;
  /** Whether what is in it is shown, and how to change that; null where there is nothing in it, or all is shown. */
  fold: { open: boolean; toggle: () => void } | null;
  press: (way: TreeWay) => void;
  /** What may be dropped on it; null for nothing. */
  taking: Taking | null;
}

/** What else than a collection can be dropped on a collection. */
export interface Taking {
  is: (event: React.DragEvent) => boolean;
  take: (event: React.DragEvent, collection: Collection) => void;
}

function Line({ branch, isShown, fold, press, taking }: LineProps) {
  const { node, depth } = branch;
  const [isOver, setOver] = useState(false);
  return (
    <SortableRow
      id={node.id}
      as="li"
      label={`Move ${node.name}`}
      disabled={!canMove(node)}
      className="border-b border-hair"
    >
      <div
        className={`flex items-start ${isOver ? 'bg-flower' : ''}`}
        onDragOver={(event) => {
          if (node.right !== 'keep' || !taking?.is(event)) return;
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(event) => {
          setOver(false);
          if (!isOver) return;
          event.preventDefault();
          taking?.take(event, node);
        }}
      >
        <Link
          to={`/bank?in=${node.id}`}
          aria-current={isShown || undefined}
          style={{ paddingLeft: depth * INDENT_PX }}
          className={`block min-w-0 grow py-1.5 text-[14px] hover:text-elder ${isShown ? 'font-semibold text-elder' : ''}`}
          onKeyDown={(event) => {
            const way = event.altKey ? WAYS[event.key] : undefined;
            if (!way) return;
            event.preventDefault();
            if (canMove(node)) press(way);
          }}
        >
          <span className="break-words">{node.name}</span>
          <span className="block text-[12.5px] font-normal text-soft">{rightInWords(node)}</span>
        </Link>
        {fold && (
          <button
            type="button"
            aria-expanded={fold.open}
            aria-label={`What is in ${node.name}`}
            className="px-1.5 py-2 text-soft hover:text-elder"
            onClick={fold.toggle}
          >
            {fold.open ? <ChevronDown size={14} aria-hidden /> : <ChevronRight size={14} aria-hidden />}
          </button>
        )}
      </div>
    </SortableRow>
  );
}

interface TreeProps {
  collections: readonly Collection[];
  /** The one that the sheet shows; '' for all. */
  shown: string;
  taking?: Taking | null;
}

/** All collections, each within the one it is in: which of them the sheet shows; put in order by dragging or by keys. */
export function CollectionTree({ collections, shown, taking = null }: TreeProps) {
  const all = useMemo(() => treeBranches(collections), [collections]);
  const { shown: branches, ...folding } = useFolding(all);
  const { go, undo, said, error } = useMoves(branches);
  const drop = (from: number, to: number, across: number) => {
    const { node, depth } = branches[from]!;
    go(
      node.id,
      droppedOver(branches, node.id, branches[to]!.node.id, depth + Math.round(across / INDENT_PX)),
    );
  };
  return (
    <>
      {folding.isLong && (
        <TextField
          label="Find a collection"
          type="search"
          value={folding.query}
          onChange={({ target }) => folding.ask(target.value)}
          spellCheck={false}
        />
      )}
      <Link
        to="/bank"
        aria-current={shown === '' || undefined}
        className={`block border-b border-hair py-1.5 pl-5 text-[14px] hover:text-elder ${shown === '' ? 'font-semibold text-elder' : ''}`}
      >
        All collections
      </Link>
      <Sortable ids={branches.map(({ node }) => node.id)} move={drop} sideways>
        <ul className="mt-1">
          {branches.map((branch) => (
            <Line
              key={branch.node.id}
              taking={taking}
              branch={branch}
              isShown={branch.node.id === shown}
              fold={folding.foldOf(branch)}
              press={(way) => go(branch.node.id, stepped(branches, branch.node.id, way))}
            />
          ))}
        </ul>
      </Sortable>
      {folding.left > 0 && (
        <p className="mt-1 text-[12.5px] text-soft">
          {folding.left.toLocaleString()} more: type a few letters of one.
        </p>
      )}
      <div role="status">
        {said && (
          <p className="mt-2 text-[13px] text-soft">
            {said}{' '}
            <Button look="text" onClick={undo}>
              Undo
            </Button>
          </p>
        )}
      </div>
      {error && <Notice tone="warning" title={inWords(error)} />}
      <p className="mt-2 text-[12.5px] text-soft">
        Drag one, sideways to put it into another; or <Key>Alt</Key> and an arrow.
      </p>
    </>
  );
}
