import { LeafOfCase, type LeafWithMaterial, type Material } from '../../leaf';
import { recordingOf } from './recordingOf';
import { RecordingBar, STEP } from './RecordingBar';
import { TakeRecording } from './TakeRecording';
import { usePlayer } from './usePlayer';

/** The recording of a case, with the keys that play it while one writes. */
function useRecording({ one }: LeafWithMaterial): Material {
  const file = recordingOf(one);
  const { player, state, element } = usePlayer(file?.id ?? null);
  const acts: Material['actions'] = [
    { label: 'Play, or pause', key: 'Alt + .', run: () => player?.toggle() },
    { label: `Back ${STEP} seconds`, key: 'Alt + ,', run: () => player?.step(-STEP) },
    { label: `On ${STEP} seconds`, key: 'Alt + /', run: () => player?.step(STEP) },
    { label: 'Slower', key: 'Alt + Z', run: () => player?.faster(-1) },
    { label: 'Faster', key: 'Alt + V', run: () => player?.faster(1) },
    { label: 'Repeat a stretch: from here, to here, no more', key: 'Alt + E', run: () => player?.loopNext() },
  ];
  return {
    above: file ? (
      <RecordingBar of={one.id} {...{ file, element, player, state }} />
    ) : (
      <TakeRecording of={one.id} />
    ),
    leafClass: '',
    textName: null,
    actions: file ? acts : [],
    ...{ beside: null, listsReach: true, isReading: false, takesKeys: false },
    ...{ beforePlacing: () => undefined, holdsFinish: () => false, finished: null },
  };
}

/** What is said in a recording, written down: the recording at the head of the leaf, its words beneath. */
export const TranscriptLeaf = ({ id }: { id: string }) => <LeafOfCase id={id} material={useRecording} />;
