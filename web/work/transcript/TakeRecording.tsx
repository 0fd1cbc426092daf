import { useState } from 'react';
import { FilesOnTheirWay, useSendFiles } from '../../files';
import { Button, FileDrop, Notice } from '../../ui';
import { isRecording, noRecording } from './recordingOf';

/** Where a recording is dropped or chosen, to be kept with the case and heard on its leaf. */
export function TakeRecording({ of }: { of: string }) {
  const [isTaking, setTaking] = useState(false);
  const sending = useSendFiles();
  const [wrong, setWrong] = useState<string | null>(null);
  const take = async (file: File) => {
    const [kept] = await sending.send(of, [file]);
    setWrong(kept && !isRecording(kept) ? noRecording(kept) : null);
  };
  const isSending = sending.onTheirWay.length > 0;
  return (
    <div className="px-9 pt-3 max-[899px]:px-4" data-print="no">
      <Button look="text" aria-expanded={isTaking} onClick={() => setTaking(!isTaking)}>
        Take a recording in
      </Button>
      {isTaking && (
        <section aria-label="Take a recording in" className="grid gap-3 py-3">
          <FileDrop
            label="Recording"
            hint="Drop a recording here: sound (mp3, m4a, wav, ogg, flac) or film (mp4, webm). It is saved with the case and goes nowhere else."
            accept="audio/*,video/*"
            isReading={isSending}
            take={([file]) => file && void take(file)}
          />
          <FilesOnTheirWay sending={sending} />
          {wrong && <Notice tone="warning" title={wrong} />}
        </section>
      )}
    </div>
  );
}
