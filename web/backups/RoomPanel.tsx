import { bytesInWords } from '#core/language';
import { useRoom } from '../api';
import { Failed, Loading, Notice } from '../ui';
import { isNearlyFull } from './storageTroubles';

const inWords = (bytes: number) => bytesInWords(bytes, navigator.language);

/** What takes how much room, and how much is left; for owners. */
export function RoomPanel() {
  const room = useRoom(true);
  if (room.isError) return <Failed what="the storage" error={room.error} retry={() => void room.refetch()} />;
  if (!room.data) return <Loading what="the storage" />;
  const { parts, free, total, mostFileBytes } = room.data;
  const all = parts.reduce((sum, { bytes }) => sum + bytes, 0);
  return (
    <section aria-label="Storage" className="grid gap-2 text-[13.5px]">
      <h2 className="eyebrow">Storage</h2>
      {isNearlyFull(room.data) && (
        <Notice tone="warning" title={`Only ${inWords(free!)} are free on the server.`}>
          <p>Delete old backups or make room there. When it is full, nothing more can be saved.</p>
        </Notice>
      )}
      <table className="w-full">
        <caption className="sr-only">What takes how much room</caption>
        <tbody>
          {parts.map(({ name, bytes }) => (
            <tr key={name} className="border-b border-hair">
              <th scope="row" className="py-1 pr-2 text-left font-normal">
                {name}
              </th>
              <td className="py-1 text-right text-soft tabular-nums">{inWords(bytes)}</td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row" className="py-1 text-left font-semibold">
              In all
            </th>
            <td className="py-1 text-right tabular-nums">{inWords(all)}</td>
          </tr>
        </tfoot>
      </table>
      <p className="text-soft">
        {free !== null && total !== null && `${inWords(free)} of ${inWords(total)} are free on the server. `}A
        file may have up to {inWords(mostFileBytes)}.
      </p>
    </section>
  );
}
