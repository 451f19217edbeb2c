/** What to do, by the code of what went wrong with the data folder. */
const NEXT: Readonly<Record<string, string>> = {
  EACCES: 'this user may not write there. Give it the folder, or set CHERT_DATA to another one',
  EPERM: 'this user may not write there. Give it the folder, or set CHERT_DATA to another one',
  EROFS: 'it is read-only. Set CHERT_DATA to a folder that can be written',
  ENOSPC: 'the disk is full. Free some space',
  ENOTDIR: 'it is not a folder. Set CHERT_DATA to one',
  EEXIST: 'it is not a folder. Set CHERT_DATA to one',
  SQLITE_FULL: 'the disk is full. Free some space',
  SQLITE_READONLY: 'the database is read-only. Give this user the file, or set CHERT_DATA',
  SQLITE_CANTOPEN: 'the database cannot be opened. Give this user the folder, or set CHERT_DATA',
  SQLITE_NOTADB: 'chert.db is not a database. Restore a backup: npm run restore -- FOLDER',
  SQLITE_CORRUPT: 'the database is damaged. Restore a backup: npm run restore -- FOLDER',
};

/** Says in one line what keeps the server from its data, and the next move. */
export function sayStartTrouble(folder: string, error: unknown): string {
  const { code = '', message = String(error) } = error as { code?: string; message?: string };
  const known = Object.keys(NEXT).find((one) => code === one || code.startsWith(`${one}_`));
  return `${folder}: ${known ? NEXT[known] : message}. (${code || 'no code'})`;
}
