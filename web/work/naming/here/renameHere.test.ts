import { expect, test } from '@jest/globals';
import { renameHere } from './renameHere';

/** A folder as browsers give hold of one, kept in memory; what it does wrong is set by a test. */
class Folder {
  readonly files = new Map<string, { content: string; changed: number }>();
  /** What is written comes out otherwise. */
  spoils = false;
  /** Called before a copy is written. */
  meanwhile: () => void = () => undefined;

  constructor(names: readonly string[]) {
    for (const name of names) this.files.set(name, { content: `this is ${name}`, changed: 1 });
  }

  getFileHandle(name: string, { create = false } = {}): Promise<FileSystemFileHandle> {
    if (!this.files.has(name)) {
      if (!create) return Promise.reject(new DOMException('', 'NotFoundError'));
      this.files.set(name, { content: '', changed: 2 });
    }
    const read = () => {
      const { content, changed } = this.files.get(name)!;
      return Promise.resolve(new File([content], name, { lastModified: changed }));
    };
    const written: string[] = [];
    const writable = () => {
      this.meanwhile();
      return Promise.resolve(
        new WritableStream<Uint8Array>({
          write: (piece) => void written.push(new TextDecoder().decode(piece)),
          close: () =>
            void this.files.set(name, { content: written.join('') + (this.spoils ? '!' : ''), changed: 2 }),
        }),
      );
    };
    return Promise.resolve({ getFile: read, createWritable: writable } as unknown as FileSystemFileHandle);
  }

  removeEntry(name: string): Promise<void> {
    if (!this.files.delete(name)) return Promise.reject(new DOMException('', 'NotFoundError'));
    return Promise.resolve();
  }

  get handle(): FileSystemDirectoryHandle {
    return this as unknown as FileSystemDirectoryHandle;
  }
  get holds(): Record<string, string> {
    return Object.fromEntries([...this.files].map(([name, { content }]) => [name, content]));
  }
}

const problems = async (folder: Folder, wanted: { from: string; to: string }[]) =>
  (await renameHere(folder.handle, wanted, () => undefined)).map(({ problem }) => problem);

test('files change names among themselves, and in capitals alone, with what they hold', async () => {
  const folder = new Folder(['a', 'b', 'Scan']);
  const wanted = [
    { from: 'a', to: 'b' },
    { from: 'b', to: 'a' },
    { from: 'Scan', to: 'scan' },
  ];
  expect(await problems(folder, wanted)).toEqual([null, null, null]);
  expect(folder.holds).toEqual({ a: 'this is b', b: 'this is a', scan: 'this is Scan' });
});

test('nothing is written over: a name that came meanwhile keeps its file, and the other stays', async () => {
  const folder = new Folder(['a', 'b']);
  folder.files.set('taken', { content: 'somebody else', changed: 1 });
  expect(
    await problems(folder, [
      { from: 'a', to: 'taken' },
      { from: 'b', to: 'c' },
      { from: 'gone', to: 'd' },
    ]),
  ).toEqual(['the name is taken', null, 'it is not in the folder any more']);
  expect(folder.holds).toEqual({ a: 'this is a', taken: 'somebody else', c: 'this is b' });
});

test('a copy that is not the same is taken away, and the old file stays', async () => {
  const folder = new Folder(['a']);
  folder.spoils = true;
  expect(await problems(folder, [{ from: 'a', to: 'b' }])).toEqual(['it changed while it was copied']);
  expect(folder.holds).toEqual({ a: 'this is a' });
});

test('a file that is written to while it is copied stays as it then is', async () => {
  const folder = new Folder(['a']);
  folder.meanwhile = () => folder.files.set('a', { content: 'this is a, and more', changed: 3 });
  expect(await problems(folder, [{ from: 'a', to: 'b' }])).toEqual(['it changed while it was copied']);
  expect(folder.holds).toEqual({ a: 'this is a, and more' });
});

test('of a ring in which one cannot go on, the one that went aside goes back', async () => {
  const folder = new Folder(['a', 'b']);
  let copies = 0;
  folder.meanwhile = () => {
    copies += 1;
    // The second copy of the ring comes out otherwise.
    folder.spoils = copies === 2;
  };
  const wanted = [
    { from: 'a', to: 'b' },
    { from: 'b', to: 'a' },
  ];
  const said = await problems(folder, wanted);
  expect(said.filter((one) => one !== null)).not.toEqual([]);
  expect(Object.values(folder.holds).sort()).toEqual(['this is a', 'this is b']);
  expect(Object.keys(folder.holds).sort()).toEqual(['a', 'b']);
});
