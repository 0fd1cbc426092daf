/** What browsers that have it say of the connection (Network Information; W3C, Save Data API). */
interface Connection {
  saveData?: boolean;
}

/** Whether somebody has set the browser to fetch no more than it must, as on a line that is paid for by what goes over it. */
export const isDataSaved = (): boolean =>
  (navigator as Navigator & { connection?: Connection }).connection?.saveData === true;
