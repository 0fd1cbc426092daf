import { ZoomIn, ZoomOut } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { TrayLine } from '#contracts';
import { inWords } from '#client/api';
import { instantInWords } from '#client/clock';
import { bytesInWords } from '#core/language';
import { paperReader, type ReadPaper } from '../../documents';
import { Button, Loading } from '../../ui';
import type { TrayFiles } from './here/trayFiles';

/** Draws a page on a canvas; gives how many there are. */
type Draw = (page: number, canvas: HTMLCanvasElement) => Promise<number>;

interface Opened {
  draw: Draw;
  close: () => void;
}

const FIRST_PAGES = 2;
const SHOWN_LETTERS = 4000;

async function opened(file: File, kind: ReadPaper['kind']): Promise<Opened> {
  const { drawPicture, PdfPictures } = await paperReader();
  if (kind !== 'pdf')
    return {
      draw: (page, canvas) => drawPicture(file, kind === 'tiff', canvas, page),
      close: () => undefined,
    };
  const pictures = await PdfPictures.of(new Uint8Array(await file.arrayBuffer()), file.name);
  return {
    draw: async (page, canvas) => {
      await pictures.draw(page, canvas);
      return pictures.count;
    },
    close: () => pictures.close(),
  };
}

/** One page, drawn as it is shown and again as it is enlarged. */
function Page({
  page,
  draw,
  zoom,
  tell,
}: {
  page: number;
  draw: Draw;
  zoom: number;
  tell: (pages: number) => void;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [failed, fail] = useState<string | null>(null);
  useEffect(() => {
    let isOver = false;
    if (canvas.current)
      draw(page, canvas.current)
        .then((pages) => !isOver && tell(pages))
        .catch((error: unknown) => !isOver && fail(inWords(error)));
    return () => {
      isOver = true;
    };
  }, [page, draw, zoom, tell]);
  if (failed) return <p className="p-3 text-[13.5px] text-rust">{failed}</p>;
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={`Page ${page}`}
      className="block border border-hair bg-white"
      style={{ width: `${zoom * 100}%` }}
    />
  );
}

/** The pages of a PDF or picture: the first ones, more when they are asked for. */
function Pages({ file, kind }: { file: File; kind: ReadPaper['kind'] }) {
  const [one, setOne] = useState<Opened | null>(null);
  const [failed, fail] = useState<string | null>(null);
  const [count, tell] = useState(1);
  const [shown, show] = useState(FIRST_PAGES);
  const [zoom, setZoom] = useState(1);
  useEffect(() => {
    let isOver = false;
    let now: Opened | null = null;
    opened(file, kind)
      .then((made) => {
        now = made;
        if (isOver) made.close();
        else setOne(made);
      })
      .catch((error: unknown) => !isOver && fail(inWords(error)));
    return () => {
      isOver = true;
      now?.close();
    };
  }, [file, kind]);
  if (failed) return <p className="text-[13.5px] text-rust">{failed}</p>;
  if (!one) return <Loading what="the file" />;
  const pages = Math.min(shown, count);
  return (
    <>
      <div
        className="max-h-[58vh] overflow-auto border-y border-hair bg-flower/30 focus-visible:outline-2 focus-visible:outline-elder"
        tabIndex={0}
        role="region"
        aria-label="The file"
      >
        <div className="grid gap-2">
          {Array.from({ length: pages }, (_, at) => (
            <Page key={at} page={at + 1} draw={one.draw} {...{ zoom, tell }} />
          ))}
        </div>
        {count > pages && (
          <Button look="text" className="m-2 text-[13px]" onClick={() => show(pages + 10)}>
            Show more of its {count.toLocaleString()} pages
          </Button>
        )}
      </div>
      <p className="mt-1 flex gap-3 text-[13px]">
        <Button look="text" disabled={zoom >= 4} onClick={() => setZoom(zoom * 1.5)}>
          <ZoomIn size={14} aria-hidden className="mr-1 inline" />
          Larger
        </Button>
        <Button look="text" disabled={zoom <= 1} onClick={() => setZoom(Math.max(1, zoom / 1.5))}>
          <ZoomOut size={14} aria-hidden className="mr-1 inline" />
          Smaller
        </Button>
      </p>
    </>
  );
}

/** The words of a mail, a document or a text. */
function Words({ read: { paper } }: { read: ReadPaper }) {
  const { from, title, text } = paper;
  return (
    <div
      className="max-h-[58vh] overflow-auto border-y border-hair py-2 text-[13.5px]"
      tabIndex={0}
      role="region"
      aria-label="The file"
    >
      {(from || title) && (
        <p className="mb-2 text-soft">
          {from}
          {from && title && ': '}
          {title}
        </p>
      )}
      <p className="font-book leading-snug whitespace-pre-wrap">
        {text.slice(0, SHOWN_LETTERS)}
        {text.length > SHOWN_LETTERS && ' …'}
      </p>
    </div>
  );
}

const DRAWN: readonly ReadPaper['kind'][] = ['pdf', 'picture', 'tiff'];

/** The file itself, as it was read. */
function Shown({ file, read }: { file: File; read: ReadPaper }) {
  const { kind, paper, problem } = read;
  return (
    <>
      {problem && <p className="mb-1 text-[13.5px] text-rust">{problem}</p>}
      {DRAWN.includes(kind) && !problem && <Pages {...{ file, kind }} />}
      {!DRAWN.includes(kind) && paper.text !== '' && <Words read={read} />}
      {kind === 'other' && !problem && (
        <p className="text-[13.5px] text-soft">
          Such files are not shown here. They can be named all the same.
        </p>
      )}
      {DRAWN.includes(kind) && !problem && paper.text.trim() === '' && (
        <p className="mt-1 text-[13px] text-soft">
          It holds no words that can be read: words in pictures are not looked at.
        </p>
      )}
    </>
  );
}

interface Props {
  line: TrayLine;
  files: TrayFiles;
  read: ReadPaper | undefined;
  isOpen: boolean;
}

/** The file of a line beside it: its pages or words, its size and when it was changed. */
export function FileBeside({ line, files, read, isOpen }: Props) {
  const [file, setFile] = useState<File | null>(null);
  const [failed, fail] = useState<string | null>(null);
  const { id, name, changed, file: copy } = line;
  useEffect(() => {
    let isOver = false;
    files
      .file({ id, name, changed, file: copy })
      .then((found) => {
        if (isOver) return;
        setFile(found);
        // It may be back: its folder was opened again, or it was put where it was.
        fail(null);
      })
      .catch(
        () => !isOver && fail('The file is gone from its place. It may have been moved, renamed or deleted.'),
      );
    return () => {
      isOver = true;
    };
    // Asked for again once it is open.
  }, [files, id, name, changed, copy, isOpen]);
  return (
    <section aria-label={`File ${line.name}`} className="grid min-w-0 gap-1">
      <p className="text-[13px] text-soft [overflow-wrap:anywhere]">
        {line.name}, {bytesInWords(line.bytes, navigator.language)}
        {read?.pages ? `, ${read.pages.toLocaleString()} page${read.pages === 1 ? '' : 's'}` : ''}, changed{' '}
        {instantInWords(line.changed)}
      </p>
      {failed && <p className="text-[13.5px] text-rust">{failed}</p>}
      {!failed && file && read && <Shown key={line.id} {...{ file, read }} />}
      {!failed && !file && !isOpen && line.file === null && (
        <p className="text-[13.5px] text-soft">
          It is not open on this computer. It can be named all the same.
        </p>
      )}
    </section>
  );
}
