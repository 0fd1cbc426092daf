import { Extension, type Editor } from '@tiptap/core';
import type { Node as EditorNode } from '@tiptap/pm/model';
import type { NodeView } from '@tiptap/pm/view';
import { settingTimes } from './timeCodes';
import { turnHeads } from './turnHeads';
import { turnsCopied } from './turnsCopied';

/** The recording that a text is written down from, as the editor knows it. */
export interface RecordingClockStorage {
  /** Where the recording is, in milliseconds; null where there is none. */
  now: () => number | null;
  /** Plays it from a time on, in milliseconds. */
  playFrom: (at: number) => void;
}

declare module '@tiptap/core' {
  interface Storage {
    recordingClock: RecordingClockStorage;
  }
}

/** What the editor asks of a recording; without one it knows no time. */
export const RecordingClock = Extension.create<object, RecordingClockStorage>({
  name: 'recordingClock',
  addStorage: () => ({ now: () => null, playFrom: () => undefined }),
  addProseMirrorPlugins() {
    return [settingTimes(() => this.storage.now()), turnHeads(this.editor), turnsCopied(this.editor)];
  },
});

/** Ties a text to the recording it is written down from; gives what unties them. */
export function followRecording(editor: Editor, recording: RecordingClockStorage): () => void {
  const { recordingClock } = editor.storage;
  const before = { ...recordingClock };
  Object.assign(recordingClock, recording);
  return () => void Object.assign(recordingClock, before);
}

/** A time in the text: pressed, the recording plays from there. */
export class TimeCodeView implements NodeView {
  readonly dom = document.createElement('span');

  constructor(
    private node: EditorNode,
    editor: Editor,
  ) {
    this.dom.addEventListener('click', () => {
      const at = this.node.attrs.at as number | null;
      if (at !== null) editor.storage.recordingClock.playFrom(at);
    });
    this.draw();
  }

  private draw(): void {
    this.dom.className = this.node.attrs.unclear ? 'time-code is-unclear' : 'time-code';
    this.dom.textContent = String(this.node.attrs.text);
  }

  update(node: EditorNode): boolean {
    if (node.type !== this.node.type) return false;
    this.node = node;
    this.draw();
    return true;
  }
}
