import type { TrayLine } from '#contracts';
import type { DraftKeeper, Keeping } from '#client/drafts';
import type { NameFault } from '#core/naming';
import { AtCaret, CaptureSelected, SlipAskedFor, type useKeptWords } from '../../leaf';
import { useShell } from '../../shell';
import { Notice } from '../../ui';
import { TextNotice, type LeafState, type Spelling, type useLeafParts } from '../../writing';
import type { Found } from './foundEntries';
import { FoundPanel } from './FoundPanel';
import type { LineProps } from './lineProps';
import { NameCheck } from './NameCheck';
import type { LineActs } from './useLineActs';

interface Props {
  props: LineProps;
  parts: ReturnType<typeof useLeafParts>;
  keeper: DraftKeeper;
  keeping: Keeping;
  leaf: LeafState;
  spelling: Spelling;
  kept: ReturnType<typeof useKeptWords>;
  acts: LineActs;
  found: readonly Found[];
  isEmpty: boolean;
  check: { name: string; faults: readonly NameFault[]; proposed: string | null };
}

/** What stands beside the name in hand: what is asked, offered and found, whether it can stay so, and what is wrong with saving it. */
export function LineBeside(given: Props) {
  const { props, parts, keeper, keeping, leaf, spelling, kept, acts, found, isEmpty, check } = given;
  const { one, said, say, before, sorted } = props;
  const { editor, placing, offering, slip, openSlip } = parts;
  const { selected, setSelected } = kept;
  const { member } = useShell();
  return (
    <div className="grid gap-3">
      <TextNotice
        called="name"
        {...{ member, keeper, keeping }}
        takeTheirs={(theirs) => acts.takeTheirs(theirs as TrayLine)}
      />
      {said && <Notice title={said} />}
      <CaptureSelected {...{ one, editor, placing, selected, setSelected, say }} namesStay />
      {slip && (
        <SlipAskedFor {...{ one, editor, placing, offering, keeper, slip, openSlip, spelling, say }} />
      )}
      <AtCaret {...{ one, editor, leaf, placing, offering }} draft="" listsReach={false} />
      {!leaf.blank && !selected && !slip && (
        <FoundPanel
          {...{ editor, found, isEmpty }}
          before={before && placing.index?.entries.get(before)?.content.title}
          take={acts.takeFound}
        />
      )}
      {!isEmpty && (
        <NameCheck
          {...{ sorted, ...check }}
          take={() => check.proposed !== null && acts.finish(check.proposed)}
          isWhole={leaf.gaps.length === 0}
        />
      )}
    </div>
  );
}
