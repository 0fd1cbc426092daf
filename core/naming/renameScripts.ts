import { renameSteps, type Renaming } from './renameSteps';

/** The renamings of one folder: its path below the folder in which a script is run, with slashes; '' for that folder itself. */
export interface FolderRenamings {
  folder: string;
  renamings: readonly Renaming[];
}

interface Step extends Renaming {
  folder: string;
}

const stepsOf = (folders: readonly FolderRenamings[]): Step[] =>
  folders.flatMap(({ folder, renamings }) => renameSteps(renamings).map((step) => ({ folder, ...step })));

const turned = (steps: readonly Step[]): Step[] =>
  steps.map(({ folder, from, to }) => ({ folder, from: to, to: from })).reverse();

/** A word for a POSIX shell: between single quotes nothing means anything but itself. */
const posixWord = (words: string) => `'${words.replaceAll("'", "'\\''")}'`;
/** A path that no command takes for an option. */
const posixPath = (folder: string, name: string) =>
  posixWord(folder === '' ? `./${name}` : `./${folder}/${name}`);

const posixLines = (steps: readonly Step[]) =>
  steps.map(({ folder, from, to }) => `  change ${posixPath(folder, from)} ${posixPath(folder, to)}`);

/**
 * Renames files on macOS and Linux: to be run with `sh` in their folder, and with the word `undo` behind it to give them back their old
 * names. It overwrites nothing, and says which it left.
 */
export function posixScript(folders: readonly FolderRenamings[]): string {
  const steps = stepsOf(folders);
  return [
    '#!/bin/sh',
    '# Gives files their new names. Run it in the folder they are in: sh rename.sh',
    '# With "undo" behind it they have their old names again: sh rename.sh undo',
    'left=0',
    'change() {',
    '  if [ ! -e "$1" ]; then echo "Not there: $1" >&2; left=1; return; fi',
    '  # Where only capitals change, a file may be in its own way.',
    '  if [ -e "$2" ] && ! [ "$1" -ef "$2" ]; then echo "Left, the name is taken: $1" >&2; left=1; return; fi',
    '  mv -- "$1" "$2" || left=1',
    '}',
    'if [ "${1:-}" = undo ]; then',
    '  :',
    ...posixLines(turned(steps)),
    'else',
    '  :',
    ...posixLines(steps),
    'fi',
    'exit $left',
    '',
  ].join('\n');
}

/** Words for PowerShell: between single quotes only quotes mean something, of which it knows five. */
const powerWord = (words: string) => `'${words.replace(/['‘’‚‛]/g, '$&$&')}'`;
const powerPath = (folder: string, name: string) =>
  powerWord(folder === '' ? `.\\${name}` : `.\\${folder.replaceAll('/', '\\')}\\${name}`);

const powerLines = (steps: readonly Step[]) =>
  steps.map(({ folder, from, to }) => `  Change-Name ${powerPath(folder, from)} ${powerWord(to)}`);

/** As `posixScript`, for PowerShell on Windows. It begins with the mark of UTF-8, without which older ones misread other letters. */
export function powerShellScript(folders: readonly FolderRenamings[]): string {
  const steps = stepsOf(folders);
  return `\uFEFF${[
    '# Gives files their new names. Run it in the folder they are in: .\\rename.ps1',
    '# With "undo" behind it they have their old names again: .\\rename.ps1 undo',
    'param([string]$Way = "")',
    '$script:left = 0',
    'function Change-Name([string]$From, [string]$To) {',
    '  if (-not (Test-Path -LiteralPath $From)) { Write-Warning "Not there: $From"; $script:left = 1; return }',
    '  $target = Join-Path (Split-Path -Parent $From) $To',
    '  $isOwn = (Split-Path -Leaf $From) -ieq $To',
    '  if ((Test-Path -LiteralPath $target) -and -not $isOwn) { Write-Warning "Left, the name is taken: $From"; $script:left = 1; return }',
    '  Rename-Item -LiteralPath $From -NewName $To',
    '}',
    'if ($Way -eq "undo") {',
    ...powerLines(turned(steps)),
    '} else {',
    ...powerLines(steps),
    '}',
    'exit $script:left',
    '',
  ].join('\r\n')}`;
}
