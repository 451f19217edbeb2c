import { sayBackup } from '#core/desk/say-backup';
import type { Right } from '#core/office/roles';
import type { Preferences } from '#core/site/equipment';
import { backupsFolder, makesBackups, readLast } from '../backup/schedule';
import { dataFolder } from '../database';
import * as preferences from '../preferences';
import { callerHasRight, personOf, refusalTo } from '../security/caller';
import { guardedService, service } from './service';

/** What is set for every job, with the rig and the words of whoever asks. */
export const loadPreferences = service('read', ({ db, caller }) =>
  preferences.loadPreferences(db, personOf(caller)),
);

/**
 * Lays changed parts over what is set, each by who may set it.
 *
 * @param check judges the whole before it is stored; what it throws changes nothing.
 */
export const changePreferences = guardedService(
  'set',
  ({ db, caller }, change: Partial<Preferences>, _check: (whole: Preferences) => void) => {
    const rights: readonly Right[] = [
      'set',
      ...Object.keys(change).map(preferences.rightToSetPart),
    ];
    if (!rights.every((right) => callerHasRight(db, caller, right, false)))
      throw refusalTo(caller, 'address');
  },
  ({ db, caller }, change, check) =>
    preferences.changePreferences(db, change, check, personOf(caller)),
);

/** Whether the caller has a right, on what is their own if it is anybody's: what a page offers. */
export const mayUse = service('read', ({ db, caller }, right: Right) =>
  callerHasRight(db, caller, right, true),
);

/** How the backups stand, and where they go: `null` where somebody else makes them. */
export const backupState = service('read', ({ nowMs, stores }) => {
  const folder = backupsFolder(dataFolder());
  return {
    ...sayBackup(readLast(folder), nowMs),
    folder: makesBackups() ? folder : null,
    bucket: stores.current || null,
  };
});
