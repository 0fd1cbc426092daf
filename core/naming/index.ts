/** Names of files: how words become one, what is wrong with it, what a paper may be named by, and how files are renamed. */
export { splitName, stemOf } from './fileName';
export { alikeKey, nameFaultInWords, nameFaults, proposedName, safeStem } from './nameFaults';
export type { NameFault, NamePlace } from './nameFaults';
export { FolderNames, type FileInFolder } from './folderNames';
export { compareNames, sortsBetween } from './sortedNames';
export { renameSteps, type Renaming } from './renameSteps';
export { posixScript, powerShellScript, type FolderRenamings } from './renameScripts';
export type { Paper } from './paper';
export { datesOfPaper } from './datesOfPaper';
export { numbersOfPaper } from './numbersOfPaper';
export { nameKey, namesOfPaper, searchedWords } from './namesOfPaper';
export { entryOfPattern, NAME_DATE_FORMS, PIECE_NAMES, type NamePiece, type PieceKind } from './namePattern';
export { newTraySetup, TRAY_LIMITS, TraySetupSchema, WAYS_RENAMED } from './tray';
export type { TraySetup, WayRenamed } from './tray';
